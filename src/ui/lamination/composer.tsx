'use client';

import { Plus, X } from 'lucide-react';
import { KIND_WORDS, LAMINATION_KINDS, type LaminationKind } from '@/core/lamination/kinds';
import { FOLDS, type Fold } from '@/core/lamination/stack';
import { FOLD_WORDS } from '@/core/lamination/words';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { useUnits } from '../live/units';
import { amountLabel, BEGINNINGS, usualAmount, type SchemeDraft, type TurnDraft } from './draft';

const CELL = 'min-h-9 w-full min-w-0 rounded border border-edge bg-ground px-2 text-[17px]';
const CELLS: { name: 'mm' | 'minutes' | 'rest'; label: string }[] = [
  { name: 'mm', label: 'Sheet' },
  { name: 'minutes', label: 'Work' },
  { name: 'rest', label: 'Rest' },
];

/** Composes a scheme: how the butter comes in, then turn after turn, each with its sheet, work and rest. */
export function Composer({
  draft,
  onChange,
}: {
  draft: SchemeDraft;
  onChange: (draft: SchemeDraft) => void;
}) {
  const [units] = useUnits();
  const turn = (i: number, part: Partial<TurnDraft>) =>
    onChange({ ...draft, turns: draft.turns.map((one, k) => (k === i ? { ...one, ...part } : one)) });
  const last = draft.turns.at(-1);
  return (
    <fieldset>
      <legend className="mb-2 text-xl font-semibold">Compose</legend>
      <div className="mb-3 grid grid-cols-[1.6fr_1.7fr_1.5fr_1fr_1fr] items-end gap-2">
        <Choice
          label="for"
          value={draft.kind}
          options={LAMINATION_KINDS.map((id) => ({ id, name: KIND_WORDS[id].label }))}
          onChoose={(kind) => onChange({ ...draft, kind: kind as LaminationKind })}
        />
        <Choice
          label="butter"
          value={draft.beginning}
          options={BEGINNINGS}
          onChoose={(beginning) =>
            onChange({ ...draft, beginning, amount: usualAmount(beginning, draft.turns.length, units) })
          }
        />
        <Field
          label={amountLabel(draft.beginning)}
          value={draft.amount}
          onType={(amount) => onChange({ ...draft, amount })}
        />
        <Field label="flour in it, %" value={draft.flour} onType={(flour) => onChange({ ...draft, flour })} />
        <Field
          label="lock-in, min"
          value={draft.lockInMinutes}
          onType={(lockInMinutes) => onChange({ ...draft, lockInMinutes })}
        />
      </div>
      <table className="w-full border-separate border-spacing-x-2 border-spacing-y-1 text-left text-[15px]">
        <thead>
          <tr>
            {['', 'fold', 'rolled to', 'work, min', 'then rest, min', ''].map((heading, i) => (
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
                Turn {i + 1}
              </th>
              <td className="w-40">
                <select
                  aria-label={`Fold of turn ${i + 1}`}
                  className={CELL}
                  value={one.fold}
                  onChange={(event) => turn(i, { fold: event.target.value as Fold })}
                >
                  {FOLDS.map((fold) => (
                    <option key={fold} value={fold}>
                      {FOLD_WORDS[fold]}
                    </option>
                  ))}
                </select>
              </td>
              {CELLS.map(({ name, label }) => (
                <td key={name}>
                  <input
                    aria-label={`${label} of turn ${i + 1}`}
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
                  aria-label={`Leave out turn ${i + 1}`}
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
            turns: [...draft.turns, last ?? { fold: 'letter', mm: '7 mm', minutes: '8', rest: '45' }],
          })
        }
      >
        <Plus aria-hidden size={18} /> Add a turn
      </Button>
      <p className="mt-1 text-[15px] text-quiet">A rest of 0 min gives the next turn at the same go.</p>
    </fieldset>
  );
}
