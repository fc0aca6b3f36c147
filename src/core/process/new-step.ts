import type { BranchKind, RouteStep, StepKind } from './route';

/** Kinds of steps that a route is made of by hand; those of lamination come from the product's scheme. */
export const OWN_KINDS = [
  ...(['mix', 'knead', 'bulk', 'fold', 'degas', 'rest', 'retard', 'freeze', 'thaw', 'laminate'] as const),
  ...(['sheet', 'divide', 'filling', 'shape', 'proof', 'wash', 'load', 'bake', 'cool', 'finish'] as const),
  ...(['levain', 'sponge', 'move'] as const),
] as const satisfies readonly StepKind[];
export type OwnKind = (typeof OWN_KINDS)[number];

/** A step before it has an id and a name. */
export type StepBody = Omit<RouteStep, 'id' | 'label' | 'kind'>;

const ROOM = { around: 22, settling: 120, place: 'room' } as const;
const IN_FRIDGE = { around: 4, settling: 110, place: 'retarder' } as const;
const wait = (shortest: number, best: number, longest: number) => ({
  wait: { shortest, best, longest, shortCost: 4, longCost: 2 },
});
const work = (fixed: number, perKg = 0, perPiece = 0) => ({ work: { fixed, perKg, perPiece, people: 1 } });
const on = (machine: 'mixer' | 'bench' | 'sheeter') => ({
  holds: [{ machine, amount: 1, per: 'once' as const }],
});
const slab = (mm: number, lying: 'tray' | 'tub') => ({ piece: { shape: 'slab' as const, mm, lying } });

/**
 * What a step of a kind is to begin with: usual lengths of a small bakery, all of them to be changed. A step has hands
 * (`work`) or waits (`wait`), never both; a bake has its program.
 */
export const NEW_STEPS: Readonly<Record<OwnKind, StepBody>> = {
  mix: { ...work(12, 0.25), ...ROOM, ...on('mixer'), gives: 24 },
  knead: { ...work(6, 0.2), ...ROOM, ...on('mixer') },
  bulk: { ...wait(40, 60, 90), ...ROOM, ...slab(150, 'tub'), rise: { phase: 'bulk', decides: true } },
  fold: { ...work(2, 0.1), ...ROOM, rise: { phase: 'bulk' } },
  degas: { ...work(5, 0.2), ...ROOM, ...on('bench') },
  rest: { ...wait(15, 20, 45), ...ROOM, ...slab(30, 'tray') },
  retard: {
    ...wait(480, 720, 1140),
    ...IN_FRIDGE,
    ...slab(30, 'tray'),
    holds: [{ machine: 'retarder', amount: 0.12, per: 'kg' }],
  },
  freeze: {
    ...wait(60, 120, 2880),
    ...{ around: -18, settling: 60, place: 'freezer' as const },
    holds: [{ machine: 'freezer', amount: 0.5, per: 'tray' }],
  },
  thaw: { ...wait(480, 600, 900), ...IN_FRIDGE, holds: [{ machine: 'retarder', amount: 0.5, per: 'tray' }] },
  laminate: { ...ROOM },
  sheet: { ...work(10, 0.6), ...ROOM, ...on('sheeter') },
  divide: { ...work(4, 1), ...ROOM, ...on('bench') },
  filling: { ...work(10, 0, 0.05), ...ROOM },
  shape: { ...work(4, 0, 0.25), ...ROOM, ...on('bench'), rise: { phase: 'proof' } },
  proof: {
    ...wait(75, 110, 150),
    ...{ around: 26, settling: 45, place: 'proofer' as const },
    rise: { phase: 'proof', decides: true },
    piece: { shape: 'cylinder', mm: 42, lying: 'tray' },
    holds: [{ machine: 'proofer', amount: 1, per: 'tray', setting: 26 }],
  },
  wash: { ...work(3, 0, 0.05), around: 24, settling: 120 },
  load: { ...work(3), around: 24, settling: 120 },
  bake: {
    ...wait(18, 18, 18),
    ...{ around: 185, settling: 25, ends: 'tap' as const, core: [94, 98] as const },
    holds: [{ machine: 'oven', amount: 1, per: 'tray', setting: 185 }],
    program: [
      { celsius: 205, minutes: 4, steam: true },
      { celsius: 185, minutes: 14, vent: true },
    ],
  },
  cool: { ...wait(15, 25, 90), around: 22, settling: 15 },
  finish: { ...work(3, 0, 0.05), around: 22, settling: 60 },
  levain: { ...work(6, 0.1), ...ROOM },
  sponge: { ...work(4, 0.05), ...ROOM, gives: 26 },
  move: { ...work(2), around: 20, settling: 120 },
};

/** What a branch begins with: hands first, then what it waits for. */
export const NEW_BRANCHES: Readonly<
  Record<Exclude<BranchKind, 'butter'>, readonly (StepBody & { kind: OwnKind })[]>
> = {
  levain: [
    { kind: 'levain', ...NEW_STEPS.levain },
    {
      ...{ kind: 'levain', ...wait(480, 600, 720), ...ROOM, ...slab(120, 'tub') },
      rise: { phase: 'levain', decides: true },
      alive: { of: 'levain', signs: [] },
    },
  ],
  sponge: [
    { kind: 'sponge', ...NEW_STEPS.sponge },
    {
      ...{ kind: 'sponge', ...wait(20, 30, 50), ...ROOM, ...slab(80, 'tub') },
      rise: { phase: 'sponge', decides: true },
      alive: { of: 'sponge', signs: [] },
    },
  ],
  soaker: [
    { kind: 'filling', ...work(5), ...ROOM },
    { kind: 'rest', ...wait(60, 720, 1440), ...ROOM },
  ],
  filling: [
    { kind: 'filling', ...NEW_STEPS.filling },
    {
      ...{ kind: 'rest', ...wait(60, 120, 2880), around: 4, settling: 60, cools: true },
      holds: [{ machine: 'retarder', amount: 1, per: 'once' }],
    },
  ],
  topping: [{ kind: 'filling', ...work(6, 0, 0.02), ...ROOM }],
  icing: [{ kind: 'filling', ...work(6, 0, 0.02), ...ROOM }],
};
