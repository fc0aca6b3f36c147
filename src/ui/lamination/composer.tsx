'use client';

import { Plus, X } from 'lucide-react';
import { KIND_WORDS, LAMINATION_KINDS, type LaminationKind } from '@/core/lamination/kinds';
import { FOLDS, type Fold } from '@/core/lamination/stack';
import { FOLD_WORDS } from '@/core/lamination/words';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { useUnits } from '../live/units';
import { amountLabel, BEGINNINGS, usualAmount, type SchemeDraft, type TurnDraft } from './draft';

const FOLD_OPTIONS = FOLDS.map((fold) => ({ id: fold, name: FOLD_WORDS[fold] }));

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
      <div className="mb-3 grid grid-cols-[1.5fr_2fr_1fr_1fr_1fr] gap-2">
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
      <ol className="grid gap-1">
        {draft.turns.map((one, i) => (
          <li key={i} className="grid grid-cols-[4rem_1.4fr_1fr_1fr_1fr_2.75rem] items-end gap-2">
            <span className="self-center pt-5 font-semibold">Turn {i + 1}</span>
            <Choice
              label="fold"
              value={one.fold}
              options={FOLD_OPTIONS}
              onChoose={(fold) => turn(i, { fold: fold as Fold })}
            />
            <Field label="rolled to" value={one.mm} onType={(mm) => turn(i, { mm })} />
            <Field label="work, min" value={one.minutes} onType={(minutes) => turn(i, { minutes })} />
            <Field label="then rest, min" value={one.rest} onType={(rest) => turn(i, { rest })} />
            <button
              type="button"
              aria-label={`Leave out turn ${i + 1}`}
              className="grid size-10 place-items-center rounded border border-edge"
              onClick={() => onChange({ ...draft, turns: draft.turns.filter((_, k) => k !== i) })}
            >
              <X aria-hidden size={18} />
            </button>
          </li>
        ))}
      </ol>
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
