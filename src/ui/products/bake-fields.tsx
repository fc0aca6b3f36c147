'use client';

import type { ReactNode } from 'react';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { MeasureField } from '../kit/measure-field';
import { useWords } from '../kit/words';
import { type PhaseText, readPhase } from './step-form';

/** Phases that a bake has at most. */
const MOST = 8;

interface Props {
  program: readonly PhaseText[];
  field: (name: 'coreFrom' | 'coreTo' | 'turnTrays' | 'lookAt') => ReactNode;
  onChange: (program: PhaseText[]) => void;
}

/** Phases of a bake in their order, and the core that it is done at. */
export function BakeFields({ program, field, onChange }: Props) {
  const say = useWords();
  const change = (key: number, part: Partial<PhaseText>) =>
    onChange(program.map((phase) => (phase.key === key ? { ...phase, ...part } : phase)));
  const add = () => {
    const { celsius = '180 °C', minutes = '10 min' } = program.at(-1) ?? {};
    const key = 1 + Math.max(-1, ...program.map((phase) => phase.key));
    onChange([...program, { key, celsius, minutes, steam: false, vent: false }]);
  };
  return (
    <fieldset>
      <legend className="font-bold">{say('product.bake')}</legend>
      {program.map((phase, i) => (
        <PhaseRow
          key={phase.key}
          name={say('product.phase', { nth: i + 1 })}
          phase={phase}
          onChange={(part) => change(phase.key, part)}
          onDrop={() => onChange(program.filter(({ key }) => key !== phase.key))}
        />
      ))}
      <div className="mt-2 grid items-end gap-3 sm:grid-cols-4">
        {field('coreFrom')}
        {field('coreTo')}
        {field('turnTrays')}
        {field('lookAt')}
        <Button className="min-h-10" disabled={program.length >= MOST} onClick={add}>
          {say('product.addPhase')}
        </Button>
      </div>
    </fieldset>
  );
}

interface RowProps {
  name: string;
  phase: PhaseText;
  onChange: (part: Partial<PhaseText>) => void;
  onDrop: () => void;
}

function PhaseRow({ name, phase, onChange, onDrop }: RowProps) {
  const say = useWords();
  const read = readPhase(phase);
  return (
    <div role="group" aria-label={name} className="mt-1 grid items-start gap-3 sm:grid-cols-4">
      <MeasureField
        kind="celsius"
        label={name}
        text={phase.celsius}
        trouble={Number.isNaN(read.celsius) ? say('kit.enterAMeasure') : null}
        onText={(celsius) => onChange({ celsius })}
      />
      <Field
        label={say('product.forMinutes')}
        value={phase.minutes}
        trouble={read.minutes === null ? say('kit.enterATime') : null}
        onType={(minutes) => onChange({ minutes })}
      />
      <span className="flex flex-wrap items-center gap-x-3 self-center pt-5">
        {(['steam', 'vent'] as const).map((what) => (
          <label key={what} className="flex items-center gap-1 text-[15px]">
            <input
              type="checkbox"
              className="size-5 flex-none"
              checked={phase[what]}
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
