import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseLocal } from '@/core/time/local';
import { say } from '../../../test-support/words';
import { marksOf } from './marks';

const ZONE = 'Europe/Berlin';
const HOUR = 3_600_000;
const at = (text: string) => parseLocal(text, ZONE) ?? Number.NaN;

describe('marks along the time axis', () => {
  it('lie far enough apart to be read, whatever is shown', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(1, 3, 6, 12, 24, 48, 96, 168, 336),
        fc.integer({ min: 500, max: 1400 }),
        fc.integer({ min: 0, max: 2000 }),
        (hours, width, later) => {
          const from = at('2026-11-17T00:00') + later * 60_000;
          const { times } = marksOf({ from, to: from + hours * HOUR, width }, ZONE, say);
          const xs = times.map((mark) => ((mark.at - from) / (hours * HOUR)) * width);
          xs.slice(1).forEach((x, i) => expect(x - (xs[i] ?? 0)).toBeGreaterThanOrEqual(25.9));
        },
      ),
    );
  });

  it('say hours over days, and minutes within hours', () => {
    const from = at('2026-11-19T04:00');
    const within = (hours: number) => marksOf({ from, to: from + hours * HOUR, width: 900 }, ZONE, say);
    expect(within(1).times[1]?.label).toBe('04:05');
    expect(within(96).times[0]?.label).toBe('06');
    expect(within(96).days).toHaveLength(4);
  });

  it('name the day where no midnight is in view', () => {
    const from = at('2026-11-19T04:00');
    const { days } = marksOf({ from, to: from + 3 * HOUR, width: 900 }, ZONE, say);
    expect(days).toEqual([{ at: from, label: expect.stringContaining('Thu') as string }]);
  });

  it('keep local midnights when the clocks change', () => {
    const from = at('2026-10-24T12:00');
    const { days } = marksOf({ from, to: from + 48 * HOUR, width: 900 }, ZONE, say);
    expect(days.map((mark) => mark.at)).toEqual([at('2026-10-25T00:00'), at('2026-10-26T00:00')]);
  });
});
