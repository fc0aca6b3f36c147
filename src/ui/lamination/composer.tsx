'use client';

import { useWords } from '../kit/words';
import { Plus } from 'lucide-react';
import { KIND_WORDS, LAMINATION_KINDS, type LaminationKind } from '@/core/lamination/kinds';
import { LOCK_INS } from '@/core/lamination/stack';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { useUnits } from '../live/units';
import { amountLabel, beginnings, type SchemeDraft, type TurnDraft, usualAmount } from './draft';
import { TurnRow } from './turn-row';

/** Composes a scheme: how the butter comes in, then turn after turn, each with its sheet, work and rest. */
export function Composer({
  draft,
  onChange,
}: {
  draft: SchemeDraft;
  onChange: (draft: SchemeDraft) => void;
}) {
  const say = useWords();
  const turn = (i: number, part: Partial<TurnDraft>) =>
    onChange({ ...draft, turns: draft.turns.map((one, k) => (k === i ? { ...one, ...part } : one)) });
  const last = draft.turns.at(-1);
  return (
    <fieldset>
      <legend className="mb-2 text-xl font-semibold">{say('schemes.compose')}</legend>
      <LockInFields draft={draft} onChange={onChange} />
      <table className="w-full border-separate border-spacing-x-2 border-spacing-y-1 text-left text-[15px]">
        <thead>
          <tr>
            {[
              '',
              say('schemes.fold'),
              say('schemes.rolledTo'),
              say('schemes.workMin'),
              say('schemes.thenRestMin'),
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
            <TurnRow key={i} i={i} one={one} turn={turn} onChange={onChange} draft={draft} />
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
              last ?? { fold: 'letter', mm: say('schemes.n7Mm'), minutes: '8', rest: '45' },
            ],
          })
        }
      >
        <Plus aria-hidden size={18} />
        {say('schemes.addATurn')}
      </Button>
      <p className="mt-1 text-[15px] text-quiet">{say('schemes.aRestOf0Min')}</p>
    </fieldset>
  );
}

interface LockInFieldsProps {
  draft: SchemeDraft;
  onChange: (draft: SchemeDraft) => void;
}

/** What is laminated, and how the butter comes in. */
function LockInFields({ draft, onChange }: LockInFieldsProps) {
  const say = useWords();
  const [units] = useUnits();
  const isBlock = LOCK_INS.some((style) => style === draft.beginning);
  return (
    <div className="mb-3 grid grid-cols-2 items-end gap-2 sm:grid-cols-3">
      <Choice
        label={say('schemes.kindOfDough')}
        value={draft.kind}
        options={LAMINATION_KINDS.map((id) => ({ id, name: say.coded(KIND_WORDS[id].label) }))}
        onChoose={(kind) => onChange({ ...draft, kind: kind as LaminationKind })}
      />
      <Choice
        label={say('schemes.butter2')}
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
        label={say('schemes.flourInIt')}
        value={draft.flour}
        onType={(flour) => onChange({ ...draft, flour })}
      />
      {isBlock && (
        <Field
          label={say('schemes.temperMin')}
          value={draft.temper}
          onType={(temper) => onChange({ ...draft, temper })}
        />
      )}
      <Field
        label={say('schemes.lockInMin2')}
        value={draft.lockInMinutes}
        onType={(lockInMinutes) => onChange({ ...draft, lockInMinutes })}
      />
    </div>
  );
}
