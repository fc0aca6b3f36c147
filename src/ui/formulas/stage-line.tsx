'use client';

import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { type Remark } from '@/core/formula/draft';
import type { StageKind } from '@/core/formula/formula';
import { showMass } from '@/core/units/reader';
import { stageName } from '@/words/code-names';
import { useWords } from '../kit/words';
import { changeRow, dropRow, moveRow } from './rows';
import { cellId, type FieldName, type StageTableProps } from './cells';
import { UnknownName } from './unknown-name';
import { useRowKeys } from './use-row-keys';

const CELL =
  'min-h-9 w-full rounded border border-transparent bg-ground px-2 text-[17px] hover:border-edge focus:border-edge';

interface Props {
  table: StageTableProps;
  /** Which line of the stage, from 0. */
  nth: number;
}

/** One line of a stage: name, amount, per cent, weight, remark; below it what is wrong or worth knowing. */
export function StageLine({ table, nth }: Props) {
  const say = useWords();
  const { draft, read, stage, units, mayChange, onChange } = table;
  const { keyDown, paste } = useRowKeys(table, nth);
  const row = draft.stages[stage]?.rows[nth];
  if (!row) return null;
  const { kind } = draft.stages[stage] ?? { kind: 'dough' };
  const live = read.rows[stage]?.[nth] ?? null;
  const about = (list: Remark[]) => list.filter((one) => one.stage === stage && one.row === nth);
  const faults = about(read.faults).filter(
    ({ field }) => row.name !== '' || row.amount !== '' || field === 'flour',
  );
  const remarks = [...faults, ...about(read.remarks)];
  const input = (field: FieldName, label: string) => (
    <input
      id={cellId(stage, nth, field)}
      aria-label={say('formulas.line2', { label, kind: stageName(say, kind), i: nth + 1 })}
      aria-invalid={faults.some((fault) => fault.field === field)}
      list={field === 'name' ? 'ingredient-names' : undefined}
      autoComplete="off"
      readOnly={!mayChange}
      className={CELL}
      value={row[field]}
      onChange={(event) => onChange(changeRow(draft, stage, nth, { [field]: event.target.value }))}
      onKeyDown={keyDown(field)}
      onPaste={field === 'name' ? paste : undefined}
    />
  );
  return (
    <>
      <tr className={remarks.length > 0 ? 'align-top' : 'border-b border-hairline align-top'}>
        <td className="py-0.5 pr-2">{input('name', say('formulas.ingredient'))}</td>
        <td className="py-0.5 pr-2">{input('amount', say('formulas.howMuch'))}</td>
        <td className="py-2 pr-3 text-right text-[17px]">
          {live ? `${say.number(live.percent, live.percent < 10 ? 2 : 1)} %` : ''}
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
        <td className="py-0.5">{mayChange && <RowButtons table={table} nth={nth} kind={kind} />}</td>
      </tr>
      {remarks.length > 0 && <LineRemarks {...{ table, nth, remarks, faults }} />}
    </>
  );
}

/** Moves a line up or down, or leaves it out. */
function RowButtons({ table, nth, kind }: Props & { kind: StageKind }) {
  const say = useWords();
  const { draft, stage, onChange } = table;
  const line = { i: nth + 1, kind };
  return (
    <span className="flex justify-end">
      <RowButton
        label={say('formulas.lineOfEarlier', line)}
        onClick={() => onChange(moveRow(draft, stage, nth, -1))}
      >
        <ArrowUp aria-hidden size={16} />
      </RowButton>
      <RowButton
        label={say('formulas.lineOfLater', line)}
        onClick={() => onChange(moveRow(draft, stage, nth, 1))}
      >
        <ArrowDown aria-hidden size={16} />
      </RowButton>
      <RowButton
        label={say('formulas.leaveOutLineOf', line)}
        onClick={() => onChange(dropRow(say, draft, stage, nth))}
      >
        <Trash2 aria-hidden size={16} />
      </RowButton>
    </span>
  );
}

function RowButton({
  label,
  onClick,
  children,
}: {
  label: string;
  onClick: () => void;
  children: ReactNode;
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

/** What is wrong or worth knowing about a line, and what an unknown name may be. */
function LineRemarks({ table, nth, remarks, faults }: Props & { remarks: Remark[]; faults: Remark[] }) {
  const say = useWords();
  const { draft, stage, book, mayChange, onChange } = table;
  const { name, amount } = draft.stages[stage]?.rows[nth] ?? { name: '', amount: '' };
  const isUnknown =
    mayChange && name.trim() !== '' && amount.trim() !== '' && faults.some(({ field }) => field === 'name');
  return (
    <tr className="border-b border-hairline">
      <td colSpan={6} className="px-2 pb-2 text-[16px]">
        {remarks.map(({ message }) => (
          <p key={say.coded(message)} className={faults.length > 0 ? 'text-warn' : 'text-quiet'}>
            {say.coded(message)}
          </p>
        ))}
        {isUnknown && (
          <UnknownName
            name={name.trim()}
            book={book}
            onUse={(known) => onChange(changeRow(draft, stage, nth, { name: known }))}
          />
        )}
      </td>
    </tr>
  );
}
