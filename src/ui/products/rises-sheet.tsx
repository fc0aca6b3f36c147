'use client';

import { useState } from 'react';
import type { Rise, RisePhase } from '@/core/process/route';
import { showMinutes } from '@/core/units/duration';
import type { Say } from '@/words/say';
import { Choice } from '../kit/field';
import { useWords } from '../kit/words';
import { FormSheet } from './form-sheet';
import { PHASE_NAMES } from '@/core/process/step-words';
import { typed, type TypedField, useTypedForm } from '../kit/typed-form';

type Rises = Partial<Record<RisePhase, Rise>>;
const PHASES: readonly RisePhase[] = ['levain', 'sponge', 'bulk', 'proof'];
const PARTS = ['minutes', 'celsius', 'early', 'late'] as const;
type Part = (typeof PARTS)[number];
type Name = `${RisePhase}.${Part}`;

const FIELDS = (say: Say): Record<Name, TypedField> => {
  const kinds: Record<Part, TypedField> = {
    minutes: { kind: 'minutes', isOptional: true, label: say('product.readyAfter') },
    celsius: { kind: 'celsius', label: say('product.at') },
    early: { kind: 'number', label: say('product.earlyAt') },
    late: { kind: 'number', label: say('product.lateAt') },
  };
  return Object.fromEntries(
    PHASES.flatMap((phase) => PARTS.map((part) => [`${phase}.${part}`, kinds[part]])),
  ) as Record<Name, TypedField>;
};

const begin = (rises: Rises) =>
  Object.fromEntries(
    PHASES.flatMap((phase) => {
      const { minutes, celsius = 24, early = 0.8, late = 1.25 } = rises[phase] ?? {};
      return [
        [`${phase}.minutes`, minutes === undefined ? '' : showMinutes(minutes)],
        [`${phase}.celsius`, typed(celsius, '°C')],
        [`${phase}.early`, typed(early * 100)],
        [`${phase}.late`, typed(late * 100)],
      ];
    }),
  ) as Record<Name, string>;

interface Props {
  rises: Rises;
  onKeep: (rises: Rises) => void;
  onClose: () => void;
}

/** When the dough has risen in each of its phases, at what temperature: everything else follows from it. */
export function RisesSheet({ rises, onKeep, onClose }: Props) {
  const say = useWords();
  const form = useTypedForm(FIELDS(say), begin(rises));
  const [yeast, setYeast] = useState(
    () =>
      Object.fromEntries(
        PHASES.map((phase) => [phase, rises[phase]?.yeast ?? (phase === 'levain' ? 'levain' : 'bakers')]),
      ) as Record<RisePhase, Rise['yeast']>,
  );
  const keep = () => {
    const made: Rises = {};
    for (const phase of PHASES) {
      if (form.texts[`${phase}.minutes`].trim() === '') continue;
      const read = form.read(PARTS.map((part) => `${phase}.${part}` as const));
      if (!read) return;
      const at = (part: Part) => read[`${phase}.${part}`] ?? 0;
      made[phase] = {
        ...{ yeast: yeast[phase], celsius: at('celsius'), minutes: at('minutes') },
        ...{ early: at('early') / 100, late: at('late') / 100 },
      };
    }
    onKeep(made);
  };
  return (
    <FormSheet title={say('product.rises')} className="grid gap-3" onKeep={keep} onClose={onClose}>
      <p className="text-quiet">{say('product.riseHint')}</p>
      {PHASES.map((phase) => (
        <fieldset key={phase} className="grid gap-3 sm:grid-cols-5">
          <legend className="font-bold">{say.coded(PHASE_NAMES[phase])}</legend>
          {PARTS.map((part) => form.field(`${phase}.${part}`))}
          <Choice
            label={say('product.yeast')}
            value={yeast[phase]}
            options={[
              { id: 'bakers', name: say('product.bakersYeast') },
              { id: 'levain', name: say('product.levainYeast') },
            ]}
            onChoose={(id) => setYeast({ ...yeast, [phase]: id as Rise['yeast'] })}
          />
        </fieldset>
      ))}
    </FormSheet>
  );
}
