import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ingredientBook, measuringOf } from '../formula/ingredient';
import { USUAL_INGREDIENTS } from '../formula/ingredients';
import { readAmount } from './amount';
import { kitchenOf } from './measures';
import { unreadIn, weigh } from './weigh';
import type { AmountLanguage } from './words';
import { inEnglish } from '../../../test-support/words';

/** An amount as a baker writes it, and what is meant by it. */
interface Written {
  text: string;
  of: string;
  country: string;
  language: AmountLanguage;
  /** What is weighed lies between; of a range its lower end. */
  grams?: [number, number];
  percent?: number;
  uncounted?: true;
  /** It must not be guessed. */
  ask?: true;
}

const FILE = process.env.HEFETEIG_AMOUNTS ?? 'test-data/amounts.json';
const written = JSON.parse(readFileSync(FILE, 'utf8')) as Written[];
const book = ingredientBook(USUAL_INGREDIENTS);
/** Weights may be rounded in the table. */
const CLOSE = 0.005;

type Outcome = { grams: number } | { percent: number } | 'uncounted' | { ask: string };

function readAs({ text, of, country, language }: Written): Outcome {
  const read = readAmount(text, language);
  if (!read.ok) return { ask: inEnglish(read.message) };
  const measuring = measuringOf(book.find(of), kitchenOf(country), of);
  const [term] = read.value.values[0] ?? [];
  if (term?.unit === '%') {
    const unread = unreadIn(read.value, measuring);
    return unread === null ? { percent: term.from } : { ask: unread };
  }
  const weighed = weigh(read.value, measuring);
  if (!weighed.ok) return { ask: inEnglish(weighed.message) };
  return read.value.uncounted ? 'uncounted' : { grams: weighed.value.grams };
}

function isRight({ grams, percent, uncounted, ask }: Written, outcome: Outcome): boolean {
  if (outcome === 'uncounted') return uncounted === true;
  if ('ask' in outcome) return ask === true;
  if ('percent' in outcome) return percent !== undefined && Math.abs(percent - outcome.percent) < 1e-9;
  if (!grams) return false;
  const slack = CLOSE * grams[1];
  return outcome.grams >= grams[0] - slack && outcome.grams <= grams[1] + slack;
}

const told = (one: Written, outcome: Outcome) =>
  `${JSON.stringify(one.text)} of ${one.of} (${one.country}, ${one.language}): ${JSON.stringify(outcome)}, meant ${JSON.stringify(one.grams ?? one.percent ?? (one.ask ? 'ask' : 'uncounted'))}`;

describe(`amounts as bakers write them (${FILE})`, () => {
  const misses = written
    .map((one) => ({ one, outcome: readAs(one) }))
    .filter(({ one, outcome }) => !isRight(one, outcome));

  it('are many', () => expect(written.length).toBeGreaterThanOrEqual(process.env.HEFETEIG_AMOUNTS ? 1 : 250));

  it('are never guessed where they could mean something else', () => {
    expect(misses.filter(({ one }) => one.ask).map(({ one, outcome }) => told(one, outcome))).toEqual([]);
  });

  it('are read, 98 of a hundred', () => {
    const unread = misses.filter(({ one }) => !one.ask).map(({ one, outcome }) => told(one, outcome));
    if (unread.length > 0) process.stdout.write(`${unread.join('\n')}\n`);
    expect(unread.length).toBeLessThanOrEqual(0.02 * written.filter(({ ask }) => !ask).length);
  });
});
