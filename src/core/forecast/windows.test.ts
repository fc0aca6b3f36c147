import { describe, expect, it } from 'vitest';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { onMachines } from '../process/on-machines';
import { SMALL_SIZES } from '../../../test-support/floor';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import { expandDough, type DoughStep, type ExpandedDough } from '../process/expand';
import type { ProductSpec, Rise, RouteStep } from '../process/route';
import {
  NO_OBSERVATIONS,
  movedWindows,
  settleWindows,
  type Observation,
  type Observations,
  type Today,
} from './windows';
import { inEnglish } from '../../../test-support/words';

const PROOF: Rise = { yeast: 'bakers', celsius: 26, minutes: 150, early: 0.8, late: 1.25 };
const rolled = { piece: { shape: 'cylinder' as const, mm: 40, lying: 'tray' as const } };

/** The small product with a night in the cold before its proof, and a rest that is for a core of 6 °C. */
const PRODUCT: ProductSpec = {
  ...SMALL_PRODUCT,
  rises: { proof: PROOF },
  route: {
    ...SMALL_PRODUCT.route,
    dough: {
      ...SMALL_PRODUCT.route.dough,
      steps: SMALL_PRODUCT.route.dough.steps.map((step): RouteStep =>
        step.id === 'rest'
          ? { ...step, place: 'retarder', until: 6, piece: { shape: 'slab', mm: 24, lying: 'tray' } }
          : step,
      ),
    },
    output: {
      steps: SMALL_PRODUCT.route.output.steps.flatMap((step): RouteStep[] => {
        if (step.id !== 'proof') return [step];
        const wait = { shortest: 420, best: 600, longest: 900, shortCost: 1, longCost: 1 };
        const night: RouteStep = {
          ...{
            id: 'night',
            kind: 'retard',
            label: 'Cold proof',
            around: 4,
            settling: 40,
            place: 'retarder',
            wait,
          },
          ...{ rise: { phase: 'proof' }, ...rolled },
        };
        return [
          night,
          { ...step, around: 26, place: 'proofer', rise: { phase: 'proof', decides: true }, ...rolled },
        ];
      }),
      links: ['shape', 'night', 'proof', 'load', 'bake', 'finish'].flatMap((to, i, all) => {
        const from = all[i - 1];
        return from ? [{ from, to, min: 0, max: 0 }] : [];
      }),
    },
  },
};

const usual: Today = {
  retarder: { celsius: 4, kind: 'fridge' },
  proofer: { celsius: 26, kind: 'proofer' },
};
const base = onMachines(expandDough([{ id: 5, product: PRODUCT, pieces: 40 }], SMALL_SIZES), ONE_OF_EACH);
const products = new Map([
  [null, PRODUCT],
  [5, PRODUCT],
]);
const settled = (today = usual, known: Partial<Observations> = {}): ExpandedDough =>
  settleWindows(base, products, today, { ...NO_OBSERVATIONS, ...known });
const step = (dough: ExpandedDough, key: string): DoughStep => {
  const found = dough.steps.find((one) => one.key === key);
  if (!found) throw new Error(`No step ${key}.`);
  return found;
};
const lasting = (key: string, minutes: number) => ({ steps: new Map([[key, { minutes }]]) });

