import { describe, expect, it } from 'vitest';
import { smallDough, SMALL_SIZES } from '../../../test-support/floor';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import { COOLER, extraLoads, withChanges } from './changes';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { onMachines } from './on-machines';
import { expandDough } from './expand';
import { settleWindows } from '../forecast/windows';
import { inEnglish } from '../../../test-support/words';

const step = (dough: ReturnType<typeof smallDough>, key: string) =>
  dough.steps.find((one) => one.key === key);

describe('a dough that leaves its route', () => {
  const dough = smallDough();

  it('is the same where nothing is decided', () => {
    expect(withChanges(dough, [])).toBe(dough);
  });

  it('may wait half as long again in the one wait that is named', () => {
    const longer = withChanges(dough, [{ kind: 'longer', target: 'retard' }]);
    expect(step(longer, 'retard')?.max).toBe(1.5 * (step(dough, 'retard')?.max ?? 0));
    const others = (of: typeof dough) => of.steps.filter(({ key }) => key !== 'retard');
    expect(inEnglish(others(longer))).toEqual(others(dough));
  });

  it('proves in the room without the proofer, for the output that is named', () => {
    const proof = dough.steps.find(({ step: { kind } }) => kind === 'proof')?.key ?? '';
    const set = {
      ...dough,
      steps: dough.steps.map((one) =>
        one.key === proof ? { ...one, uses: [{ resource: 'proofer', amount: 3, setting: 26 }] } : one,
      ),
    };
    const inRoom = withChanges(set, [{ kind: 'room-proof', target: '5' }]);
    expect(inEnglish(step(inRoom, proof))).toMatchObject({ uses: [], step: { place: 'room' } });
    expect(inEnglish(step(inRoom, proof)?.label)).toMatch(/in the room$/);
    expect(inEnglish(withChanges(set, [{ kind: 'room-proof', target: '6' }]).steps)).toEqual(set.steps);
  });

  it('rises in a cooler corner, where no machine sets its warmth, and is ready later for it', () => {
    const proof = dough.steps.find(({ step: { kind } }) => kind === 'proof')?.key ?? '';
    const rising = {
      ...dough,
      steps: dough.steps.map((one) =>
        one.key === proof
          ? { ...one, step: { ...one.step, rise: { phase: 'proof' as const, decides: true } } }
          : one,
      ),
    };
    const rise = { yeast: 'bakers' as const, celsius: 26, minutes: 130, early: 0.9, late: 1.2 };
    const products = new Map([[5, { ...SMALL_PRODUCT, rises: { proof: rise } }]]);
    const toRoom = { kind: 'room-proof', target: '5' } as const;
    const inRoom = withChanges(rising, [toRoom]);
    const cooler = withChanges(rising, [toRoom, { kind: 'cooler-room', target: proof }]);
    const today = { bakery: { celsius: 23, kind: 'room' as const } };
    const [plain, cool] = [inRoom, cooler].map((one) =>
      step(settleWindows(onMachines(one, ONE_OF_EACH), products, today), proof),
    );
    expect(cool?.around).toBe((plain?.around ?? 0) - COOLER);
    expect(cool?.target).toBeGreaterThan(plain?.target ?? Infinity);
    expect(inEnglish(withChanges(dough, [{ kind: 'cooler-room', target: 'retard' }]).steps)).toEqual(
      dough.steps,
    );
  });

  it('is baked in as many loads as are settled, with no piece lost, whatever the oven takes', () => {
    const loadsOf = (loads: number, ovenTrays: number) => {
      const { steps } = expandDough([{ id: 5, product: SMALL_PRODUCT, pieces: 40, loads }], {
        ...SMALL_SIZES,
        ovenTrays,
      });
      return steps.filter(({ step: { kind } }) => kind === 'bake').map(({ load }) => load?.pieces ?? 0);
    };
    for (const ovenTrays of [1, 9]) {
      expect(loadsOf(1, ovenTrays)).toEqual([40]);
      expect(loadsOf(2, ovenTrays)).toEqual([20, 20]);
      expect(loadsOf(3, ovenTrays).reduce((a, b) => a + b)).toBe(40);
    }
    expect(extraLoads([{ kind: 'split-bake', target: '5' }], 5)).toBe(1);
    expect(extraLoads([{ kind: 'split-bake', target: '5' }], 6)).toBe(0);
  });
});
