import type { ProductRoute, ProductSpec, RouteStep } from '@/core/process/route';

const work = (
  id: string,
  kind: RouteStep['kind'],
  minutes: number,
  more: Partial<RouteStep> = {},
): RouteStep => {
  return { id, kind, label: id, work: { fixed: minutes, people: 1 }, around: 22, settling: 60, ...more };
};
const wait = (
  id: string,
  kind: RouteStep['kind'],
  shortest: number,
  longest: number,
  more: Partial<RouteStep> = {},
): RouteStep => {
  return {
    id,
    kind,
    label: id,
    wait: { shortest, best: shortest, longest, shortCost: 1, longCost: 1 },
    around: 4,
    settling: 60,
    ...more,
  };
};
const straight = (...ids: string[]) =>
  ids.slice(1).map((to, i) => ({ from: ids[i] ?? '', to, min: 0, max: 0 }));

/** A short laminated route: mix, retard; butter joins at lock-in; two turns; shape, proof, bake. */
export const SMALL_ROUTE: ProductRoute = {
  dough: {
    steps: [
      work('mix', 'mix', 15, { gives: 24 }),
      wait('retard', 'retard', 480, 900, { holds: [{ machine: 'retarder', amount: 0.2, per: 'kg' }] }),
      work('butter', 'butter', 10, { branch: 'butter' }),
      wait('temper', 'temper', 10, 600, { branch: 'butter' }),
      work('lock-in', 'lock-in', 12),
      work('turn-1', 'turn', 8, { turn: 1 }),
      wait('rest', 'rest', 30, 240),
      work('turn-2', 'turn', 8, { turn: 2 }),
      work('sheet', 'sheet', 10),
    ],
    links: [
      ...straight('mix', 'retard', 'lock-in', 'turn-1', 'rest', 'turn-2', 'sheet'),
      ...straight('butter', 'temper', 'lock-in'),
    ],
  },
  output: {
    steps: [
      work('shape', 'shape', 10),
      wait('proof', 'proof', 60, 120, {
        holds: [{ machine: 'proofer', amount: 1, per: 'tray', setting: 26 }],
      }),
      work('load', 'load', 3),
      wait('bake', 'bake', 18, 18, {
        ends: 'tap',
        holds: [{ machine: 'oven', amount: 1, per: 'tray', setting: 185 }],
      }),
      work('finish', 'finish', 5),
    ],
    links: straight('shape', 'proof', 'load', 'bake', 'finish'),
  },
  fork: { from: 'sheet', to: 'shape', min: 0, max: 30 },
};

export const SMALL_PRODUCT: ProductSpec = {
  ...{ versionId: 1, name: 'Crescent', formulaVersionId: 1, freshFor: 120, route: SMALL_ROUTE },
  piece: { grams: 60, perTray: 10, scrap: 0.1 },
};
