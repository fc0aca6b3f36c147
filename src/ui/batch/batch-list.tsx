'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useContext } from 'react';
import { maySee, type Page } from '@/core/shopfloor/rights';
import { SCORE_WORDS } from '@/core/record/marks';
import { Who } from '../live/who';
import { FloorTabs } from '../floor/floor-tabs';
import { countValues } from '../oven/words';
import { TableHead } from '../kit/table-head';

interface Line {
  id: number;
  name: string;
  products: readonly string[];
  finishedAt: number;
  counted: { good: number; second: number; waste: number } | null;
  mean: number | null;
}

/** What is asked for, as it stands in the address. */
export type BatchFilter = Partial<Record<'product' | 'from' | 'to' | 'mark' | 'word', string>>;

/** What is learnt from batches: over months, and by practising. */
const beside = (say: Say): readonly { href: Page; name: string }[] => [
  { href: '/practice', name: say('batch.practice') },
  { href: '/trends', name: say('batch.trends') },
];

const headings = (say: Say) => [
  say('batch.compare'),
  say('batch.batch'),
  say('batch.madeInto'),
  say('batch.finished'),
  say('batch.cameOut'),
  say('batch.marks'),
];
const field = 'min-h-14 rounded border border-edge bg-ground px-3 text-lg';

/** Batches that are done, found by product, date, mark or word. A plain form: the address is the search. */
export function BatchList({
  lines,
  asked,
  trouble,
  zone,
}: {
  lines: readonly Line[];
  asked: BatchFilter;
  trouble: string | null;
  zone: string;
}) {
  const say = useWords();
  const who = useContext(Who);
  return (
    <main className="flex-1">
      <FloorTabs />
      <div className="p-5">
        <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
          <h1 className="text-4xl font-bold">{say('batch.batches')}</h1>
          <div className="flex flex-wrap gap-3">
            {beside(say)
              .filter(({ href }) => !who || maySee(who, href))
              .map(({ href, name }) => (
                <a
                  key={href}
                  href={href}
                  className="grid min-h-14 place-items-center rounded border border-edge bg-flour px-5 text-xl"
                >
                  {name}
                </a>
              ))}
          </div>
        </div>
        <Search asked={asked} />
        {trouble && (
          <p role="alert" className="mt-3 border-l-4 border-warn pl-3 text-lg text-warn">
            {trouble}
          </p>
        )}
        <Found lines={lines} zone={zone} />
      </div>
    </main>
  );
}

function Search({ asked }: { asked: BatchFilter }) {
  const say = useWords();
  return (
    <form role="search" className="flex flex-wrap items-end gap-3">
      <label className="grid gap-1">
        {say('batch.product')}
        <input name="product" defaultValue={asked.product} className={field} />
      </label>
      <label className="grid gap-1">
        {say('batch.from')}
        <input type="date" name="from" defaultValue={asked.from} className={field} />
      </label>
      <label className="grid gap-1">
        {say('batch.to2')}
        <input type="date" name="to" defaultValue={asked.to} className={field} />
      </label>
      <label className="grid gap-1">
        {say('batch.marks')}
        <select name="mark" defaultValue={asked.mark ?? ''} className={field}>
          <option value="">{say('batch.any')}</option>
          {([2, 3, 4] as const).map((mark) => (
            <option key={mark} value={mark}>
              {say('batch.orLess', { mark, SCOREWORDS: say.coded(SCORE_WORDS[mark]) })}
            </option>
          ))}
        </select>
      </label>
      <label className="grid gap-1">
        {say('batch.wordInANote')}
        <input name="word" defaultValue={asked.word} className={field} />
      </label>
      <button className="min-h-14 rounded bg-butter px-6 text-xl font-semibold text-on-butter">
        {say('batch.find')}
      </button>
    </form>
  );
}

/** What was found; ticked batches are compared. A plain form as well. */
function Found({ lines, zone }: { lines: readonly Line[]; zone: string }) {
  const say = useWords();
  return (
    <form
      action="/batches/compare"
      className="mt-4 overflow-x-auto"
      tabIndex={0}
      aria-label={say('batch.batchesFound')}
    >
      <table className="w-full min-w-[44rem] border-collapse text-left text-lg">
        <TableHead headings={headings(say)} />
        <tbody>
          {lines.map(({ id, name, products, finishedAt, counted, mean }) => (
            <tr key={id} className="border-b border-hairline">
              <td>
                <label className="grid size-14 place-items-center">
                  <input type="checkbox" name="dough" value={id} className="size-6" />
                  <span className="sr-only">{say('batch.tick', { name })}</span>
                </label>
              </td>
              <th scope="row" className="pr-4 font-semibold">
                <a href={`/batch/${id}`} className="grid min-h-14 items-center underline underline-offset-4">
                  {name}
                </a>
              </th>
              <td className="pr-4">{products.map((one) => say.named(one)).join(', ')}</td>
              <td className="pr-4 whitespace-nowrap">{say.dateTime(finishedAt, zone)}</td>
              <td className="pr-4">
                {counted ? say('batch.count', countValues(counted)) : say('batch.notCounted')}
              </td>
              <td className="pr-4">
                {mean === null ? say('batch.notJudged') : say('batch.of5', { mean: say.number(mean, 1) })}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {lines.length === 0 && <p className="py-6 text-xl">{say('batch.noBatchIsLikeThat')}</p>}
      {lines.length > 0 && (
        <button className="sticky bottom-3 mt-3 min-h-14 rounded border border-edge bg-flour px-6 text-xl font-semibold">
          {say('batch.compareTicked')}
        </button>
      )}
    </form>
  );
}
