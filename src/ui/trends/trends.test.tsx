import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { houseDrifts } from '@/core/diagnosis/trends';
import type { TrendsPage } from '@/core/wire/trends';
import { DAY, monthOf } from '../../../test-support/months';
import { show } from '../../../test-support/view';
import { TrendsView } from './trends-view';
import { hourMarks } from './use-chart';

vi.mock('next/navigation', () => ({ usePathname: () => '/trends' }));

const MONTH = monthOf(24, (day) => (day < 12 ? {} : { baked: 1.15 }));
const PAGE: TrendsPage = {
  ...{ batches: MONTH, left: 0, from: 0, to: 24 * DAY, drifts: [], learnt: [] },
  ...{ machines: { oven: 'Deck oven' }, people: {} },
  measured: [
    { id: 'proofer', label: 'Proofer', capacity: 20 },
    { id: 'oven', label: 'Deck oven', capacity: 9 },
  ],
};
const trends = (part: Partial<TrendsPage> = {}) =>
  show(
    <TrendsView
      trends={{ ...PAGE, ...part }}
      asked={{ weeks: 4, product: null }}
      products={[{ id: 3, name: 'Crescent' }]}
      zone="UTC"
    />,
  );
const region = (name: string) => screen.getByRole('region', { name });
const rowsOf = (name: string) =>
  within(region(name))
    .getAllByRole('row')
    .map((row) => row.textContent);

describe('trends', () => {
  it('name a machine that has changed, how much, since when, and what to do', () => {
    trends({ drifts: houseDrifts(MONTH) });
    const changed = region('What has changed').textContent;
    expect(changed).toMatch(/Deck oven bakes slower: 11\d % of the programme’s time, (9\d|10\d) % before\./);
    expect(changed).toContain('Check the deck temperature with a second thermometer');
    expect(changed).toMatch(/Since 1[234] Jan, 1\d batches\./);
  });

  it('say so where nothing has changed and nothing is learnt', () => {
    trends();
    expect(region('What has changed').textContent).toContain('Nothing has changed');
    expect(region('What the bakery has learned').textContent).toContain('Nothing yet.');
  });

  it('tell shifts apart, and people only where the house names them', () => {
    trends();
    const shifts = rowsOf('By when they were mixed');
    expect(shifts).toHaveLength(3);
    expect(shifts[1]).toMatch(/^Night \(22–06\)12/);
    expect(shifts[2]).toMatch(/^Evening \(14–22\)12.*10\.0 %$/);
    expect(screen.queryByRole('region', { name: 'By who mixed them' })).toBeNull();
    trends({ people: { 0: 'Ida', 1: 'Jonas' } });
    expect(rowsOf('By who mixed them').map((row) => row?.slice(0, 3))).toEqual(['Mix', 'Ida', 'Jon']);
  });

  it('show how long ovens and proofers were in use, and how full, in a table too', async () => {
    // One batch: its loads follow each other, and none lies over another.
    const { user } = trends({ batches: MONTH.slice(0, 1) });
    const chart = await screen.findByRole('region', { name: 'Oven and proofer use' });
    expect(chart.textContent).toContain('Hours of each day');
    await user.click(within(chart).getByText(/table/i));
    const rows = within(chart).getAllByRole('row');
    expect(rows[0]?.textContent).toBe('DayMachineHoursFull');
    expect(rows.slice(1).map((row) => row.textContent)).toEqual([
      '1 JanProofer2.020 %',
      '1 JanDeck oven0.344 %',
    ]);
  });

  it('show how long ovens and proofers were in use by the week where more than a month is asked for', async () => {
    show(<TrendsView trends={PAGE} asked={{ weeks: 13, product: null }} products={[]} zone="UTC" />);
    const chart = await screen.findByRole('region', { name: 'Oven and proofer use' });
    expect(chart.textContent).toContain('mean of the week');
    expect(await screen.findByRole('region', { name: 'Yield by week' })).toBeTruthy();
  });

  it('show what a learned time changed and what it gained', () => {
    const learnt = { written: 95, learnt: 117.6, offWritten: 21.2, offLearnt: 4.4, tried: 9 };
    trends({ learnt: [{ product: 'Crescent', phase: 'proof', ...learnt }] });
    expect(rowsOf('What the bakery has learned')[1]).toBe(
      'Crescent, proof1 h 35 min1 h 58 min21 min4 min9 rises',
    );
  });

  it('without batches ask for a longer period, and say what is still being read', () => {
    trends({ batches: [], left: 3 });
    expect(screen.getByText('No finished batches in this period. Choose a longer one.')).toBeTruthy();
    expect(screen.getByText(/^3 older batches are still being read\./)).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'By product' })).toBeNull();
  });
});

it.each([
  [0.4, [0, 1]],
  [3.5, [0, 1, 2, 3, 4]],
  [9.7, [0, 3, 6, 9, 12]],
  [24, [0, 6, 12, 18, 24]],
])('hours at the axis are round and reach as far as %d', (most, marks) => {
  expect(hourMarks(most)).toEqual(marks);
});
