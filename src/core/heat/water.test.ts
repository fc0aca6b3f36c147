import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  doughCelsius,
  factorRule,
  frictionFactor,
  liquidCelsius,
  minutesToCool,
  riseOf,
  waterAnswer,
  WATER_HEAT,
  type MixQuestion,
} from './water';

const parts = (room: number) => [
  { kg: 10, heat: 1.8, celsius: room },
  { kg: 1.2, heat: 1.25, celsius: room },
  { kg: 0.8, heat: 4.3, celsius: 6 },
];
const question = (room: number, more: Partial<MixQuestion> = {}): MixQuestion => ({
  ...{ parts: parts(room), liquid: { kg: 4.9, heat: WATER_HEAT, isWater: true }, target: 24, rise: 6 },
  ...{ coldest: 14, ice: -10, warmest: 43 },
  ...more,
});

describe('water for a dough temperature', () => {
  it('brings the dough to its target, whatever goes in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 35, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 18, max: 28, noNaN: true }),
        (room, rise, target) => {
          const liquid = { kg: 4.9, heat: WATER_HEAT };
          const celsius = liquidCelsius({
            parts: parts(room),
            liquid: { ...liquid, isWater: true },
            target,
            rise,
          });
          expect(doughCelsius(parts(room), { ...liquid, celsius }, rise)).toBeCloseTo(target, 8);
        },
      ),
    );
  });

  it('replaces water by ice on a hot day, and the ice brings the dough to its target too', () => {
    const answer = waterAnswer(question(30));
    if (answer.kind !== 'ice') throw new Error(answer.kind);
    expect(answer.iceKg + answer.waterKg).toBeCloseTo(4.9, 9);
    const water = { kg: answer.waterKg, heat: WATER_HEAT, celsius: answer.celsius };
    expect(riseOf([...parts(30), water], answer.iceKg, -10, 24)).toBeCloseTo(6, 8);
  });

  it('says how warm the dough gets where ice alone does not do, and where milk cannot be replaced by ice', () => {
    const hot = waterAnswer(question(35, { liquid: { kg: 0.6, heat: WATER_HEAT, isWater: true } }));
    expect(hot).toMatchObject({ kind: 'too-warm-room', iceKg: 0.6 });
    expect(hot.kind === 'too-warm-room' && hot.dough).toBeGreaterThan(24);
    const milk = waterAnswer(question(30, { liquid: { kg: 4.9, heat: 3.9, isWater: false }, coldest: 14 }));
    expect(milk).toMatchObject({ kind: 'too-warm-room', celsius: 14, iceKg: 0 });
  });

  it('stops above 43 °C and offers warmer flour or a cooler dough instead', () => {
    const answer = waterAnswer(question(6, { target: 26, rise: 1 }));
    if (answer.kind !== 'too-hot') throw new Error(answer.kind);
    expect(answer.celsius).toBeGreaterThan(43);
    expect(answer.dough).toBeLessThan(26);
    const warmed = parts(6).map((part, i) =>
      i === 0 ? { ...part, celsius: answer.flourCelsius ?? 0 } : part,
    );
    expect(doughCelsius(warmed, { kg: 4.9, heat: WATER_HEAT, celsius: 43 }, 1)).toBeCloseTo(26, 8);
  });

  it('refuses a dough without liquid', () => {
    expect(() =>
      liquidCelsius({ ...question(20), liquid: { kg: 0, heat: WATER_HEAT, isWater: true } }),
    ).toThrow(/no liquid/);
  });
});

describe('the factor rule', () => {
  it('takes back the factor of the mix it was learnt from', () => {
    const factor = frictionFactor(25, 12, [21, 22]);
    expect(factorRule(25, [21, 22], factor)).toBeCloseTo(12, 9);
  });

  it('has a factor of about three times the rise in a plain dough', () => {
    const celsius = liquidCelsius(question(21, { parts: parts(21).slice(0, 1) }));
    const factor = frictionFactor(24, celsius, [21, 21]);
    expect(factor / 6).toBeGreaterThan(2);
    expect(factor / 6).toBeLessThan(4);
  });
});

describe('warmed milk', () => {
  it('comes down by itself in the better part of an hour or two, in a cold bath in minutes', () => {
    const milk = { kg: 4, heat: 3.9, from: 60, to: 30, around: 22 };
    const [standing, bath] = [minutesToCool(milk, 12), minutesToCool({ ...milk, around: 8 }, 300)];
    expect(standing).toBeGreaterThan(60);
    expect(bath).toBeLessThan(15);
  });

  it('is cold enough already, or never gets there', () => {
    expect(minutesToCool({ kg: 1, heat: 3.9, from: 20, to: 30, around: 22 }, 12)).toBe(0);
    expect(minutesToCool({ kg: 1, heat: 3.9, from: 60, to: 20, around: 22 }, 12)).toBeNull();
  });
});
