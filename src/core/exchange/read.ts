import type { Coded } from '../codes/coded';
import type { Draft, DraftRow } from '../formula/draft';
import type { FormulaLine, StageKind } from '../formula/formula';

/** A fault of a file, with the line it stands in, counted from 1. */
export interface LineFault {
  line: number;
  message: Coded;
}

/** A formula read from a file: rows for the editor, and every fault. With faults the rows are what could be read. */
export interface ReadFormula {
  name: string;
  draft: Draft;
  faults: LineFault[];
}

/** Rows gathered into stages in the order in which the stages first appear. */
export function draftOfRows(
  rows: readonly { stage: StageKind; row: DraftRow }[],
  doughCelsius: string,
): Draft {
  const kinds = [...new Set(rows.map(({ stage }) => stage))];
  return {
    flour: '1 kg',
    doughCelsius,
    stages: kinds.map((kind) => ({
      kind,
      rows: rows.filter(({ stage }) => stage === kind).map(({ row }) => row),
    })),
  };
}

export const NO_FORMULA = (message: Coded, line = 1): ReadFormula => ({
  name: '',
  draft: { stages: [], flour: '1 kg', doughCelsius: '' },
  faults: [{ line, message }],
});

/** A percentage or a range of them as the editor takes it. */
export function amountText({
  percent,
  upTo,
  approximate,
  uncounted,
}: Pick<FormulaLine, 'percent' | 'upTo' | 'approximate' | 'uncounted'>): string {
  if (uncounted) return 'to taste';
  const range = upTo === undefined ? '' : ` to ${Number(upTo.toFixed(4))}`;
  return `${approximate ? 'about ' : ''}${Number(percent.toFixed(4))}${range} %`;
}
