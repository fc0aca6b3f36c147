'use client';

import { useWords } from '../kit/words';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { Fragment, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { Draft, ReadDraft, Remark } from '@/core/formula/draft';
import type { IngredientBook } from '@/core/formula/ingredient';
import { showMass, type ReaderUnits } from '@/core/units/reader';
import {
  addRowAfter,
  addStage,
  changeRow,
  dropRow,
  insertRows,
  moveRow,
  pastedRows,
  stageAsked,
} from './rows';
import { UnknownName } from './unknown-name';

const CELL =
  'min-h-9 w-full rounded border border-transparent bg-ground px-2 text-[17px] hover:border-edge focus:border-edge';
const FIELDS = ['name', 'amount', 'note'] as const;
/** Ingredient, how much, per cent, weight, remark, order. */
const WIDTHS = ['26%', '27%', '10%', '12%', '', '6.5rem'];
type FieldName = (typeof FIELDS)[number];

interface Props {
  draft: Draft;
  read: ReadDraft;
  stage: number;
  book: IngredientBook;
  units: ReaderUnits;
  mayChange: boolean;
  onChange: (draft: Draft) => void;
  /** Moves the cursor to a cell once it is drawn. */
  onMove: (cell: string) => void;
}

export const cellId = (stage: number, row: number, field: FieldName) => `cell-${stage}-${row}-${field}`;

/** One stage of a formula: ingredients in the order of adding, percent and weight live beside what is typed. */
export function StageTable({ draft, read, stage, book, units, mayChange, onChange, onMove }: Props) {
  const say = useWords();
  const { kind, rows } = draft.stages[stage] ?? { kind: 'dough' as const, rows: [] };
  const sums = (read.rows[stage] ?? []).reduce(
    (sum, row) => ({ percent: sum.percent + (row?.percent ?? 0), grams: sum.grams + (row?.grams ?? 0) }),
    { percent: 0, grams: 0 },
  );

  const keyDown = (row: number, field: FieldName) => (event: KeyboardEvent<HTMLInputElement>) => {
    const at = FIELDS.indexOf(field);
    if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      const by = event.key === 'ArrowUp' ? -1 : 1;
      onChange(moveRow(draft, stage, row, by));
      onMove(cellId(stage, Math.min(rows.length - 1, Math.max(0, row + by)), field));
      return;
    }
    if (event.key === 'ArrowUp' && row > 0) onMove(cellId(stage, row - 1, field));
    if (event.key === 'ArrowDown' && row < rows.length - 1) onMove(cellId(stage, row + 1, field));
    if (
      event.key === 'Backspace' &&
      event.currentTarget.value === '' &&
      field === 'name' &&
      rows.length > 1
    ) {
      event.preventDefault();
      onChange(dropRow(say, draft, stage, row));
      onMove(cellId(stage, Math.max(0, row - 1), 'amount'));
    }
    if (event.key !== 'Enter' || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    const asked = field === 'name' ? stageAsked(event.currentTarget.value) : null;
    if (asked) {
      onChange(addStage(draft, stage, asked, row));
      onMove(cellId(rows.length > 1 ? stage + 1 : stage, 0, 'name'));
    } else if (field === 'name') onMove(cellId(stage, row, 'amount'));
    else {
      if (at > 0 && row === rows.length - 1) onChange(addRowAfter(draft, stage, row));
      onMove(cellId(stage, row + 1, 'name'));
    }
  };
  const paste = (row: number) => (event: ClipboardEvent<HTMLInputElement>) => {
    const several = pastedRows(event.clipboardData.getData('text'));
    if (!several) return;
    event.preventDefault();
    onChange(insertRows(draft, stage, row, several));
  };
  const about = (list: Remark[], row: number) => list.filter((one) => one.stage === stage && one.row === row);

  return (
    <section aria-label={kind} className="mb-4">
      <h2 className="mb-1 flex items-baseline gap-3 text-lg font-semibold">
        {kind[0]?.toUpperCase()}
        {kind.slice(1)}
        <span className="text-[15px] font-normal text-quiet">
          {sums.percent.toFixed(1)} %, {showMass(sums.grams, units)}
        </span>
      </h2>
      <table className="w-full table-fixed border-collapse text-left">
        <colgroup>
          {WIDTHS.map((width, i) => (
            <col key={i} style={{ width }} />
          ))}
        </colgroup>
        <thead className="sr-only">
          <tr>
            {[
              say('formulas.ingredient'),
              say('formulas.howMuch'),
              say('formulas.perCent'),
              say('formulas.weight'),
              say('formulas.remark'),
              say('formulas.order'),
            ].map((heading) => (
              <th key={heading} scope="col">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => {
            const live = read.rows[stage]?.[i] ?? null;
            const faults = about(read.faults, i).filter(
              ({ field }) => row.name !== '' || row.amount !== '' || field === 'flour',
            );
            const remarks = about(read.remarks, i);
            const input = (field: FieldName, label: string) => (
              <input
                id={cellId(stage, i, field)}
                aria-label={say('formulas.line2', { label, kind, i: i + 1 })}
                aria-invalid={faults.some((fault) => fault.field === field)}
                list={field === 'name' ? 'ingredient-names' : undefined}
                autoComplete="off"
                readOnly={!mayChange}
                className={CELL}
                value={row[field]}
                onChange={(event) => onChange(changeRow(draft, stage, i, { [field]: event.target.value }))}
                onKeyDown={keyDown(i, field)}
                onPaste={field === 'name' ? paste(i) : undefined}
              />
            );
            const unknown =
              mayChange &&
              row.name.trim() !== '' &&
              row.amount.trim() !== '' &&
              faults.some(({ field }) => field === 'name');
            const told = [...faults, ...remarks];
            return (
              <Fragment key={i}>
                <tr className={told.length > 0 ? 'align-top' : 'border-b border-hairline align-top'}>
                  <td className="py-0.5 pr-2">{input('name', say('formulas.ingredient'))}</td>
                  <td className="py-0.5 pr-2">{input('amount', say('formulas.howMuch'))}</td>
                  <td className="py-2 pr-3 text-right text-[17px]">
                    {live ? `${live.percent.toFixed(live.percent < 10 ? 2 : 1)} %` : ''}
                  </td>
                  <td className="py-2 pr-3 text-right text-[17px]">
                    {live ? showMass(live.grams, units) : ''}
                    {live && live.upTo > live.grams && (
                      <span className="block text-[15px] text-quiet">
                        {say('formulas.to2', { mass: showMass(live.upTo, units) })}
                      </span>
                    )}
                  </td>
                  <td className="py-0.5 pr-2">{input('note', say('formulas.remark'))}</td>
                  <td className="py-0.5">
                    {mayChange && (
                      <span className="flex justify-end">
                        <RowButton
                          label={say('formulas.lineOfEarlier', { i: i + 1, kind })}
                          onClick={() => onChange(moveRow(draft, stage, i, -1))}
                        >
                          <ArrowUp aria-hidden size={16} />
                        </RowButton>
                        <RowButton
                          label={say('formulas.lineOfLater', { i: i + 1, kind })}
                          onClick={() => onChange(moveRow(draft, stage, i, 1))}
                        >
                          <ArrowDown aria-hidden size={16} />
                        </RowButton>
                        <RowButton
                          label={say('formulas.leaveOutLineOf', { i: i + 1, kind })}
                          onClick={() => onChange(dropRow(say, draft, stage, i))}
                        >
                          <Trash2 aria-hidden size={16} />
                        </RowButton>
                      </span>
                    )}
                  </td>
                </tr>
                {told.length > 0 && (
                  <tr className="border-b border-hairline">
                    <td colSpan={WIDTHS.length} className="px-2 pb-2 text-[16px]">
                      {told.map(({ message }) => (
                        <p
                          key={say.coded(message)}
                          className={faults.length > 0 ? 'text-warn' : 'text-quiet'}
                        >
                          {say.coded(message)}
                        </p>
                      ))}
                      {unknown && (
                        <UnknownName
                          name={row.name.trim()}
                          book={book}
                          onUse={(name) => onChange(changeRow(draft, stage, i, { name }))}
                        />
                      )}
                    </td>
                  </tr>
                )}
              </Fragment>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

function RowButton({
  label,
  onClick,
  children,
}: {
  label: string;
  onClick: () => void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      tabIndex={-1}
      aria-label={label}
      className="grid size-8 place-items-center rounded"
      onClick={onClick}
    >
      {children}
    </button>
  );
}
