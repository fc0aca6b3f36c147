import { expandDough } from '@/core/process/expand';
import { onMachines } from '@/core/process/on-machines';
import { inOrder } from '@/core/process/order';
import type { ProductRoute, ProductSpec, RouteStep } from '@/core/process/route';
import type { DoughRecord } from '@/core/record/dough';
import { ONE_OF_EACH } from './equipment';
import { MIN, SMALL_SIZES } from './floor';
import { usualScheme } from './laminated';

type Body = Partial<RouteStep> & Pick<RouteStep, 'kind'>;

const work = (id: string, minutes: number, body: Body): RouteStep => ({
  ...{ id, label: id, work: { fixed: minutes, people: 1 }, around: 21, settling: 60 },
  ...body,
});
const wait = (id: string, [shortest, best, longest]: [number, number, number], body: Body): RouteStep => ({
  ...{ id, label: id, wait: { shortest, best, longest, shortCost: 1, longCost: 1 }, around: 4, settling: 40 },
  ...body,
});
const cold = {
  holds: [{ machine: 'retarder' as const, amount: 0.2, per: 'kg' as const }],
  place: 'retarder' as const,
};
const rest = (nth: number) => wait(`rest-${nth}`, [40, 45, 240], { kind: 'rest', settling: 90, ...cold });
const turn = (nth: number) =>
  work(`turn-${nth}`, 10, { kind: 'turn', turn: nth, given: { fold: 'letter', mm: 8 } });
const straight = (...ids: string[]) => ids.slice(1).map((to, i) => ({ from: ids[i] ?? '', to, min: 0 }));

/** A crescent as it is made over two days: three single turns, a night in the cold before them, a warm proof. */
const ROUTE: ProductRoute = {
  dough: {
    steps: [
      work('mix', 15, { kind: 'mix', gives: 24 }),
      wait('bulk', [45, 60, 90], { kind: 'bulk', around: 23, settling: 90, rise: { phase: 'bulk' } }),
      work('degas', 6, { kind: 'degas' }),
      wait('retard', [480, 720, 900], { kind: 'retard', ...cold, rise: { phase: 'bulk' } }),
      work('butter', 10, { kind: 'butter', branch: 'butter', gives: 15 }),
      wait('butter-chill', [60, 90, 900], { kind: 'rest', branch: 'butter', settling: 25, ...cold }),
      work('butter-out', 2, { kind: 'move', branch: 'butter', around: 4 }),
      wait('temper', [10, 16, 40], { kind: 'temper', branch: 'butter', around: 21, settling: 22 }),
      work('lock-in', 10, { kind: 'lock-in' }),
      ...[turn(1), rest(1), turn(2), rest(2), turn(3), rest(3)],
      work('sheet', 12, { kind: 'sheet' }),
    ],
    links: [
      ...straight(
        'mix',
        'bulk',
        'degas',
        'retard',
        'lock-in',
        'turn-1',
        'rest-1',
        'turn-2',
        'rest-2',
        'turn-3',
      ),
      ...straight('turn-3', 'rest-3', 'sheet'),
      ...straight('butter', 'butter-chill', 'butter-out', 'temper', 'lock-in'),
    ],
  },
  output: {
    steps: [
      work('shape', 25, { kind: 'shape' }),
      wait('proof', [100, 130, 170], {
        ...{ kind: 'proof', around: 26, settling: 25, rise: { phase: 'proof', decides: true } },
        ...{ holds: [{ machine: 'proofer', amount: 1, per: 'tray', setting: 26 }], place: 'proofer' },
      }),
      work('wash', 8, { kind: 'wash' }),
      work('load', 4, { kind: 'load' }),
      wait('bake', [16, 18, 22], {
        ...{ kind: 'bake', around: 185, settling: 10, ends: 'tap', core: [94, 98] },
        ...{ holds: [{ machine: 'oven', amount: 1, per: 'tray', setting: 185 }], place: 'oven' },
      }),
      wait('cool', [20, 25, 120], { kind: 'cool', around: 21, settling: 20 }),
      work('finish', 7, { kind: 'finish' }),
    ],
    links: straight('shape', 'proof', 'wash', 'load', 'bake', 'cool', 'finish'),
  },
  fork: { from: 'sheet', to: 'shape', min: 0 },
};

const CRESCENT: ProductSpec = {
  ...{ versionId: 1, name: 'Crescent', formulaVersionId: 1, freshFor: 240, route: ROUTE },
  piece: { grams: 60, perTray: 10, scrap: 0.1 },
  rises: {
    bulk: { yeast: 'bakers', celsius: 24, minutes: 150, early: 0.6, late: 3 },
    proof: { yeast: 'bakers', celsius: 26, minutes: 120, early: 0.85, late: 1.2 },
  },
};

/** A dough of forty crescents of which nothing is recorded yet; output 5. */
export function crescentDough(id = 1): DoughRecord {
  const expanded = expandDough([{ id: 5, product: CRESCENT, pieces: 40 }], SMALL_SIZES);
  const { steps, links, kg, bowls } = onMachines(expanded, ONE_OF_EACH);
  let minute = 0;
  const timed = inOrder(steps, links).map((step) => {
    const from = minute;
    minute += step.target;
    return { ...step, plannedStart: from * MIN, plannedEnd: minute * MIN };
  });
  const { name: product, piece, freshFor, rises } = CRESCENT;
  const weights = { dough: 2400, fat: 600 };
  return {
    ...{ id, name: `Crescent ${id}`, madeAt: 0, kg, bowls, steps: timed, links, events: [] },
    ...(rises ? { rises } : {}),
    lamination: {
      scheme: { versionId: 1, name: 'Three letter folds', scheme: usualScheme('Three letter folds') },
      ...{ blocks: 1, weights, mm: 4, wide: 40, fat: 'butter-82', scrap: 0.1 },
    },
    outputs: [
      {
        id: 5,
        product,
        piece,
        pieces: 40,
        freshFor,
        dueAt: minute * MIN,
        allergens: [],
        ...(rises ? { rises } : {}),
      },
    ],
  };
}
