import * as fc from 'fast-check';
import { expect, it } from 'vitest';
import { kept, USUAL_RETENTION } from './retention';

const at = (text: string) => Date.parse(`${text}Z`);
const NIGHT = 24 * 3_600_000;

it('keeps the newest of each day, week and month, and lets go of what is between', () => {
  const made = [
    ...['2026-09-30T03:00', '2026-10-05T03:00', '2026-10-31T03:00', '2026-11-01T03:00'],
    ...['2026-11-29T03:00', '2026-11-30T03:00', '2026-12-01T03:00', '2026-12-01T12:00'],
  ].map(at);
  const stays = kept(made, { days: 2, weeks: 2, months: 3 });
  expect([...stays].sort()).toEqual(
    // Newest of today and yesterday; of this week and of the one before, which ended on Sunday; of three months.
    ['2026-10-31T03:00', '2026-11-29T03:00', '2026-11-30T03:00', '2026-12-01T12:00'].map(at),
  );
});

it('keeps a night each for a year of nights in the numbers that are asked for', () => {
  const made = Array.from({ length: 400 }, (_, nth) => at('2026-12-01T03:00') - nth * NIGHT);
  const stays = kept(made, USUAL_RETENTION);
  expect(stays.size).toBeLessThanOrEqual(7 + 5 + 12);
  for (let nth = 0; nth < 7; nth++) expect(stays).toContain(made[nth]);
});

it('never lets go of the newest, whatever is asked', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 2e12 }), { minLength: 1 }),
      fc.record({ days: fc.nat(9), weeks: fc.nat(9), months: fc.nat(20) }),
      (made, retention) => {
        const stays = kept(made, retention);
        expect(stays).toContain(Math.max(...made));
        for (const one of stays) expect(made).toContain(one);
      },
    ),
  );
});
