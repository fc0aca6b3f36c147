import { describe, expect, it } from 'vitest';
import { did, MIN } from '../../../test-support/floor';
import { laminatedDough } from '../../../test-support/laminated';
import type { Today } from '../forecast/windows';
import { warmWork } from './warm-work';

const HOUR = 60 * MIN;
const today = (room: number, course?: number[]): Today => ({
  bakery: { kind: 'room', celsius: room, ...(course ? { course: { from: 0, hours: course } } : {}) },
  freezer: { kind: 'freezer', celsius: -18 },
});
const dough = laminatedDough([did('start', 'mix', 0), did('finish', 'mix', 15)]);
const step = (key: string, of = dough) => {
  const found = of.steps.find((one) => one.key === key);
  if (!found) throw new Error(`There is no ${key}.`);
  return found;
};
const warm = (room: number, key = 'lock-in', of = dough) => warmWork(of, step(key, of), today(room), 0);

describe('a room that is too warm to laminate in', () => {
  it('is warned of before the lock-in and at each turn, above what this butter takes', () => {
    const hot = warm(36);
    expect(hot?.room).toBe(36);
    expect(hot?.firm).toBeLessThan(hot?.work ?? 0);
    expect(hot?.limit).toBeLessThan(36);
    expect(warm(36, 'butter')).toEqual(hot);
    expect(warm(42, 'turn-1')?.firm).toBeLessThan(warm(42, 'lock-in')?.work ?? 0);
    expect(warm((hot?.limit ?? 0) - 0.5)).toBeNull();
    expect(warm(36, 'mix')).toBeNull();
  });

  it('depends on the product: what is hot for butter is not for margarine', () => {
    const limit = warm(45)?.limit ?? NaN;
    const soft = laminatedDough([]);
    const firm = {
      ...soft,
      lamination: soft.lamination && { ...soft.lamination, fat: 'margarine' as const },
    };
    expect(warm(45, 'lock-in', firm)?.limit ?? 45).toBeGreaterThan(limit);
  });

  it('is helped by the freezer, by smaller parts and by a cooler hour, with what each costs', () => {
    const room = (warm(36)?.limit ?? 0) + 3;
    const ways = warm(room)?.ways ?? [];
    expect(ways.map(({ kind }) => kind)).toEqual(['freezer', 'parts']);
    const [freezer, parts] = ways;
    expect(freezer?.kind === 'freezer' && freezer.minutes).toBeGreaterThan(0);
    expect(parts).toMatchObject({ kind: 'parts', parts: 2 });
    // Cooler from some hour on: that is offered, the first of them.
    const start = step('lock-in').start;
    const cooler = Array.from({ length: 40 }, (_, hour) => (hour * HOUR > start + 5 * HOUR ? 18 : 36));
    const later = warmWork(dough, step('lock-in'), today(36, cooler), 0)?.ways.find(
      ({ kind }) => kind === 'later',
    );
    expect(later).toMatchObject({ kind: 'later', celsius: 18 });
  });

  it('reckons with what the room is expected to have by then, not with what it has now', () => {
    const cool = Array.from({ length: 40 }, () => 18);
    expect(warmWork(dough, step('lock-in'), today(38, cool), 0)).toBeNull();
  });

  it('is the room in which it is rolled, and not a store that comes first', () => {
    const stores: Today = { store: { kind: 'room', celsius: 12 }, ...today(36) };
    const inBakery = { ...step('lock-in'), place: 'bakery' };
    const own = { ...dough, steps: dough.steps.map((one) => (one.key === 'lock-in' ? inBakery : one)) };
    expect(warmWork(own, inBakery, stores, 0)?.room).toBe(36);
  });

  it('is nobody’s business when it is rolled', () => {
    const rolled = laminatedDough(
      ['mix', 'butter', 'butter-out', 'lock-in'].flatMap((key, i) => [
        did('start', key, 20 * i),
        did('finish', key, 20 * i + 9),
      ]),
    );
    expect(warm(38, 'lock-in', rolled)).toBeNull();
  });
});
