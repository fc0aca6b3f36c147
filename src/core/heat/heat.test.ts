import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { conduct, minutesUntil, type Body, type Shape } from './conduction';
import { BUTTER, DOUGH, enthalpyOf, heatAt } from './material';
import { firstMode, minutesToCore } from './mode';
import { films, meanFilm } from './places';

const UNFREEZING = { conductivity: DOUGH.conductivity, density: DOUGH.density, heats: DOUGH.heats };
const body = (shape: Shape, mm: number, material = DOUGH): Body => ({ shape, layers: [{ material, mm }] });
const stay = (minutes: number, celsius: number, film: number) => ({
  minutes,
  celsius,
  top: film,
  bottom: film,
});

describe('enthalpy', () => {
  it('comes back to the temperature it was made from, frozen or not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -35, max: 60, noNaN: true }),
        fc.constantFrom(DOUGH, BUTTER),
        (celsius, material) => {
          const e = enthalpyOf(material);
          expect(e.celsiusOf(e.of(celsius))).toBeCloseTo(celsius, 6);
        },
      ),
    );
  });

  it('holds back some 130 kJ/kg between just below −4 °C and −18 °C, beyond what cooling alone takes', () => {
    const e = enthalpyOf(DOUGH);
    expect(e.of(-4) - e.of(-18)).toBeCloseTo(130 + 1.9 * 14, 6);
  });

  it('takes butter’s melting fat into account between 5 and 25 °C', () => {
    const e = enthalpyOf(BUTTER);
    expect(e.of(25) - e.of(5)).toBeCloseTo(4.3 * 20, 9);
    expect([heatAt(BUTTER, 4), heatAt(BUTTER, 14), heatAt(BUTTER, 30)]).toEqual([2.4, 4.3, 2.3]);
  });
});

describe('conduction', () => {
  it('cools a dough sheet as bakers measure it: 25 mm from 15 °C in a still 3 °C fridge has a core near 9.5 °C after 50 min', () => {
    const cold = conduct(body('slab', 25), 15, [stay(50, 3, 10)]);
    expect(cold.core.at(-1)).toBeCloseTo(9.5, 0);
  });

  it('shows why the freezer is a poor short cut: a cold skin over a core that is not', () => {
    const cold = conduct(body('slab', 25), 15, [stay(20, -18, 12)]);
    expect(cold.core.at(-1)).toBeGreaterThan(7);
    expect(cold.surface.at(-1)).toBeLessThan(4);
  });

  it.each([
    // Bi, ζ₁ and C₁ of an infinite cylinder, from the tables of one-term solutions.
    [0.5, 0.9408, 1.1143],
    [1, 1.2558, 1.2071],
    [2, 1.5995, 1.3384],
  ])('agrees with the textbook series of a cylinder at Bi = %d', (biot, zeta, factor) => {
    const radius = 0.02;
    const film = (biot * UNFREEZING.conductivity) / radius;
    const diffusivity = UNFREEZING.conductivity / (UNFREEZING.density * 2900);
    const minutes = Math.round((0.5 * radius ** 2) / diffusivity / 60);
    const fourier = (diffusivity * minutes * 60) / radius ** 2;
    const core = conduct(body('cylinder', 20, UNFREEZING), 24, [stay(minutes, 4, film)], minutes).core.at(-1);
    expect(core).toBeCloseTo(4 + 20 * factor * Math.exp(-(zeta ** 2) * fourier), 1);
  });

  it('cools a ball as the textbook series says at Bi = 1', () => {
    const radius = 0.03;
    const film = UNFREEZING.conductivity / radius;
    const diffusivity = UNFREEZING.conductivity / (UNFREEZING.density * 2900);
    const minutes = Math.round((0.4 * radius ** 2) / diffusivity / 60);
    const fourier = (diffusivity * minutes * 60) / radius ** 2;
    const core = conduct(body('ball', 30, UNFREEZING), 24, [stay(minutes, 4, film)], minutes).core.at(-1);
    expect(core).toBeCloseTo(4 + 20 * 1.2732 * Math.exp(-(1.5708 ** 2) * fourier), 1);
  });

  it('keeps energy, through freezing and thawing, whatever the layers', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Shape>('slab', 'cylinder', 'ball'),
        fc.integer({ min: 6, max: 60 }),
        fc.integer({ min: -30, max: 30 }),
        fc.integer({ min: -25, max: 35 }),
        (shape, mm, first, second) => {
          const layered = shape === 'slab' ? [DOUGH, BUTTER, DOUGH] : [DOUGH];
          const made: Body = {
            shape,
            layers: layered.map((material) => ({ material, mm: mm / layered.length })),
          };
          const warming = conduct(made, 12, [stay(70, first, 14), stay(50, second, 9)], 10);
          expect(Math.abs(warming.taken - warming.letIn)).toBeLessThan(1e-3 * (1 + Math.abs(warming.taken)));
        },
      ),
      { numRuns: 25 },
    );
  });

  it('cools a thin body as one temperature (Newton) and gives a thick one’s face the air’s, its core nothing', () => {
    const thin = conduct(body('slab', 1), 20, [stay(5, 0, 10)]);
    const lumped = 20 * Math.exp((-2 * 10 * 5 * 60) / (1120 * 0.001 * 2900));
    expect(thin.core.at(-1)).toBeCloseTo(lumped, 1);
    const thick = conduct(body('slab', 400), 20, [stay(5, 0, 4000)]);
    expect(thick.surface.at(-1)).toBeLessThan(0.5);
    expect(thick.core.at(-1)).toBeCloseTo(20, 3);
  });

  it('treats a block of two like layers as one', () => {
    const one = conduct(body('slab', 24), 18, [stay(40, 3, 12)], 40);
    const two = conduct(
      { shape: 'slab', layers: [12, 12].map((mm) => ({ material: DOUGH, mm })) },
      18,
      [stay(40, 3, 12)],
      40,
    );
    expect(two.core.at(-1)).toBeCloseTo(one.core.at(-1) ?? 0, 2);
  });

  it('chills the butter inside a block more slowly than dough alone', () => {
    const layers = [
      { material: DOUGH, mm: 8 },
      { material: BUTTER, mm: 9 },
      { material: DOUGH, mm: 8 },
    ];
    const block = conduct({ shape: 'slab', layers }, 15, [stay(40, 3, 10)], 40);
    const dough = conduct(body('slab', 25), 15, [stay(40, 3, 10)], 40);
    expect(block.core.at(-1)).toBeGreaterThan((dough.core.at(-1) ?? 0) + 0.3);
  });

  it('thaws for hours longer than the sensible heat alone would', () => {
    const thaw = (material: typeof DOUGH) => {
      const warming = conduct(body('cylinder', 18, material), -18, [stay(900, 4, 10)], 5);
      return minutesUntil(warming, warming.core, 2) ?? Infinity;
    };
    expect(thaw(DOUGH)).toBeGreaterThan(thaw(UNFREEZING) + 120);
  });

  it('follows a piece from place to place, and a heavier film on one face', () => {
    const warming = conduct(body('slab', 20), 24, [
      { minutes: 30, celsius: 3, top: 10, bottom: 5 },
      { minutes: 60, celsius: 26, top: 17, bottom: 17 },
    ]);
    expect(warming.top[30]).toBeLessThan(warming.bottom[30] ?? 0);
    expect(warming.core[90]).toBeGreaterThan(warming.core[30] ?? 0);
    expect(warming.minutes).toHaveLength(91);
  });

  it('refuses a body without thickness', () =>
    expect(() => conduct(body('slab', 0), 20, [stay(1, 3, 10)])).toThrow());
});

