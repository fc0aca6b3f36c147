import { describe, expect, it } from 'vitest';
import { ONE_OF_EACH } from '../../../test-support/equipment';
import { smallDough } from '../../../test-support/floor';
import { solve } from '../solver/solve';
import { planProblem, type PlanningFrame, type Standing } from './problem';

/** An oven of 9 trays that is out from minute 300 to 420, and people all day. */
const STEPS: [from: number, amount: number][] = [
  [0, 9],
  [300, 0],
  [420, 9],
];
const FRAME: PlanningFrame = {
  ...{ name: 'Crescent 1', horizon: 4000, now: 0, crew: [[0, 2]] },
  machines: ONE_OF_EACH.machines.map((machine) =>
    machine.kind === 'oven' ? { ...machine, steps: STEPS } : machine,
  ),
};
const bake = (start: number, amount = 5): Standing => {
  return { id: '2/bake', dough: '2', start, end: start + 20, uses: [{ resource: 'oven', amount }] };
};
const ovenOf = (standing: Standing[]) =>
  planProblem(FRAME, [], standing).resources.find(({ id }) => id === 'oven')?.capacity;

describe('a dough to be planned amid what stands', () => {
  it('has what the machines have, whatever stands within that', () => {
    expect(ovenOf([bake(100), bake(430, 9)])).toEqual(STEPS);
  });

  it('is the dearer to be late with the more its product says, and never for nothing', () => {
    const costOf = (lateness?: number) =>
      planProblem(
        FRAME,
        [
          {
            ...{ id: 1, expanded: smallDough() },
            promises: [
              { outputId: 5, due: 3000, freshFor: 150, ...(lateness === undefined ? {} : { lateness }) },
            ],
          },
        ],
        [],
      ).outputs[0]?.lateCost;
    const usual = costOf() ?? 0;
    expect([costOf(1), costOf(4), costOf(0.01)]).toEqual([usual, usual * 4, 1]);
  });

  it('has nothing where what stands holds more than there is, and is planned all the same', () => {
    const standing = [bake(310)];
    expect(ovenOf(standing)).toEqual([
      [0, 9],
      [300, 0],
      [310, 5],
      [330, 0],
      [420, 9],
    ]);
    const dough = {
      ...{ id: 1, expanded: smallDough() },
      promises: [{ outputId: 5, due: 3000, freshFor: 150 }],
    };
    let moves = 0;
    const solution = solve(planProblem(FRAME, [dough], standing), {
      seed: 1,
      shouldStop: () => ++moves > 20,
    });
    expect(solution?.plan.status).toBe('feasible');
  });
});
