import type { MachineKind } from '@/core/bakery/machines';
import type { Lying } from '@/core/heat/places';
import { LAMINATE } from '@/core/process/scheme-steps';
import type { Route, RouteLink, RouteStep } from '@/core/process/route';

/** The demo bakery's own routes: house values to begin with, plausible and made up. */

export const work = (fixed: number, perKg = 0, perPiece = 0, people = 1) => ({
  fixed,
  perKg,
  perPiece,
  people,
});
export const wait = (
  shortest: number,
  best: number,
  longest: number,
  shortCost: number,
  longCost: number,
) => {
  return { shortest, best, longest, shortCost, longCost };
};
/** Somebody has to carry it: a rack to the proofer, the butter out of the cold. */
const move = (id: string, label: string, more: Partial<RouteStep> = {}): RouteStep => ({
  ...{ id, kind: 'move', label, work: work(2), around: 20, settling: 120 },
  ...more,
});
const room = { around: 22, settling: 120, place: 'room' as const };
const slab = (mm: number, lying: Lying = 'tray') => ({ piece: { shape: 'slab' as const, mm, lying } });
const rolled = (mm: number) => ({ piece: { shape: 'cylinder' as const, mm, lying: 'tray' as const } });
const cold = (
  amountPerKg: number,
  settling: number,
): Pick<RouteStep, 'holds' | 'around' | 'settling' | 'place'> => ({
  holds: [{ machine: 'retarder', amount: amountPerKg, per: 'kg' }],
  around: 4,
  settling,
  place: 'retarder',
});

/** A proof in the cold, overnight. */
const NIGHT: RouteStep = {
  ...{ id: 'night', kind: 'retard', label: 'Cold proof', wait: wait(420, 600, 900, 1, 1) },
  ...{ around: 4, settling: 40, place: 'retarder', rise: { phase: 'proof' }, ...rolled(36) },
  holds: [{ machine: 'retarder', amount: 0.5, per: 'tray' }],
  cover: 'bag over the rack',
};

/** Each step goes straight on to the next; the dough is always somewhere. */
function chain(steps: readonly RouteStep[]): RouteLink[] {
  return steps.slice(1).map((step, i) => ({ from: steps[i]?.id ?? '', to: step.id, min: 0, max: 0 }));
}

function mixing(minutes: number, gives: number, bulk: RouteStep['wait'], check: string): RouteStep[] {
  return [
    {
      ...{ id: 'mix', kind: 'mix', label: 'Mix', work: work(minutes, 0.25), gives, ...room, check },
      holds: [{ machine: 'mixer', amount: 1, per: 'once' }],
      caution: 'Stop and lock the mixer before a hand goes in.',
    },
    {
      id: 'bulk',
      kind: 'bulk',
      label: 'Bulk',
      wait: bulk,
      ...room,
      ...slab(150, 'tub'),
      rise: { phase: 'bulk', decides: true },
      cover: 'film on the surface',
    },
    {
      ...{ id: 'degas', kind: 'degas', label: 'Degas and press flat', work: work(5, 0.2), ...room },
      holds: [{ machine: 'bench', amount: 1, per: 'once' }],
    },
    {
      ...{
        id: 'retard',
        kind: 'retard',
        label: 'Retard',
        wait: wait(480, 720, 1140, 1, 1),
        ...cold(0.12, 110),
      },
      ...slab(30),
      until: 7,
      cover: 'film, tight',
    },
  ];
}

/** Everything between the cold dough and its final sheet: the steps of the product's scheme stand here. */
const laminated = (
  mix: RouteStep[],
  more: { steps: RouteStep[]; links: RouteLink[] } = { steps: [], links: [] },
): Route => {
  const scheme: RouteStep = { id: LAMINATE, kind: 'laminate', label: 'Laminate', ...room };
  const sheet: RouteStep = {
    ...{ id: 'sheet', kind: 'sheet', label: 'Sheet and cut', work: work(10, 0.6), ...room },
    holds: [{ machine: 'sheeter', amount: 1, per: 'once' }],
    caution: 'Knife and wheel: cut away from the other hand.',
  };
  const main = [...mix, scheme, sheet];
  return { steps: [...more.steps, ...main], links: [...more.links, ...chain(main)] };
};

interface Baking {
  shape: RouteStep['work'];
  night?: boolean;
  proof: NonNullable<RouteStep['wait']>;
  proofAt: number;
  bakeAt: number;
  /** From and to of the core when it is done, °C; a laminated piece's where nothing is said. */
  core?: readonly [number, number];
  bakeMinutes: number;
  finish: string;
}

const perTray = (machine: MachineKind, setting: number) => [
  { machine, amount: 1, per: 'tray' as const, setting },
];

/** From proofed pieces to what leaves the bakery. */
function bakeSteps({ bakeAt, bakeMinutes, core = [94, 98], finish }: Baking): RouteStep[] {
  return [
    {
      id: 'wash',
      kind: 'wash',
      label: 'Wash',
      work: work(3, 0, 0.05),
      around: 24,
      settling: 120,
      check: 'tops only, light hand',
    },
    {
      id: 'load',
      kind: 'load',
      label: 'Load oven',
      work: work(3),
      around: 24,
      settling: 120,
      caution: 'Hot trays, hot steam: gloves, door open with a step back.',
    },
    {
      ...{
        id: 'bake',
        kind: 'bake',
        label: 'Bake',
        wait: wait(bakeMinutes, bakeMinutes, bakeMinutes, 0, 0),
        ends: 'tap',
      },
      ...{
        holds: perTray('oven', bakeAt),
        program: [
          { celsius: bakeAt + 20, minutes: 4, steam: true },
          { celsius: bakeAt, minutes: bakeMinutes - 4, vent: true },
        ],
        around: bakeAt,
        settling: 25,
        check: 'colour, and core by needle',
        core,
      },
    },
    { id: 'cool', kind: 'cool', label: 'Cool', wait: wait(15, 25, 90, 3, 1), around: 22, settling: 15 },
    { id: 'finish', kind: 'finish', label: finish, work: work(3, 0, 0.05), around: 22, settling: 60 },
  ];
}

