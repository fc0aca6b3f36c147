import { describe, expect, it } from 'vitest';
import { remembered } from './at-tablet';

const HOUR = 3_600_000;
const person = (name: string) => ({ id: name.length, name, role: 'baker', team: 'nights' });
const kept = (...hours: number[]) =>
  JSON.stringify(hours.map((at, i) => ({ person: person('x'.repeat(i + 1)), at: at * HOUR })));

describe('who may go on at a tablet without a line', () => {
  it('is who has signed in here within a shift, and nobody from longer ago', () => {
    expect(remembered(kept(20, 9, 7), 20 * HOUR).map(({ person: { id } }) => id)).toEqual([1, 2]);
  });

  it('is nobody where a clock was set by more than a shift, or what is kept cannot be read', () => {
    expect(remembered(kept(40), 20 * HOUR)).toEqual([]);
    expect(remembered('{not json', 0)).toEqual([]);
    expect(remembered(null, 0)).toEqual([]);
  });
});
