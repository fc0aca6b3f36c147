import { describe, expect, it } from 'vitest';
import { say } from '../../../test-support/words';
import { canZoom, homeWindow, moved, spanWords, zoomed } from './time-window';

const HOUR = 3_600_000;
const NOW = Date.UTC(2026, 10, 19, 3, 10);
const ZONE = 'Europe/Berlin';

describe('the stretch of time that the plan shows', () => {
  it('goes from one hour to a fortnight in steps, and no further', () => {
    const closest = { from: NOW, hours: 1 };
    const widest = { from: NOW, hours: 336 };
    expect(zoomed(closest, -1)).toEqual(closest);
    expect(zoomed(widest, 1)).toEqual(widest);
    expect([canZoom(1, -1), canZoom(1, 1), canZoom(336, 1)]).toEqual([false, true, false]);
  });

  it('keeps its middle when it comes closer', () => {
    const before = { from: NOW, hours: 96 };
    const after = zoomed(before, -1);
    expect(after.hours).toBe(48);
    expect(after.from + 24 * HOUR).toBe(before.from + 48 * HOUR);
    expect(zoomed(after, 1)).toEqual(before);
  });

  it('moves by an eighth, and back', () => {
    const before = { from: NOW, hours: 96 };
    expect(moved(before, 1).from - before.from).toBe(12 * HOUR);
    expect(moved(moved(before, 1), -1)).toEqual(before);
  });

  it('shows now when it goes home, however wide it is', () => {
    for (const hours of [1, 6, 24, 48, 96, 336]) {
      const { from } = homeWindow(NOW, hours, ZONE);
      expect(from).toBeLessThan(NOW);
      expect(from + hours * HOUR).toBeGreaterThan(NOW);
    }
  });

  it('is named as people say it', () => {
    expect([1, 6, 24, 48, 336].map((hours) => say.coded(spanWords(hours)))).toEqual([
      '1 hour',
      '6 hours',
      '24 hours',
      '2 days',
      '14 days',
    ]);
  });
});
