'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useEffect, useState } from 'react';
import type { RouteStep } from '@/core/process/route';
import { parseCelsius, toFahrenheit } from '@/core/units/temperature';
import { measure, showMeasure } from '@/core/units/measure';
import { retold } from '@/core/units/retold';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { onSent } from '../live/outbox';
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

const noTemperature = (say: Say) => ({
  C: say('common.thatIsNotATemperature'),
  F: say('bench.thatIsNotATemperature2'),
});

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  step: RouteStep;
  /** Whose temperature it is. */
  of: { doughId: number; stepKey: string };
  onTell: (celsius: number) => void;
}

/**
 * A temperature with two taps: this sheet, then a number; or typed, in °C or °F. One that the house refuses comes back as
 * it was told, with the reason, to be put right.
 */
export function TemperatureSheet(props: Props) {
  const say = useWords();
  const { of, onOpenChange } = props;
  const [refused, setRefused] = useState<RefusedReading | null>(null);
  const { doughId, stepKey } = of;
  useEffect(
    () =>
      onSent((outcome) => {
        if (!('event' in outcome)) return;
        const { event, answer } = outcome;
        if (event.kind !== 'temperature' || event.doughId !== doughId || event.stepKey !== stepKey) return;
        setRefused(answer.ok ? null : { celsius: event.celsius ?? 0, message: answer.message });
        if (!answer.ok) onOpenChange(true);
      }),
    [doughId, stepKey, onOpenChange],
  );
  return (
    <Sheet open={props.open} onOpenChange={onOpenChange} title={say('bench.temperatureOfTheDough')}>
      <Pad key={refused?.celsius} {...props} refused={refused} />
    </Sheet>
  );
}

interface RefusedReading {
  celsius: number;
  message: string;
}

function Pad({ onOpenChange, step, onTell, refused }: Props & { refused: RefusedReading | null }) {
  const say = useWords();
  const [units] = useUnits();
  const [typed, setTyped] = useState(refused ? showMeasure(measure('celsius', refused.celsius), units) : '');
  const [trouble, setTrouble] = useState<string | null>(refused ? retold(refused.message, units) : null);
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
          if (value === null) setTrouble(noTemperature(say)[units.temperature]);
          else tell(value);
        }}
      >
        <label className="grid flex-1 gap-1 text-lg">
          {say('bench.orTypeItSuchAs', { isTemperature: units.temperature === 'F' })}
          <input
            inputMode="text"
            value={typed}
            aria-invalid={trouble !== null}
            onChange={(event) => setTyped(event.target.value)}
            className="min-h-14 rounded border border-edge bg-ground px-4 text-2xl"
          />
        </label>
        <Button type="submit" look="act" floor>
          {say('bench.tellIt')}
        </Button>
      </form>
      {trouble && (
        <p role="alert" className="text-lg text-warn">
          {trouble}
        </p>
      )}
    </div>
  );
}
