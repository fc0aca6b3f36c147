'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { X } from 'lucide-react';
import { type Fold, FOLDS } from '@/core/lamination/stack';
import { FOLD_WORDS } from '@/core/lamination/words';
import { type SchemeDraft, type TurnDraft } from './draft';

const CELL = 'min-h-9 w-full min-w-0 rounded border border-edge bg-ground px-2 text-[17px]';

const cells = (say: Say): { name: 'mm' | 'minutes' | 'rest'; label: string }[] => [
  { name: 'mm', label: say('schemes.sheet') },
  { name: 'minutes', label: say('schemes.work') },
  { name: 'rest', label: say('schemes.rest') },
];

interface TurnRowProps {
  i: number;
  one: TurnDraft;
  turn: (i: number, part: Partial<TurnDraft>) => void;
  onChange: (draft: SchemeDraft) => void;
  draft: SchemeDraft;
}

/** A turn: its fold, how thin it is rolled, how long it takes and rests. */
export function TurnRow({ i, one, turn, onChange, draft }: TurnRowProps) {
  const say = useWords();
  return (
    <tr>
      <th scope="row" className="w-16 font-semibold whitespace-nowrap">
        {say('schemes.turn2', { i: i + 1 })}
      </th>
      <td className="w-40">
        <select
          aria-label={say('schemes.foldOfTurn', { i: i + 1 })}
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
            aria-label={say('schemes.ofTurn', { label, i: i + 1 })}
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
          aria-label={say('schemes.leaveOutTurn', { i: i + 1 })}
          className="grid size-9 place-items-center rounded border border-edge"
          onClick={() => onChange({ ...draft, turns: draft.turns.filter((_, k) => k !== i) })}
        >
          <X aria-hidden size={18} />
        </button>
      </td>
    </tr>
  );
}
