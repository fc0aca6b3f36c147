import { describe, expect, it } from 'vitest';
import { chillTo, type RolledSheet, firmFor, warmestRoom } from './warm-room';

const sheet: RolledSheet = { mm: 8, fatFraction: 0.25, celsius: 6, fat: 'butter-82', work: 15 };

describe('butter in a warm room', () => {
  it('is soft sooner the warmer the room, and never in one that is cooler than it must be', () => {
    const [at24, at31] = [firmFor(sheet, 24) ?? NaN, firmFor(sheet, 31) ?? NaN];
    expect(at24).toBeGreaterThan(at31);
    expect(at31).toBeGreaterThan(4);
    expect(firmFor(sheet, 16)).toBeNull();
    expect(firmFor({ ...sheet, celsius: 17 }, 24)).toBe(0);
  });

  it('has a warmest room that depends on the fat, the sheet and the work', () => {
    const limit = warmestRoom(sheet);
    expect(limit).toBeGreaterThan(20);
    expect(limit).toBeLessThan(30);
    // In that room it holds as long as the work takes, and half a degree more is too much.
    expect(firmFor(sheet, limit) ?? Infinity).toBeGreaterThanOrEqual(sheet.work);
    expect(firmFor(sheet, limit + 1) ?? Infinity).toBeLessThan(sheet.work);
    expect(warmestRoom({ ...sheet, fat: 'butter-84' })).toBeGreaterThan(limit);
    expect(warmestRoom({ ...sheet, mm: 14 })).toBeGreaterThan(limit);
    expect(warmestRoom({ ...sheet, work: 25 })).toBeLessThan(limit);
  });

  it('is gained by the freezer: some minutes, more for a thicker block, none where it is cold', () => {
    const minutes = chillTo(sheet, 2, -18) ?? NaN;
    expect(minutes).toBeGreaterThan(2);
    expect(minutes).toBeLessThan(30);
    expect(chillTo({ ...sheet, mm: 30 }, 2, -18) ?? 0).toBeGreaterThan(minutes);
    expect(chillTo({ ...sheet, celsius: 1 }, 2, -18)).toBe(0);
    expect(chillTo(sheet, 2, 4)).toBeNull();
  });
});