describe('the window of a proof', () => {
  it('is shorter by what has risen overnight, and longer again by the cold start', () => {
    const proof = step(settled(), '5.1.proof');
    expect(proof.target).toBeLessThan(150);
    expect(proof.target).toBeGreaterThan(80);
    expect(proof.min).toBeLessThan(proof.target);
    expect(proof.max).toBeGreaterThan(proof.target);
    expect(proof.risen?.after).toBeGreaterThan(proof.risen?.before ?? 0);
  });

  it('closes as the night grows longer, since they share one fermentation', () => {
    const [short, long] = [420, 900].map((minutes) =>
      step(settled(usual, lasting('5.1.night', minutes)), '5.1.proof'),
    );
    expect((short?.target ?? 0) - (long?.target ?? 0)).toBeGreaterThan(25);
  });

  it('moves with a fridge at 7 °C, with the dose of yeast, and with the time that the house has learnt', () => {
    const usually = step(settled(), '5.1.proof').target;
    const warm = step(settled({ ...usual, retarder: { celsius: 7, kind: 'fridge' } }), '5.1.proof');
    expect(warm.target).toBeLessThan(usually - 15);
    expect(step(settled(usual, { dose: 0.5 }), '5.1.proof').target).toBeGreaterThan(usually + 60);
    const slow = new Map([[5, { rises: { proof: { ...PROOF, minutes: 180 } } }]]);
    expect(step(settleWindows(base, slow, usual), '5.1.proof').target).toBeGreaterThan(usually + 20);
  });

  it('takes the proofer’s setting for a proof to come, and what is measured for one under way', () => {
    const cool = { ...usual, proofer: { celsius: 22, kind: 'proofer' as const } };
    expect(step(settled(cool), '5.1.proof').target).toBe(step(settled(), '5.1.proof').target);
    const underway = { steps: new Map([['5.1.proof', { around: 22 }]]) };
    expect(step(settled(cool, underway), '5.1.proof').target).toBeGreaterThan(
      step(settled(), '5.1.proof').target + 20,
    );
  });

  it('of a night that was put into the room is over when the pieces have risen there, not when the night would be', () => {
    const warm = (key: string, minute: number) =>
      step(settled(usual, { steps: new Map([[key, { around: 24, moved: { minute, before: 4 } }]]) }), key);
    const [cold, moved] = [step(settled(), '5.1.night'), warm('5.1.night', 60)];
    expect(moved.max).toBeLessThan(cold.min);
    expect(moved.target).toBeGreaterThan(60);
    expect(warm('5.1.night', 120).target).toBeGreaterThan(moved.target);
    const back = { steps: new Map([['5.1.night', { around: 3, moved: { minute: 30, before: 4 } }]]) };
    expect(step(settled(usual, back), '5.1.night').target).toBe(cold.target);
  });

  it('of a rest goes on from what was measured, and from where it was put', () => {
    const rest = (known: Observation) =>
      step(settled(usual, { steps: new Map([['rest', known]]) }), 'rest').min;
    const usually = step(settled(), 'rest').min;
    expect(rest({ reading: { minute: 20, celsius: 15 } })).toBeGreaterThan(usually + 10);
    expect(rest({ around: -18, moved: { minute: 10, before: 4 } })).toBeLessThan(usually);
  });

  it('of a retard that was put into the room is a bulk of its own', () => {
    const rises = { proof: PROOF, bulk: { ...PROOF, celsius: 24, minutes: 60 } };
    const there = { steps: new Map([['retard', { around: 24, moved: { minute: 10, before: 4 } }]]) };
    const dough = settleWindows(
      base,
      new Map([
        [null, { rises }],
        [5, { rises }],
      ]),
      usual,
      { ...NO_OBSERVATIONS, ...there },
    );
    expect(step(dough, 'retard').target).toBeLessThan(150);
    const late = { steps: new Map([['retard', { around: 24, moved: { minute: 200, before: 4 } }]]) };
    const lately = settleWindows(
      base,
      new Map([
        [null, { rises }],
        [5, { rises }],
      ]),
      usual,
      { ...NO_OBSERVATIONS, ...late },
    );
    // Whatever it did in the cold before, it needs its time in the room.
    expect(step(lately, 'retard').min).toBeGreaterThan(200 + 30);
    expect(step(lately, 'retard').max).toBeLessThan(480);
    expect(step(settled(), 'retard').target).toBe(480);
  });

  it('is later where the load was put into the cold, the earlier the later', () => {
    const putAway = (minute: number) =>
      step(
        settled(usual, { steps: new Map([['5.1.proof', { around: 4, moved: { minute, before: 26 } }]]) }),
        '5.1.proof',
      ).target;
    const never = step(settled(), '5.1.proof').target;
    expect(putAway(60)).toBeGreaterThan(never);
    expect(putAway(30)).toBeGreaterThan(putAway(60));
    const all = settled(usual, { steps: new Map([['5.1.proof', { around: 4 }]]) });
    expect(Math.abs(putAway(0) - step(all, '5.1.proof').target)).toBeLessThan(3);
    // What is measured after it was moved counts, and not what is reckoned.
    const measured = { around: 4, moved: { minute: 30, before: 26 }, reading: { minute: 40, celsius: 20 } };
    const warm = settled(usual, { steps: new Map([['5.1.proof', measured]]) });
    const cold = settled(usual, {
      steps: new Map([['5.1.proof', { ...measured, reading: { minute: 40, celsius: 8 } }]]),
    });
    expect(step(warm, '5.1.proof').target).toBeLessThan(step(cold, '5.1.proof').target);
  });

  it('goes on from the temperature that was measured in the dough, and not from what was reckoned', () => {
    const measured = (celsius: number) => ({
      steps: new Map([['5.1.proof', { reading: { minute: 20, celsius } }]]),
    });
    const [cold, warm] = [8, 20].map(
      (celsius) => step(settled(usual, measured(celsius)), '5.1.proof').target,
    );
    expect((cold ?? 0) - (warm ?? 0)).toBeGreaterThan(10);
  });

  it('says so where it never rises, and keeps what the house has set', () => {
    const dead = {
      steps: new Map([
        ['5.1.proof', { around: 60 }],
        ['5.1.night', { minutes: 1 }],
      ]),
    };
    const proof = step(settled(usual, dead), '5.1.proof');
    expect(proof.remark).toMatchObject({ code: 'no-rise', around: 60 });
    expect([proof.min, proof.max]).toEqual([60, 120]);
  });

  it('is what a look says: ready now, over by now, or as much slower as it should have been ready', () => {
    const { min, target, max } = step(settled(), '5.1.proof');
    const looked = (minutes: number, verdict: 'under' | 'right' | 'over') =>
      step(
        settled(usual, { steps: new Map([['5.1.proof', { judged: { minutes, verdict } }]]) }),
        '5.1.proof',
      );
    expect(inEnglish(looked(min - 20, 'right'))).toMatchObject({ min: min - 20, target: min - 20 });
    expect(inEnglish(looked(target - 5, 'over'))).toMatchObject({ target: target - 5 });
    expect(looked(target - 5, 'over').max).toBeLessThan(max);
    // Before it could be ready, "not yet" is no news.
    expect(inEnglish(looked(min / 2, 'under'))).toMatchObject({ min, target, max });
    const slower = looked(target, 'under');
    expect(slower.min).toBeGreaterThanOrEqual(target + 10);
    expect(slower.target).toBeGreaterThan(slower.min);
    expect(slower.max).toBeGreaterThan(max);
  });

  it('does not end before somebody wants to look again', () => {
    const proof = step(settled(usual, { steps: new Map([['5.1.proof', { atLeast: 400 }]]) }), '5.1.proof');
    expect([proof.min, proof.target, proof.max]).toEqual([400, 400, 400]);
  });
});

