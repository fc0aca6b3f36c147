import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { namePlace } from './name-place';

describe('the name of a thread', () => {
  it('is always on the screen where the thread is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 400, max: 1400 }),
        fc.integer({ min: -20_000, max: 1400 }),
        fc.integer({ min: 1, max: 30_000 }),
        (width, begins, length) => {
          fc.pre(begins < width && begins + length > 0);
          const { left } = namePlace(begins, begins + length, width);
          expect(left).toBeGreaterThanOrEqual(0);
          expect(left).toBeLessThan(width);
        },
      ),
    );
  });

  it('stands before the thread, after it, or over it where it fills the row', () => {
    expect(namePlace(400, 700, 900)).toEqual({ left: 204, overThread: false });
    expect(namePlace(20, 500, 900)).toEqual({ left: 562, overThread: false });
    expect(namePlace(-300, 5000, 900)).toEqual({ left: 4, overThread: true });
  });
});
