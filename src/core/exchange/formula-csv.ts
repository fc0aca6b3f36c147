import { coded } from '../codes/coded';
import Papa from 'papaparse';
import { STAGE_KINDS, type Formula, type StageKind } from '../formula/formula';
import type { IngredientBook } from '../formula/ingredient';
import { readAmount } from '../units/amount';
import { unreadIn } from '../units/weigh';
import { amountText, draftOfRows, NO_FORMULA, type LineFault, type ReadFormula } from './read';

const COLUMNS = ['formula', 'dough_celsius', 'stage', 'ingredient', 'amount', 'note'] as const;
type Column = (typeof COLUMNS)[number];

/** A formula as a table: one row an ingredient, amounts in baker's percent. */
export function writeFormulaCsv(name: string, formula: Formula, book: IngredientBook): string {
  const rows = formula.stages.flatMap(({ kind, lines }) =>
    lines.map((line) => [
      ...[name, formula.doughCelsius ?? '', kind, book.get(line.ingredient)?.name ?? line.ingredient],
      ...[amountText(line), line.note ?? ''],
    ]),
  );
  // A cell that begins like a formula of a spreadsheet must not become one there.
  return `${Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\n', escapeFormulae: true })}\n`;
}

/** Reads such a table; commas or semicolons, any order of columns, amounts in any unit. Every fault with its line. */
export function readFormulaCsv(text: string): ReadFormula {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const [head = [], ...body] = parsed.data;
  const at = new Map(head.map((name, i) => [name.trim().toLowerCase(), i]));
  const missing = (['stage', 'ingredient', 'amount'] as Column[]).filter((column) => !at.has(column));
  if (missing.length > 0) {
    return NO_FORMULA(coded('files.theFirstLineMustName', { missing: missing.join('”, “') }));
  }
  const faults: LineFault[] = [];
  const rows: { stage: StageKind; row: { name: string; amount: string; note: string } }[] = [];
  let name = '';
  let celsius = '';
  body.forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    const cell = (column: Column) => (cells[at.get(column) ?? -1] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    const stage = STAGE_KINDS.find((kind) => kind === cell('stage').toLowerCase());
    if (!stage)
      faults.push({
        line,
        message: coded('files.isNoStageOneOf', { typed: cell('stage'), stages: STAGE_KINDS }),
      });
    if (cell('ingredient') === '') faults.push({ line, message: coded('files.theIngredientHasNoName') });
    const amount = readAmount(cell('amount'));
    const unread = amount.ok ? unreadIn(amount.value, { name: cell('ingredient') }) : null;
    if (!amount.ok) faults.push({ line, message: amount.message });
    else if (unread !== null) faults.push({ line, message: coded('files.wasNotUnderstood', { unread }) });
    name ||= cell('formula');
    celsius ||= cell('dough_celsius');
    if (stage)
      rows.push({ stage, row: { name: cell('ingredient'), amount: cell('amount'), note: cell('note') } });
  });
  if (rows.length === 0 && faults.length === 0)
    faults.push({ line: 2, message: coded('files.thereAreNoIngredientsIn') });
  return { name, draft: draftOfRows(rows, celsius), faults };
}
