'use client';

import type { ReactNode } from 'react';
import { parseMinutes, showMinutes } from '@/core/units/duration';
import { METRIC } from '@/core/units/reader';
import { readMeasure } from '@/core/units/measure';
import type { RouteStep } from '@/core/process/route';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { MeasureField } from '../kit/measure-field';
import { useWords } from '../kit/words';
import { useState } from 'react';

type Phase = NonNullable<RouteStep['program']>[number];

interface Props {
  program: readonly Phase[];
  field: (name: 'coreFrom' | 'coreTo') => ReactNode;
  onChange: (program: Phase[]) => void;
}

/** Phases of a bake in their order, and the core that it is done at. */
export function BakeFields({ program, field, onChange }: Props) {
  const say = useWords();
  const change = (nth: number, part: Partial<Phase>) =>
    onChange(program.map((phase, i) => (i === nth ? { ...phase, ...part } : phase)));
  const last = program.at(-1) ?? { celsius: 180, minutes: 10 };
  return (
    <fieldset>
      <legend className="font-bold">{say('product.bake')}</legend>
      {program.map((phase, nth) => (
        <PhaseRow
          key={nth}
          nth={nth}
          phase={phase}
          onChange={(part) => change(nth, part)}
          onDrop={() => onChange(program.filter((_, i) => i !== nth))}
        />
      ))}
      <div className="mt-2 grid items-end gap-3 sm:grid-cols-4">
        {field('coreFrom')}
        {field('coreTo')}
        <Button
          className="min-h-10"
          disabled={program.length >= 8}
          onClick={() => onChange([...program, { celsius: last.celsius, minutes: last.minutes }])}
        >
          {say('product.phase', { nth: program.length + 1 })}
        </Button>
      </div>
    </fieldset>
  );
}

interface RowProps {
  nth: number;
  phase: Phase;
  onChange: (part: Partial<Phase>) => void;
  onDrop: () => void;
}

function PhaseRow({ nth, phase, onChange, onDrop }: RowProps) {
  const say = useWords();
  const [celsius, setCelsius] = useState(`${phase.celsius} °C`);
  const [minutes, setMinutes] = useState(showMinutes(phase.minutes));
  const name = say('product.phase', { nth: nth + 1 });
  const read = { celsius: readMeasure('celsius', celsius, METRIC), minutes: parseMinutes(minutes) };
  return (
    <div role="group" aria-label={name} className="mt-1 grid items-start gap-3 sm:grid-cols-4">
      <MeasureField
        kind="celsius"
        label={name}
        text={celsius}
        trouble={Number.isNaN(read.celsius) ? say('product.enterAMeasure') : null}
        onText={(text) => {
          setCelsius(text);
          const value = readMeasure('celsius', text, METRIC);
          if (!Number.isNaN(value)) onChange({ celsius: value });
        }}
      />
      <Field
        label={say('product.forMinutes')}
        value={minutes}
        trouble={read.minutes === null ? say('product.enterATime') : null}
        onType={(text) => {
          setMinutes(text);
          const value = parseMinutes(text);
          if (value !== null) onChange({ minutes: value });
        }}
      />
      <span className="flex items-center gap-4 self-center pt-5">
        {(['steam', 'vent'] as const).map((what) => (
          <label key={what} className="flex items-center gap-1 text-[15px]">
            <input
              type="checkbox"
              className="size-5"
              checked={phase[what] ?? false}
              onChange={(event) => onChange({ [what]: event.target.checked })}
            />
            {say(what === 'steam' ? 'product.steam' : 'product.vent')}
          </label>
        ))}
      </span>
      <Button look="quiet" className="self-center" onClick={onDrop}>
        {say('product.remove', { step: name })}
      </Button>
    </div>
  );
}
