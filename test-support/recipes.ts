import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ingredientBook } from '@/core/formula/ingredient';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import { readRecipeText } from '@/core/recipe/read-recipe';
import type { Range, RecipeReading, Span } from '@/core/recipe/reading';
import { overlap } from '@/core/recipe/spans';

/** What a recipe means; what it does not say is left out. */
interface Meaning {
  language: string;
  amounts?: { of: string; stage: string; grams: Range }[];
  turns?: string[];
  steps?: { kind: string; minutes?: Range; celsius?: Range }[];
  bake?: { celsius?: number; minutes?: Range }[];
  pieces?: { count?: number; shape?: string };
  ask?: string[];
}

interface Recipe {
  name: string;
  text: string;
  meaning: Meaning;
}

const FOLDER = process.env.HEFETEIG_RECIPES ?? 'test-data/recipes';

export const RECIPES: readonly Recipe[] = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.txt'))
  .sort()
  .map((file) => ({
    name: file.slice(0, -4),
    text: readFileSync(join(FOLDER, file), 'utf8'),
    meaning: JSON.parse(readFileSync(join(FOLDER, `${file.slice(0, -4)}.json`), 'utf8')) as Meaning,
  }));

interface Count {
  hits: number;
  of: number;
}

export interface Score {
  amounts: Count;
  turns: Count;
  steps: Count;
  bake: Count;
  pieces: Count;
  asks: Count;
  /** Values that were read otherwise than they are meant, and not asked about. */
  wrong: string[];
  /** What is meant and was not read. */
  missed: string[];
  /** Values that were read in all. */
  values: number;
}

export const hitRate = ({ hits, of }: Count): number => (of === 0 ? 1 : hits / of);

const book = ingredientBook(USUAL_INGREDIENTS);
const near = (a: Range, b: Range, by: number) =>
  a[0] <= b[1] + Math.abs(b[1]) * by + 0.01 && b[0] <= a[1] + Math.abs(a[1]) * by + 0.01;
/** Both ends, and not only that they overlap: "30 to 45" is not "30". */
const same = (a: Range, b: Range, by: number) =>
  near([a[0], a[0]], [b[0], b[0]], by) && near([a[1], a[1]], [b[1], b[1]], by);

/** Reads a recipe and counts what of it was read as it is meant. */
export function scoreOf({ name, text, meaning }: Recipe): Score {
  const read = readRecipeText(text, { book, kitchen: 'metric', benchCm: 240 });
  const wrong: string[] = [];
  const missed: string[] = [];
  const isAsked = (span: Span) => read.asks.some((ask) => overlap(ask, span));
  const said = ({ from, to }: Span) => `${name}: “${read.text.slice(from, to).slice(0, 60)}”`;
  const amounts = countAmounts({ read, meaning, isAsked, wrong, missed, said, name });
  const steps = countSteps({ read, meaning, isAsked, wrong, missed, said, name });
  const turns = meaning.turns ?? [];
  const turnHits = turns.filter((fold, i) => read.turns[i] === fold).length;
  if (turns.join() !== read.turns.join() && read.asks.length === 0 && turns.length > 0)
    wrong.push(`${name}: turns ${read.turns.join()} for ${turns.join()}`);
  const bake = meaning.bake ?? [];
  const bakeHits = bake.filter(({ celsius, minutes }, i) => {
    const own = read.bake[i];
    const isHit =
      own !== undefined &&
      (celsius === undefined || (own.celsius !== null && Math.abs(own.celsius - celsius) <= 1)) &&
      (minutes === undefined || (own.minutes !== null && same(own.minutes, minutes, 0)));
    if (!isHit && own && !isAsked(own))
      wrong.push(`${name}: bake ${JSON.stringify(own)} for ${JSON.stringify({ celsius, minutes })}`);
    return isHit;
  }).length;
  const pieces = Object.entries(meaning.pieces ?? {}) as ['count' | 'shape', unknown][];
  const pieceHits = pieces.filter(([key, value]) => read.pieces[key] === value);
  for (const [key, value] of pieces)
    if (read.pieces[key] !== value)
      missed.push(`${name}: ${key} ${String(read.pieces[key])} for ${String(value)}`);
  const asks = meaning.ask ?? [];
  const askHits = asks.filter((part) => {
    const from = read.text.indexOf(part);
    return from >= 0 && isAsked({ from, to: from + part.length });
  });
  for (const part of asks) if (!askHits.includes(part)) missed.push(`${name}: not asked “${part}”`);
  if (read.language !== meaning.language) wrong.push(`${name}: language ${read.language}`);
  return {
    ...{ amounts, steps, wrong, missed },
    turns: { hits: turnHits, of: turns.length },
    bake: { hits: bakeHits, of: bake.length },
    pieces: { hits: pieceHits.length, of: pieces.length },
    asks: { hits: askHits.length, of: asks.length },
    values: read.amounts.length + read.steps.length + read.turns.length + read.bake.length + pieces.length,
  };
}

