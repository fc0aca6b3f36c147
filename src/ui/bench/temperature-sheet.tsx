'use client';

import { useState } from 'react';
import type { RouteStep } from '@/core/route/route';
import { parseCelsius, toFahrenheit } from '@/core/units/temperature';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useUnits } from '../live/units';

/** Readings that are likely at a step, °C: one tap each. */
function likely(step: RouteStep): number[] {
  const middle =
    step.kind === 'bake'
      ? 95
      : step.kind === 'lock-in' || step.kind === 'turn'
        ? 7
        : (step.gives ?? step.around);
  return Array.from({ length: 12 }, (_, i) => middle - 5 + i);
}

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  step: RouteStep;
  onTell: (celsius: number) => void;
}

/** A temperature with two taps: this sheet, then a number; or typed, in °C or °F. */
export function TemperatureSheet(props: Props) {
  return (
    <Sheet open={props.open} onOpenChange={props.onOpenChange} title="Temperature of the dough">
      <Pad {...props} />
    </Sheet>
  );
}

function Pad({ onOpenChange, step, onTell }: Props) {
  const [units] = useUnits();
  const [typed, setTyped] = useState('');
  const [trouble, setTrouble] = useState(false);
  const tell = (value: number) => {
    onTell(Math.round(value * 10) / 10);
    onOpenChange(false);
  };
  return (
    <div className="grid gap-4">
      <div className="grid grid-cols-4 gap-2">
        {likely(step).map((value) => (
          <Button key={value} floor className="text-2xl font-semibold" onClick={() => tell(value)}>
            {Math.round(units.temperature === 'F' ? toFahrenheit(value) : value)}°
          </Button>
        ))}
      </div>
      <form
        className="flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          const value = parseCelsius(typed, units.temperature);
          if (value === null) setTrouble(true);
          else tell(value);
        }}
      >
        <label className="grid flex-1 gap-1 text-lg">
          Or type it, such as {units.temperature === 'F' ? '76 or 24.5 °C' : '24.5 or 76 °F'}
          <input
            inputMode="text"
            value={typed}
            aria-invalid={trouble}
            onChange={(event) => setTyped(event.target.value)}
            className="min-h-14 rounded border border-edge bg-ground px-4 text-2xl"
          />
        </label>
        <Button type="submit" look="act" floor>
          Tell it
        </Button>
      </form>
      {trouble && (
        <p role="alert" className="text-lg text-warn">
          That is not a temperature. Type a number, with{' '}
          {units.temperature === 'F' ? 'C for Celsius' : 'F for Fahrenheit'}.
        </p>
      )}
    </div>
  );
}
