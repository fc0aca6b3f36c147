import { coded } from '../codes/coded';
import type { Lying } from '../heat/places';
import type { Route, RouteLink, RouteStep } from './route';
import { type Scheme, USUAL_TEMPER } from '../lamination/scheme';
import { FOLD_WORDS, LOCK_IN_WORDS } from '../lamination/words';

/** The step of a route that stands for a whole scheme: everything between the cold dough and its final sheet. */
export const LAMINATE = 'laminate';

type Holds = NonNullable<RouteStep['holds']>;
const BENCH: Holds = [{ machine: 'bench', amount: 1, per: 'once' }];
const SHEETER: Holds = [{ machine: 'sheeter', amount: 1, per: 'once' }];
const ROOM = { around: 22, settling: 120, place: 'room' as const };
const GUARDS = coded('steps.guardsDownStopTheSheeter');
const slab = (mm: number, lying: Lying = 'tray') => ({ piece: { shape: 'slab' as const, mm, lying } });
/** A block is pressed flat before it rests, so that it cools evenly and rolls easily after. */
const FLATTENED = 24;
/** Core at which a block may be rolled again, °C, and butter leaves the cold. */
const ROLLABLE = 7;

/**
 * A route with its `laminate` step replaced by the steps of a scheme: the butter's branch, lock-in or first butter, turns
 * and rests. So "turn 2" is always this scheme's second turn. A route without that step is left as it is.
 */
export function laminate(route: Route, scheme: Scheme | null): Route {
  if (!scheme || !route.steps.some(({ id }) => id === LAMINATE)) return route;
  const { steps: own, links, first, last } = schemeSteps(scheme);
  return {
    steps: route.steps.flatMap((step) => (step.id === LAMINATE ? own : [step])),
    links: [
      ...route.links.map((link) => ({
        ...link,
        from: link.from === LAMINATE ? last : link.from,
        to: link.to === LAMINATE ? first : link.to,
      })),
      ...links,
    ],
  };
}

function schemeSteps(scheme: Scheme): {
  steps: RouteStep[];
  links: RouteLink[];
  first: string;
  last: string;
} {
  const butter = butterSteps(scheme);
  const begin = beginStep(scheme);
  const turns = scheme.turns.flatMap(({ rest }, i): RouteStep[] => {
    const step = turnStep(scheme, i);
    return rest > 0 ? [step, restStep(i + 1, rest, i + 1 === scheme.turns.length)] : [step];
  });
  const main = begin ? [begin, ...turns] : turns;
  const [first, last] = [main[0], main.at(-1)];
  if (!first || !last) throw new Error('A scheme has steps.');
  return {
    steps: [...butter, ...main],
    links: [...chained(main), ...chained([...butter, first])],
    ...{ first: first.id, last: last.id },
  };
}

function chained(steps: readonly RouteStep[]): RouteLink[] {
  return steps.slice(1).map((step, i) => ({ from: steps[i]?.id ?? '', to: step.id, min: 0, max: 0 }));
}

function beginStep({ beginning, lockInMinutes, perKg }: Scheme): RouteStep | null {
  const work = { fixed: lockInMinutes, perKg: perKg + 0.05, perPiece: 0, people: 1 };
  if (beginning.way === 'block') {
    return {
      ...{
        id: 'lock-in',
        kind: 'lock-in',
        label: coded('steps.lockIn'),
        fold: LOCK_IN_WORDS[beginning.style],
        work,
      },
      ...{ ...ROOM, holds: SHEETER, check: coded('steps.dough3To8C') },
    };
  }
  if (beginning.way === 'discs') {
    return {
      ...{
        id: 'lock-in',
        kind: 'lock-in',
        label: coded('steps.stackDiscs', { discs: beginning.discs }),
        work,
        ...ROOM,
      },
      ...{ holds: BENCH, check: coded('steps.butterToTheSameRim') },
    };
  }
  return null;
}