interface Counting {
  read: RecipeReading;
  meaning: Meaning;
  isAsked: (span: Span) => boolean;
  wrong: string[];
  missed: string[];
  said: (span: Span) => string;
  name: string;
}

function countAmounts({ read, meaning, isAsked, wrong, missed, said, name }: Counting): Count {
  const meant = (meaning.amounts ?? []).map((one) => ({ ...one, id: book.find(one.of)?.id ?? one.of }));
  const left = [...meant];
  for (const one of read.amounts.filter(({ grams }) => grams !== null)) {
    const grams = one.grams as Range;
    const at = left.findIndex(
      ({ id, stage, grams: range }) =>
        id === one.ingredient && stage === one.stage && near(grams, range, 0.01),
    );
    if (at >= 0) left.splice(at, 1);
    else if (!isAsked(one))
      wrong.push(`${said(one)} as ${String(one.ingredient)} ${grams.join('-')} g of ${one.stage}`);
  }
  for (const one of left) missed.push(`${name}: ${one.of} ${one.grams.join('-')} of ${one.stage}`);
  return { hits: meant.length - left.length, of: meant.length };
}

/** Steps in their order: the longest row of hits, as a baker would lay one list beside the other. */
function countSteps({ read, meaning, isAsked, wrong, missed, said, name }: Counting): Count {
  const meant = meaning.steps ?? [];
  const isHit = (a: RecipeReading['steps'][number], b: (typeof meant)[number]) =>
    a.kind === b.kind &&
    (b.minutes === undefined || (a.minutes !== undefined && same(a.minutes, b.minutes, 0.01))) &&
    (b.celsius === undefined || (a.celsius !== undefined && near(a.celsius, b.celsius, 0.03)));
  const best = Array.from({ length: read.steps.length + 1 }, () => Array<number>(meant.length + 1).fill(0));
  for (let i = read.steps.length - 1; i >= 0; i--)
    for (let j = meant.length - 1; j >= 0; j--) {
      const [a, b] = [read.steps[i], meant[j]];
      const hit = a && b && isHit(a, b) ? 1 + (best[i + 1]?.[j + 1] ?? 0) : 0;
      (best[i] as number[])[j] = Math.max(hit, best[i + 1]?.[j] ?? 0, best[i]?.[j + 1] ?? 0);
    }
  const [extra, lost] = [[] as RecipeReading['steps'], [] as typeof meant];
  for (let i = 0, j = 0; i < read.steps.length || j < meant.length;) {
    const [a, b] = [read.steps[i], meant[j]];
    if (a && b && isHit(a, b) && best[i]?.[j] === 1 + (best[i + 1]?.[j + 1] ?? 0)) [i, j] = [i + 1, j + 1];
    else if (b && (!a || (best[i]?.[j + 1] ?? 0) >= (best[i + 1]?.[j] ?? 0)))
      lost.push(meant[j++] as (typeof meant)[number]);
    else extra.push(read.steps[i++] as RecipeReading['steps'][number]);
  }
  // A step that contradicts one that is meant is wrong; one more than the list names is only more.
  for (const step of extra)
    if (lost.some(({ kind }) => kind === step.kind) && !isAsked(step))
      wrong.push(
        `${said(step)} as ${JSON.stringify({ kind: step.kind, minutes: step.minutes, celsius: step.celsius })}`,
      );
    else missed.push(`${said(step)} more: ${step.kind} ${step.minutes?.join('-') ?? ''}`);
  for (const step of lost) missed.push(`${name}: ${JSON.stringify(step)}`);
  return { hits: best[0]?.[0] ?? 0, of: meant.length };
}

const plus = (a: Count, b: Count): Count => ({ hits: a.hits + b.hits, of: a.of + b.of });

export const sumOf = (scores: readonly Score[]): Score =>
  scores.reduce((a, b) => ({
    ...{ amounts: plus(a.amounts, b.amounts), turns: plus(a.turns, b.turns), steps: plus(a.steps, b.steps) },
    ...{ bake: plus(a.bake, b.bake), pieces: plus(a.pieces, b.pieces), asks: plus(a.asks, b.asks) },
    ...{ wrong: [...a.wrong, ...b.wrong], missed: [...a.missed, ...b.missed], values: a.values + b.values },
  }));

/** Hits and misses by kind, one line each. */
export function table(score: Score): string {
  const kinds = ['amounts', 'turns', 'steps', 'bake', 'pieces', 'asks'] as const;
  const percent = (count: Count) => `${(100 * hitRate(count)).toFixed(1)} %`;
  return [
    ...kinds.map(
      (kind) => `${kind.padEnd(8)} ${score[kind].hits} of ${score[kind].of}, ${percent(score[kind])}`,
    ),
    `wrong and not asked: ${score.wrong.length} of ${score.values}`,
  ].join('\n');
}