describe('a rest for the sake of a core temperature', () => {
  const warm = (celsius: number) => ({
    steps: new Map([['turn-1', { minutes: 8, reading: { minute: 8, celsius } }]]),
  });

  it('is at least as long as the core takes in this bakery today', () => {
    const [cool, hot] = [warm(6.4), warm(16)].map((known) => step(settled(usual, known), 'rest'));
    expect(cool?.min).toBe(30);
    expect(hot?.min).toBeGreaterThan(60);
    expect(hot?.target).toBeGreaterThanOrEqual(hot?.min ?? 0);
    const still = step(settled({ ...usual, retarder: { celsius: 5.5, kind: 'fridge' } }, warm(16)), 'rest');
    expect(still.min).toBeGreaterThan((hot?.min ?? 0) + 30);
  });

  it('says so where the cold store is too warm for it', () => {
    const rest = step(settled({ ...usual, retarder: { celsius: 9, kind: 'fridge' } }, warm(16)), 'rest');
    expect(rest.remark).toEqual({ code: 'core-out-of-reach', around: 9, until: 6 });
  });
});

describe('windows that moved', () => {
  it('are named when they moved by more than some minutes', () => {
    const hot = settled({ ...usual, retarder: { celsius: 7, kind: 'fridge' } });
    expect(movedWindows(settled(), hot, 3)).toContain('5.1.proof');
    expect(movedWindows(settled(), settled(), 3)).toEqual([]);
  });

  it('leave everything else as the house has set it', () => {
    const untouched = base.steps.filter(({ key }) => !['rest', '5.1.proof'].includes(key));
    for (const { key, min, target, max } of untouched)
      expect(inEnglish(step(settled(), key))).toMatchObject({ min, target, max });
  });
});
