'use client';

import { useWords } from '../kit/words';
import { Plus, X } from 'lucide-react';
import { PIECE_SHAPES, type PieceShape, SHAPE_WORDS } from '@/core/cutting/piece';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import type { CutRow } from './rows';

const MOST_ROWS = 3;

/** The kinds of pieces for a sheet, as typed: up to three. */
export function CutRows({
  rows,
  faults,
  onChange,
}: {
  rows: readonly CutRow[];
  faults: readonly (string | null)[];
  onChange: (rows: CutRow[]) => void;
}) {
  const say = useWords();
  const set = (i: number, part: Partial<CutRow>) =>
    onChange(rows.map((row, k) => (k === i ? { ...row, ...part } : row)));
  return (
    <div className="grid gap-2">
      {rows.map((row, i) => (
        <CutRowFields key={i} i={i} row={row} set={set} rows={rows} onChange={onChange} faults={faults} />
      ))}
      {rows.length < MOST_ROWS && (
        <Button
          className="flex min-h-10 items-center gap-2 justify-self-start"
          onClick={() =>
            onChange([
              ...rows,
              {
                ...{
                  name: '',
                  shape: 'rectangle',
                  base: say('cutPlan.n8Cm'),
                  height: say('cutPlan.n15Cm'),
                  sectors: '8',
                },
                ...{ most: '', target: '', perTray: '' },
              },
            ])
          }
        >
          <Plus aria-hidden size={18} />
          {say('cutPlan.anotherShapeFromTheSame')}
        </Button>
      )}
    </div>
  );
}

interface CutRowFieldsProps {
  i: number;
  row: CutRow;
  set: (i: number, part: Partial<CutRow>) => void;
  rows: readonly CutRow[];
  onChange: (rows: CutRow[]) => void;
  faults: readonly (string | null)[];
}

/** A kind of piece: its shape, measures, weight and number. */
function CutRowFields({ i, row, set, rows, onChange, faults }: CutRowFieldsProps) {
  const say = useWords();

  const words = SHAPE_WORDS[row.shape];
  return (
    <fieldset>
      <legend className="sr-only">{say('cutPlan.piece', { i: i + 1 })}</legend>
      <div className="grid grid-cols-2 items-end gap-2 sm:grid-cols-4 lg:grid-cols-[1.3fr_1.5fr_1fr_1fr_1fr_1fr_1fr_2.75rem]">
        <Field label={say('cutPlan.pieceName')} value={row.name} onType={(name) => set(i, { name })} />
        <Choice
          label={say('cutPlan.shape')}
          value={row.shape}
          options={PIECE_SHAPES.map((id) => ({ id, name: say.coded(SHAPE_WORDS[id].label) }))}
          onChoose={(shape) => set(i, { shape: shape as PieceShape })}
        />
        <Field label={say.coded(words.base)} value={row.base} onType={(base) => set(i, { base })} />
        {row.shape === 'sector' ? (
          <Field
            label={say('cutPlan.sectors')}
            value={row.sectors}
            onType={(sectors) => set(i, { sectors })}
          />
        ) : words.height ? (
          <Field label={say.coded(words.height)} value={row.height} onType={(height) => set(i, { height })} />
        ) : (
          <span />
        )}
        <Field
          label={say('cutPlan.piecesASheet')}
          value={row.most}
          placeholder={say('cutPlan.allThatFit')}
          onType={(most) => set(i, { most })}
        />
        <Field
          label={say('cutPlan.eachShouldWeigh')}
          value={row.target}
          onType={(target) => set(i, { target })}
        />
        <Field label={say('cutPlan.onATray')} value={row.perTray} onType={(perTray) => set(i, { perTray })} />
        {rows.length > 1 && (
          <button
            type="button"
            aria-label={say('cutPlan.leaveOutPiece', { i: i + 1 })}
            className="grid size-10 place-items-center rounded border border-edge"
            onClick={() => onChange(rows.filter((_, k) => k !== i))}
          >
            <X aria-hidden size={18} />
          </button>
        )}
      </div>
      {faults[i] && (
        <p role="alert" className="mt-1 text-warn">
          {faults[i]}
        </p>
      )}
    </fieldset>
  );
}
