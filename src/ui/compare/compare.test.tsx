import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { commonGround } from '@/core/diagnosis/common-ground';
import { type BatchSummary, summariesOf } from '@/core/diagnosis/summary';
import { playedBatch } from '@/core/double/played-batch';
import type { Compared } from '@/core/wire/compared';
import { crescentDough } from '../../../test-support/crescent';
import { show } from '../../../test-support/view';
import { CompareView } from './compare-view';

vi.mock('next/navigation', () => ({ usePathname: () => '/batches' }));

/** A crescent with what was thought of it. */
function batch(seed: number, mishap: Parameters<typeof playedBatch>[1], marks: Partial<BatchSummary>) {
  const { record, heard } = playedBatch(crescentDough(seed), mishap, seed);
  const [summary] = summariesOf(record, heard);
  if (!summary) throw new Error('It was finished.');
  return { dough: record, summary: { ...summary, ...marks } };
}
const GOOD = { mean: 4.8, seen: [], counted: { good: 40, second: 0, waste: 0 } };
const good = Array.from({ length: 6 }, (_, i) => batch(20 + i, {}, GOOD));
const flat = batch(40, { proofedTo: 1.6 }, { mean: 2, seen: ['flat'], counted: null });

const COMPARED: Compared = {
  product: { id: 5, name: 'Crescent' },
  batches: [...good.slice(0, 2), flat],
  others: [],
  ground: commonGround([...good, flat].map(({ summary }) => summary)),
  ...{ good: 6, judged: 7, since: 0 },
};
const compare = (part: Partial<Compared> = {}) =>
  show(<CompareView compared={{ ...COMPARED, ...part }} zone="UTC" now={0} />);
const row = (name: string) => {
  const heading = screen.getByRole('rowheader', { name });
  return within(heading.closest('tr') ?? heading)
    .getAllByRole('cell')
    .map((cell) => cell.textContent);
};

describe('batches side by side', () => {
  it('have a thread each and their numbers beside the range of the good ones', () => {
    compare();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Crescent: 3 batches side by side');
    expect(within(screen.getByRole('region', { name: 'On one thread' })).getAllByRole('img')).toHaveLength(3);
    const rise = row('Rise when the proof ended');
    expect(rise[0]).toMatch(/^\d+ % to \d+ %$/);
    expect(rise[1]).toMatch(/^\d+ %/);
    expect(rise[3]).toMatch(/^1[3-9]\d %above the good ones$/);
  });

  it('say how each came out, and what nobody counted, judged or measured', () => {
    compare();
    expect(row('Faults seen')).toEqual(['', 'none', 'none', 'Flat or wrinkled']);
    expect(row('Marks')).toEqual(['', '4.8 of 5', '4.8 of 5', '2.0 of 5']);
    expect(row('Result').at(-1)).toBe('not counted');
    const unmeasured = { ...flat.summary, features: { ...flat.summary.features, butter: null } };
    compare({ batches: [...good.slice(0, 1), { ...flat, summary: unmeasured }] });
    expect(screen.getByText('not measured')).toBeTruthy();
  });

  it('ask for more judged batches where too few are good', () => {
    compare({ ground: [], good: 2 });
    expect(screen.getByText(/^Fewer than four good batches were judged since 1 Jan\./)).toBeTruthy();
  });

  it('offer what else came of the same doughs, and say where there is nothing to compare', () => {
    compare({ others: [{ id: 9, name: 'Nut crescent', count: 2 }] });
    const other = screen.getByRole('link', { name: 'Nut crescent, 2 batches' });
    expect(other.getAttribute('href')).toMatch(
      /^\/batches\/compare\?dough=\d+&dough=\d+&dough=\d+&product=9$/,
    );
    compare({ product: null, batches: [] });
    expect(screen.getByText('Select two to six batches in the list, then compare them.')).toBeTruthy();
  });
});
