'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { Plus, X } from 'lucide-react';
import { KIND_WORDS, LAMINATION_KINDS, type LaminationKind } from '@/core/lamination/kinds';
import { FOLDS, type Fold } from '@/core/lamination/stack';
import { FOLD_WORDS } from '@/core/lamination/words';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { useUnits } from '../live/units';
import { amountLabel, beginnings, usualAmount, type SchemeDraft, type TurnDraft } from './draft';

const CELL = 'min-h-9 w-full min-w-0 rounded border border-edge bg-ground px-2 text-[17px]';
const cells = (say: Say): { name: 'mm' | 'minutes' | 'rest'; label: string }[] => [
  { name: 'mm', label: say('lamination.sheet') },
  { name: 'minutes', label: say('lamination.work') },
  { name: 'rest', label: say('lamination.rest') },
];

/** Composes a scheme: how the butter comes in, then turn after turn, each with its sheet, work and rest. */
export function Composer({
  draft,
  onChange,
}: {
  draft: SchemeDraft;
  onChange: (draft: SchemeDraft) => void;
}) {
  const say = useWords();
  const [units] = useUnits();
  const turn = (i: number, part: Partial<TurnDraft>) =>
    onChange({ ...draft, turns: draft.turns.map((one, k) => (k === i ? { ...one, ...part } : one)) });
  const last = draft.turns.at(-1);
  return (
    <fieldset>
      <legend className="mb-2 text-xl font-semibold">{say('lamination.compose')}</legend>
      <div className="mb-3 grid grid-cols-[1.6fr_1.7fr_1.5fr_1fr_1fr] items-end gap-2">
        <Choice
          label={say('lamination.for')}
          value={draft.kind}
          options={LAMINATION_KINDS.map((id) => ({ id, name: say.coded(KIND_WORDS[id].label) }))}
          onChoose={(kind) => onChange({ ...draft, kind: kind as LaminationKind })}
        />
        <Choice
          label={say('lamination.butter2')}
          value={draft.beginning}
          options={beginnings(say)}
          onChoose={(beginning) =>
            onChange({ ...draft, beginning, amount: usualAmount(beginning, draft.turns.length, units) })
          }
        />
        <Field
          label={amountLabel(say, draft.beginning)}
          value={draft.amount}
          onType={(amount) => onChange({ ...draft, amount })}
        />
        <Field
          label={say('lamination.flourInIt')}
          value={draft.flour}
          onType={(flour) => onChange({ ...draft, flour })}
        />
        <Field
          label={say('lamination.lockInMin2')}
          value={draft.lockInMinutes}
          onType={(lockInMinutes) => onChange({ ...draft, lockInMinutes })}
        />
      </div>
      <table className="w-full border-separate border-spacing-x-2 border-spacing-y-1 text-left text-[15px]">
        <thead>
          <tr>
            {[
              '',
              'fold',
              say('lamination.rolledTo'),
              say('lamination.workMin'),
              say('lamination.thenRestMin'),
              '',
            ].map((heading, i) => (
              <th key={i} scope="col" className="font-normal">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {draft.turns.map((one, i) => (
            <tr key={i}>
              <th scope="row" className="w-16 font-semibold whitespace-nowrap">
                {say('lamination.turn2', { i: i + 1 })}
              </th>
              <td className="w-40">
                <select
                  aria-label={say('lamination.foldOfTurn', { i: i + 1 })}
                  className={CELL}
                  value={one.fold}
                  onChange={(event) => turn(i, { fold: event.target.value as Fold })}
                >
                  {FOLDS.map((fold) => (
                    <option key={fold} value={fold}>
                      {say.coded(FOLD_WORDS[fold])}
                    </option>
                  ))}
                </select>
              </td>
              {cells(say).map(({ name, label }) => (
                <td key={name}>
                  <input
                    aria-label={say('lamination.ofTurn', { label, i: i + 1 })}
                    autoComplete="off"
                    className={CELL}
                    value={one[name]}
                    onChange={(event) => turn(i, { [name]: event.target.value })}
                  />
                </td>
              ))}
              <td className="w-10">
                <button
                  type="button"
                  aria-label={say('lamination.leaveOutTurn', { i: i + 1 })}
                  className="grid size-9 place-items-center rounded border border-edge"
                  onClick={() => onChange({ ...draft, turns: draft.turns.filter((_, k) => k !== i) })}
                >
                  <X aria-hidden size={18} />
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button
        className="mt-2 flex min-h-10 items-center gap-2"
        onClick={() =>
          onChange({
            ...draft,
            turns: [
              ...draft.turns,
              last ?? { fold: 'letter', mm: say('lamination.n7Mm'), minutes: '8', rest: '45' },
            ],
          })
        }
      >
        <Plus aria-hidden size={18} />
        {say('lamination.addATurn')}
      </Button>
      <p className="mt-1 text-[15px] text-quiet">{say('lamination.aRestOf0Min')}</p>
    </fieldset>
  );
}
