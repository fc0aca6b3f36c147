import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type MachineUse, machineHours } from './machine-use';
import { periodOf } from './periods';

const HOUR = 3_600_000;
const OVEN = { id: 'oven', capacity: 8 };
const use = (from: number, to: number, amount = 4): MachineUse => ({
  ...{ machine: 'oven', from: from * HOUR, to: to * HOUR, amount },
});
const by = (uses: MachineUse[], period: 'day' | 'week' = 'day', zone = 'UTC') =>
  machineHours([{ uses }], [OVEN], zone, period);

describe('how much an oven is used', () => {
  it('is the hours in which something was in it, and how full it was then', () => {
    expect(by([use(4, 6), use(8, 9, 8)])).toEqual([
      { from: '1970-01-01', machine: 'oven', hours: 3, full: (2 * 4 + 8) / 3 / 8 },
    ]);
  });

  it('counts loads beside each other once, and both in how full it is', () => {
    const [day] = by([use(4, 6), use(5, 6)]);
    expect(day?.hours).toBe(2);
    expect(day?.full).toBeCloseTo((2 * 4 + 4) / 2 / 8, 10);
  });

  it('counts for both days what crosses midnight where the bakery is', () => {
    expect(by([use(22, 26)]).map(({ from, hours }) => [from, hours])).toEqual([
      ['1970-01-01', 2],
      ['1970-01-02', 2],
    ]);
    expect(by([use(23, 24)], 'day', 'Europe/Berlin').map(({ from }) => from)).toEqual(['1970-01-02']);
  });

  it('of a week is what a day of it has in the mean', () => {
    expect(by([use(4, 11)], 'week')).toEqual([{ from: '1969-12-29', machine: 'oven', hours: 1, full: 0.5 }]);
  });

  it('knows no machine but those that are asked for', () => {
    expect(by([{ ...use(4, 6), machine: 'other' }])).toEqual([]);
  });

  it('is never more than the time there is, and days add up to all the hours', () => {
    const spans = fc.array(
      fc
        .tuple(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 1, max: 20 }))
        .map(([from, lasts]) => use(from, from + lasts)),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(spans, (uses) => {
        const days = by(uses);
        for (const { hours } of days) expect(hours).toBeLessThanOrEqual(24);
        const covered = new Set(
          uses.flatMap(({ from, to }) =>
            Array.from({ length: (to - from) / HOUR }, (_, i) => from / HOUR + i),
          ),
        );
        expect(days.reduce((sum, { hours }) => sum + hours, 0)).toBeCloseTo(covered.size, 6);
      }),
    );
  });
});

it('a period is a day, or the Monday of its week, where the bakery is', () => {
  const thursday = Date.UTC(2026, 10, 19, 23, 30);
  expect(periodOf(thursday, 'UTC', 'day')).toBe('2026-11-19');
  expect(periodOf(thursday, 'Europe/Berlin', 'day')).toBe('2026-11-20');
  expect(periodOf(thursday, 'UTC', 'week')).toBe('2026-11-16');
});
