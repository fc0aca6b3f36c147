'use client';

import { stageName } from '@/words/code-names';
import { upperFirst } from '@/words/first-letter';
import { useWords } from '../kit/words';
import { showMass } from '@/core/units/reader';
import type { StageTableProps } from './cells';
import { StageLine } from './stage-line';

/** Ingredient, how much, per cent, weight, remark, order. */
const WIDTHS = ['26%', '27%', '10%', '12%', '', '6.5rem'];

/** One stage of a formula: ingredients in the order of adding, percent and weight live beside what is typed. */
export function StageTable(table: StageTableProps) {
  const { draft, read, stage, units } = table;
  const say = useWords();
  const { kind, rows } = draft.stages[stage] ?? { kind: 'dough' as const, rows: [] };
  const sums = (read.rows[stage] ?? []).reduce(
    (sum, row) => ({ percent: sum.percent + (row?.percent ?? 0), grams: sum.grams + (row?.grams ?? 0) }),
    { percent: 0, grams: 0 },
  );

  return (
    <section aria-label={stageName(say, kind)} className="mb-4">
      <h2 className="mb-1 flex items-baseline gap-3 text-lg font-semibold">
        {upperFirst(stageName(say, kind))}
        <span className="text-[15px] font-normal text-quiet">
          {say.number(sums.percent, 1)} %, {showMass(sums.grams, units)}
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
          {rows.map((_, i) => (
            <StageLine key={i} table={table} nth={i} />
          ))}
        </tbody>
      </table>
    </section>
  );
}
