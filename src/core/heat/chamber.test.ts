import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chamberAfter, heldChamber, type Around, type Chamber } from './chamber';

const RETARDER: Chamber = {
  ...{ holds: 3.6, swing: 0.6, power: -0.6, shut: 240, open: 14 },
  load: { minutes: 90, times: 3 },
};
const PROOFER: Chamber = {
  ...{ holds: 26, swing: 0.4, power: 0.8, shut: 90, open: 8 },
  load: { minutes: 40, times: 1 },
  steam: { holds: 78, power: 1.5 },
};
const SHUT: Around = { celsius: 22, humidity: 45, doorOpen: false };
const OPEN: Around = { ...SHUT, doorOpen: true };
const after = (chamber: Chamber, around: Around, minutes: number, from = heldChamber(chamber)) =>
  chamberAfter(chamber, from, around, minutes);

/** Temperatures of each minute. */
function course(chamber: Chamber, around: Around, minutes: number): number[] {
  let state = heldChamber(chamber);
  return Array.from({ length: minutes }, () => (state = chamberAfter(chamber, state, around, 1)).celsius);
}

describe('a chamber with a thermostat', () => {
  it('stays within its swing for a day as long as nobody opens it', () => {
    for (const chamber of [RETARDER, PROOFER]) {
      const celsius = course(chamber, SHUT, 24 * 60);
      expect(Math.max(...celsius)).toBeLessThan(chamber.holds + chamber.swing + 0.5);
      expect(Math.min(...celsius)).toBeGreaterThan(chamber.holds - chamber.swing - 0.5);
    }
  });

  it('with its door left open is above 7 °C within 40 minutes, and back within two hours of closing it', () => {
    const left = after(RETARDER, OPEN, 40);
    expect(left.celsius).toBeGreaterThan(7);
    expect(left.celsius).toBeLessThan(22);
    expect(after(RETARDER, SHUT, 120, left).celsius).toBeLessThan(RETARDER.holds + 1);
  });

  it('has goods in it that follow slowly: a door open for five minutes hardly warms them', () => {
    const left = after(RETARDER, OPEN, 5);
    expect(left.celsius - RETARDER.holds).toBeGreaterThan(2);
    expect(left.load - RETARDER.holds).toBeLessThan(0.4);
  });

  it('goes to the room’s temperature without current', () => {
    const dead = after(RETARDER, { ...SHUT, powerless: true }, 7 * 24 * 60);
    expect(dead.celsius).toBeCloseTo(22, 1);
    expect(dead.on).toBe(false);
  });

  it('loses its damp air through an open door and steams it back', () => {
    const dry = after(PROOFER, OPEN, 10);
    expect(dry.humidity).toBeLessThan(70);
    expect(after(PROOFER, SHUT, 30, dry).humidity).toBeCloseTo(78, 0);
  });

  it('never gets beyond what is around it and what its machine can do, and takes no time for nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 35, noNaN: true }),
        fc.integer({ min: 0, max: 300 }),
        fc.boolean(),
        (celsius, minutes, doorOpen) => {
          const state = after(PROOFER, { celsius, humidity: 50, doorOpen, powerless: true }, minutes);
          expect(state.celsius).toBeGreaterThanOrEqual(Math.min(26, celsius) - 1e-9);
          expect(state.celsius).toBeLessThanOrEqual(Math.max(26, celsius) + 1e-9);
        },
      ),
    );
    expect(after(PROOFER, OPEN, 0)).toEqual(heldChamber(PROOFER));
  });

  it('comes to the same whether the minutes pass at once or one by one', () => {
    const pieces = course(RETARDER, OPEN, 30);
    expect(after(RETARDER, OPEN, 30).celsius).toBeCloseTo(pieces[29] ?? 0, 3);
  });
});