/** The way of one product from the cut sheet to what leaves the bakery. */
export function output(baking: Baking, filling: RouteStep[] = []): Route {
  const { shape, night, proof, proofAt } = baking;
  const main: RouteStep[] = [
    {
      id: 'shape',
      kind: 'shape',
      label: 'Shape',
      work: shape,
      holds: [{ machine: 'bench', amount: 1, per: 'once' }],
      ...room,
      rise: { phase: 'proof' },
    },
    ...(night ? [NIGHT] : []),
    ...(night ? [move('to-proofer', 'Into the proofer', { around: 22 })] : []),
    {
      ...{ id: 'proof', kind: 'proof', label: 'Proof', wait: proof, holds: perTray('proofer', proofAt) },
      ...{
        around: proofAt,
        settling: 45,
        place: 'proofer',
        rise: { phase: 'proof', decides: true },
        ...rolled(42),
        cover: 'humid proofer, 80 %',
        check: 'about doubled, the tray wobbles',
      },
    },
    ...bakeSteps(baking),
  ];
  const shapeStep = main[0] as RouteStep;
  const joins =
    filling.length > 0
      ? [...chain(filling), { from: filling.at(-1)?.id ?? '', to: shapeStep.id, min: 0, max: 0 }]
      : [];
  return { steps: [...filling, ...main], links: [...joins, ...chain(main)] };
}

export const poppyFilling: RouteStep[] = [
  {
    id: 'filling',
    kind: 'filling',
    label: 'Cook poppy filling',
    work: work(12, 0, 0.08),
    ...room,
    branch: 'filling',
    caution: 'Boiling milk and sugar stick and burn.',
  },
  {
    ...{
      id: 'filling-cool',
      kind: 'rest',
      label: 'Cool filling',
      cools: true,
      wait: wait(60, 120, 2880, 2, 0),
      branch: 'filling',
    },
    ...{
      holds: [{ machine: 'retarder', amount: 1, per: 'once' }],
      around: 4,
      settling: 60,
      cover: 'film on the surface',
    },
    caution: 'From 65 to 10 °C within 2 h, then at or below 5 °C; follow the local code.',
  },
];

const levain: RouteStep[] = [
  { id: 'levain', kind: 'levain', label: 'Feed levain', work: work(6, 0.1), ...room, branch: 'levain' },
  {
    id: 'levain-ripe',
    kind: 'levain',
    label: 'Levain ripens',
    wait: wait(480, 600, 720, 2, 2),
    ...room,
    ...slab(120, 'tub'),
    rise: { phase: 'levain', decides: true },
    alive: {
      of: 'levain',
      signs: [
        'past its mark',
        'floats in water',
        'domed, full of bubbles',
        'flat, smells sharp',
        'hardly moved',
      ],
    },
    branch: 'levain',
    cover: 'lid, loose',
    check: 'past its mark, or floats',
  },
];

export const fork: RouteLink = { from: 'sheet', to: 'shape', min: 0, max: 30 };

export const crescentBase = laminated(mixing(14, 24, wait(40, 60, 90, 4, 2), 'smooth, short mix'));
export const danishBase = laminated(mixing(13, 21, wait(30, 45, 70, 4, 2), 'smooth, short mix'));
export const levainBase = laminated(mixing(18, 25, wait(90, 120, 180, 3, 2), 'windowpane'), {
  steps: levain,
  links: [...chain(levain), { from: 'levain-ripe', to: 'mix', min: 0, max: 0 }],
});
const sponge: RouteStep[] = [
  {
    ...{
      id: 'sponge',
      kind: 'sponge',
      label: 'Set sponge',
      work: work(4, 0.05),
      ...room,
      gives: 26,
      branch: 'sponge',
    },
    holds: [{ machine: 'mixer', amount: 1, per: 'once' }],
    check: 'milk at 30 °C, never above 43 °C',
  },
  {
    ...{
      id: 'sponge-ripe',
      kind: 'sponge',
      label: 'Sponge ripens',
      wait: wait(20, 30, 50, 3, 2),
      branch: 'sponge',
    },
    ...{ ...room, ...slab(80, 'tub'), rise: { phase: 'sponge', decides: true }, cover: 'flour on top' },
    check: 'the flour on top cracks',
    alive: { of: 'sponge', signs: ['flour cracks', 'foam and bubbles', 'no movement'] },
  },
];
const briocheMix = mixing(24, 25, wait(60, 90, 130, 3, 2), 'windowpane');
const divide: RouteStep = {
  ...{ id: 'divide', kind: 'divide', label: 'Divide, weigh, round', work: work(4, 1), ...room },
  holds: [{ machine: 'bench', amount: 1, per: 'once' }],
};
export const briocheBase: Route = {
  steps: [...sponge, ...briocheMix, divide],
  links: [
    ...chain(sponge),
    { from: 'sponge-ripe', to: 'mix', min: 0, max: 10 },
    ...chain([...briocheMix, divide]),
  ],
};
export const briocheFork: RouteLink = { from: 'divide', to: 'shape', min: 10, max: 40 };