describe('the quick answer by the first term', () => {
  it('agrees with the whole solution from some minutes on, for every shape', () => {
    for (const shape of ['slab', 'cylinder', 'ball'] as const) {
      const mode = firstMode({ shape, mm: 40 }, UNFREEZING, 12, 15);
      const whole = conduct(body(shape, shape === 'slab' ? 40 : 20, UNFREEZING), 22, [stay(240, 3, 12)]);
      const quick = minutesToCore(mode, 22, 3, 8) ?? NaN;
      expect(Math.abs(quick - (minutesUntil(whole, whole.core, 8) ?? NaN)), shape).toBeLessThan(1.5);
      const mean = 3 + 19 * mode.meanFactor * Math.exp(-60 / mode.settling);
      expect(Math.abs(mean - (whole.mean[60] ?? NaN)), shape).toBeLessThan(0.3);
    }
  });

  it('gives a cylinder about half the time of a slab of its diameter', () => {
    const [slab, rolled] = (['slab', 'cylinder'] as const).map(
      (shape) => firstMode({ shape, mm: 40 }, DOUGH, 10).settling,
    );
    expect((rolled ?? 0) / (slab ?? 1)).toBeGreaterThan(0.4);
    expect((rolled ?? 0) / (slab ?? 1)).toBeLessThan(0.6);
  });

  it('says where a temperature is never reached, or is there already', () => {
    const mode = firstMode({ shape: 'slab', mm: 25 }, DOUGH, 10);
    expect(minutesToCore(mode, 20, 9, 6)).toBeNull();
    expect(minutesToCore(mode, 5, 3, 6)).toBe(0);
    expect(minutesToCore(mode, 4, 22, 12)).toBeGreaterThan(10);
  });
});

describe('places', () => {
  it('pass less heat through a board than through a tray', () => {
    expect(films('fridge', 'board')).toEqual({ top: 10, bottom: 5 });
    expect(meanFilm('fridge', 'tray')).toBe(10);
    expect(meanFilm('fridge', 'tub')).toBe(5);
  });
});