function turnStep({ turns, beginning, perKg }: Scheme, i: number): RouteStep {
  const { fold, mm, minutes, rest } = turns[i] ?? { fold: 'letter' as const, mm: 8, minutes: 8, rest: 0 };
  const buttered = 'additions' in beginning && i < beginning.additions;
  const spread = buttered ? beginning.way : 'none';
  return {
    ...{ id: `turn-${i + 1}`, kind: 'turn', label: coded('steps.turn', { i: i + 1 }), turn: i + 1 },
    ...{ fold: FOLD_WORDS[fold], given: { fold, mm } },
    ...{ work: { fixed: minutes, perKg, perPiece: 0, people: 1 }, ...ROOM, holds: SHEETER },
    check: coded('steps.brushTheFlourOffBefore', { spread, isRest: rest === 0 && i + 1 < turns.length }),
    caution: GUARDS,
  };
}

function restStep(nth: number, best: number, last: boolean): RouteStep {
  const shortest = Math.min(30, best);
  return {
    ...{ id: `rest-${nth}`, kind: 'rest', label: coded('steps.rest', { nth }) },
    wait: { shortest, best, longest: Math.max(300, best), shortCost: 4, longCost: 1 },
    holds: [{ machine: 'retarder', amount: 0.12, per: 'kg' }],
    ...{ around: 4, settling: 45, place: 'retarder', ...slab(FLATTENED), until: ROLLABLE, cover: 'film' },
    check: last ? coded('steps.doesNotSpringBackColdEnough') : coded('steps.pressedFlatADentStays'),
  };
}

const MAKE_BUTTER: RouteStep = {
  ...{ id: 'butter', kind: 'butter', label: coded('steps.makeButterBlock'), branch: 'butter' },
  ...{ ...ROOM, holds: BENCH, work: { fixed: 7, perKg: 0.25, perPiece: 0, people: 1 } },
};

function butterSteps({ beginning, flourInFat, temper = USUAL_TEMPER }: Scheme): RouteStep[] {
  switch (beginning.way) {
    case 'block':
      return blockSteps(beginning.blockMm, Math.round(flourInFat * 100), temper);
    case 'grated':
      return gratedSteps(beginning.additions);
    default:
      return [
        {
          ...MAKE_BUTTER,
          label: coded('steps.softenButter'),
          check: coded('steps.spreadsLikeCreamNotShiny'),
        },
      ];
  }
}

/** A block is made, chilled, and comes out of the cold in time to bend. */
function blockSteps(mm: number, flour: number, temper: number): RouteStep[] {
  return [
    { ...MAKE_BUTTER, check: coded('steps.sameThicknessToTheCorners', { flour }) },
    {
      ...{ id: 'butter-chill', kind: 'rest', label: coded('steps.chillButter'), branch: 'butter' },
      wait: { shortest: 30, best: 60, longest: 1500, shortCost: 3, longCost: 1 },
      holds: [{ machine: 'retarder', amount: 1, per: 'once' }],
      ...{ around: 4, settling: 40, place: 'retarder', until: 8, cover: 'film', ...slab(mm, 'film') },
    },
    {
      ...{ id: 'butter-out', kind: 'move', label: coded('steps.takeButterOut'), branch: 'butter' },
      ...{ work: { fixed: 2, people: 1 }, around: 20, settling: 120 },
    },
    {
      ...{ id: 'temper', kind: 'temper', label: coded('steps.temperButter'), branch: 'butter' },
      wait: {
        shortest: Math.max(5, temper - 5),
        best: temper,
        longest: temper + 25,
        shortCost: 5,
        longCost: 3,
      },
      ...{ around: 22, settling: 60, check: coded('steps.bendsWithoutSnapping12To'), place: 'room' },
      ...{ until: 11, ...slab(mm) },
    },
  ];
}

function gratedSteps(additions: number): RouteStep[] {
  return [
    {
      ...MAKE_BUTTER,
      label: coded('steps.grateFrozenButter'),
      check: coded('steps.inEqualPartsFrozenAgain', { additions }),
    },
    {
      ...{ id: 'butter-chill', kind: 'rest', label: coded('steps.freezeGratedButter'), branch: 'butter' },
      wait: { shortest: 20, best: 45, longest: 2880, shortCost: 3, longCost: 0 },
      holds: [{ machine: 'freezer', amount: 1, per: 'once' }],
      ...{ around: -18, settling: 20, place: 'freezer', cover: 'lid' },
    },
  ];
}
