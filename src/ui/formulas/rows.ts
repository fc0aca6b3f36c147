import type { Say } from '@/words/say';
import { readIngredientLine } from '@/core/exchange/recipe';
import type { Draft, DraftRow } from '@/core/formula/draft';
import { STAGE_KINDS, type StageKind } from '@/core/formula/formula';

export const BLANK: DraftRow = { name: '', amount: '', note: '' };

/** A new dough to begin with: one stage, one empty row. */
export const newDraft = (say: Say): Draft => ({
  stages: [{ kind: 'dough', rows: [BLANK] }],
  flour: say('formulas.n1Kg'),
  doughCelsius: '24 °C',
});

/** The stage that a row's name asks for, as in `levain:`; null where it is an ingredient. */
export function stageAsked(name: string): StageKind | null {
  const match = /^\s*([a-z -]+?)\s*:\s*$/i.exec(name);
  const asked = match?.[1]?.toLowerCase();
  return STAGE_KINDS.find((kind) => kind === asked) ?? null;
}

export function changeRow(draft: Draft, stage: number, row: number, part: Partial<DraftRow>): Draft {
  return withRows(draft, stage, (rows) => rows.map((one, i) => (i === row ? { ...one, ...part } : one)));
}

/** A row with an empty one after it. */
export function addRowAfter(draft: Draft, stage: number, row: number): Draft {
  return withRows(draft, stage, (rows) => [...rows.slice(0, row + 1), BLANK, ...rows.slice(row + 1)]);
}

/** Without a row; a stage that is left without any goes too, but for the last one. */
export function dropRow(say: Say, draft: Draft, stage: number, row: number): Draft {
  const without = withRows(draft, stage, (rows) => rows.filter((_, i) => i !== row));
  const stages = without.stages.filter(({ rows }) => rows.length > 0);
  return { ...without, stages: stages.length > 0 ? stages : newDraft(say).stages };
}

/** A row one place up or down within its stage: lines stand in the order of adding. */
export function moveRow(draft: Draft, stage: number, row: number, by: 1 | -1): Draft {
  return withRows(draft, stage, (rows) => {
    const to = row + by;
    const [a, b] = [rows[row], rows[to]];
    if (!a || !b) return rows;
    return rows.map((one, i) => (i === row ? b : i === to ? a : one));
  });
}

/** A new stage after another one, its first row empty; the row that asked for it goes. */
export function addStage(draft: Draft, after: number, kind: StageKind, asking?: number): Draft {
  const rows = draft.stages[after]?.rows.filter((_, i) => i !== asking) ?? [];
  const before = draft.stages.slice(0, after);
  const own = draft.stages[after];
  const kept = own && rows.length > 0 ? [{ ...own, rows }] : [];
  return {
    ...draft,
    stages: [...before, ...kept, { kind, rows: [BLANK] }, ...draft.stages.slice(after + 1)],
  };
}

/** Several lines pasted at once, each an amount and a name; null for a single one. */
export function pastedRows(text: string): DraftRow[] | null {
  const lines = text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(Boolean);
  if (lines.length < 2) return null;
  return lines.map((line) => {
    const read = readIngredientLine(line);
    return 'message' in read ? { ...BLANK, name: line } : { ...BLANK, name: read.name, amount: read.amount };
  });
}

export function insertRows(draft: Draft, stage: number, row: number, added: DraftRow[]): Draft {
  return withRows(draft, stage, (rows) => [...rows.slice(0, row), ...added, ...rows.slice(row + 1)]);
}

function withRows(draft: Draft, stage: number, change: (rows: DraftRow[]) => DraftRow[]): Draft {
  const stages = draft.stages.map((one, i) => (i === stage ? { ...one, rows: change(one.rows) } : one));
  return { ...draft, stages };
}
