import { coded, type Words } from '../codes/coded';
import type { MachineKind } from '../bakery/machines';
import { bowlsFor } from '../formula/bowls';
import { doughToCut, type CutSize, type CuttingHouse } from '../cutting/dough-size';
import { doughForPieces } from '../formula/scale';
import type { Use } from '../solver/problem';
import type { ProductSpec, RisePhase, Route, RouteLink, RouteStep } from './route';

/** One product out of a dough: how many pieces, ready when. */
export interface DoughOutput {
  id: number;
  product: ProductSpec;
  pieces: number;
  /** Oven loads that it is baked in, where that is settled; otherwise as many as its trays need. */
  loads?: number;
}

/**
 * Why a wait does not do what it is for, temperatures in °C:
 *
 * - `core-out-of-reach`: at `around` the core never comes to `until`
 * - `no-rise`: at `around` it does not rise within so many minutes
 * - `risen-before`: it has risen already in the waits before
 */
export type StepRemark =
  | { code: 'core-out-of-reach'; around: number; until: number }
  | { code: 'no-rise'; around: number; within: number }
  | { code: 'risen-before' };

/** A step of one dough, with its sizes worked out. Minutes are whole. */
export interface DoughStep {
  /** Unique within the dough: `turn-2`, or `7.1.proof` for the first load of output 7. */
  key: string;
  step: RouteStep;
  /** What the bench calls it: "Shape chocolate roll, load 1 of 2". */
  label: Words;
  outputId: number | null;
  load: { nth: number; of: number; pieces: number; trays: number } | null;
  min: number;
  target: number;
  max: number;
  shortCost: number;
  longCost: number;
  /** Hands and machines. Expanded, it names kinds of machines; on the machines of a bakery, their ids. */
  uses: Use[];
  /** The place of the house whose temperature it has, once it is on the machines of a bakery. */
  place?: string;
  /** What is around the dough, °C, and how fast it follows, minutes: the route's, or as it is today. */
  around: number;
  settling: number;
  /** Where today's temperatures do not bring about what the step is for. */
  remark?: StepRemark;
  /** What it is for does not come about however long it stands there: nobody can say when it is ready. */
  never?: true;
  /** What has risen of its phase, as minutes at the reference temperature: before this step, and at its end. */
  risen?: { phase: RisePhase; before: number; after: number };
}

/** A dough's steps and links, and for each output the steps that end it. */
export interface ExpandedDough {
  steps: DoughStep[];
  links: RouteLink[];
  /** Steps whose end makes goods ready, by output. */
  ready: { outputId: number; key: string }[];
  /** Dough ready to cut, kg. */
  kg: number;
  /** How many bowls it is mixed in. */
  bowls: number;
  /** Dough before butter in one of them, kg. */
  bowlKg: number;
  /** How it is rolled for its pieces; null for a dough that is not laminated, or that no sheet gives them from. */
  cut: CutSize | null;
}

/** What the house's machines take at once, and how it rolls and cuts. */
export interface Sizes {
  /** Trays in one load of the largest oven. */
  ovenTrays: number;
  /** Kilograms of dough before butter in one bowl of the largest mixer. */
  bowlKg: number;
  /** What pieces stand on or in and the house counts: trays, the racks that these are on, tins. Nothing is held of what it does not count. */
  carriers: readonly Carrier[];
  cutting: CuttingHouse;
}

/** What pieces stand on or in, from makeup until they have cooled. */
export type Carrier = Extract<MachineKind, 'rack' | 'tray' | 'tin'>;

export const CREW = 'crew';

/** A product as far as its dough's weight follows from it. */
export type DoughPart = Pick<ProductSpec, 'piece' | 'scheme' | 'mixed' | 'keptAsDough'>;

/** Grams of dough for these pieces by their weight alone, with each product's own scrap. */
function byWeight(outputs: readonly { product: Pick<ProductSpec, 'piece'>; pieces: number }[]): number {
  return outputs.reduce(
    (sum, { product: { piece }, pieces }) => sum + doughForPieces(pieces, piece.grams, piece.scrap),
    0,
  );
}

/** Share of these outputs' dough that is trimmings, 0 to below 1: of each product's scrap by its weight. */
export function scrapOf(outputs: readonly { product: Pick<ProductSpec, 'piece'>; pieces: number }[]): number {
  const net = outputs.reduce((sum, { product: { piece }, pieces }) => sum + pieces * piece.grams, 0);
  return 1 - net / byWeight(outputs);
}

/**
 * Kilograms of dough ready to cut for these outputs. A laminated dough is as large as its sheets have to be, a divided one
 * as heavy as its pieces; what is kept as dough weighs what its pieces would, and is cut off the blocks.
 */
export function doughSize(
  outputs: readonly { product: DoughPart; pieces: number }[],
  house: CuttingHouse,
): { kg: number; cut: CutSize | null } {
  const grams = byWeight(outputs);
  const rolled = outputs.filter(({ product }) => !product.keptAsDough);
  const [first] = rolled;
  const scheme = first?.product.scheme?.scheme;
  const cuts = rolled.flatMap(({ product: { piece }, pieces }) =>
    piece.cut ? [{ ...piece.cut, pieces }] : [],
  );
  const [sheet] = cuts;
  if (!scheme || !sheet || cuts.length < rolled.length) return { kg: grams / 1000, cut: null };
  const mixed = first?.product.mixed ?? 1;
  const kept = grams - byWeight(rolled);
  const cut = doughToCut({ scheme, mixed, mm: sheet.mm, scrap: scrapOf(rolled), pieces: cuts, kept }, house);
  return { kg: (cut?.grams ?? grams) / 1000, cut };
}

/** What the keys of a load's steps begin with; loads of an output are counted from 1. */
const loadPrefix = (outputId: number, nth: number): string => `${outputId}.${nth}.`;

/** How many loads of an output there are steps of; 0 where there are none. */
export function loadsAmong(keys: readonly string[], outputId: number): number {
  let loads = 0;
  while (keys.some((key) => key.startsWith(loadPrefix(outputId, loads + 1)))) loads++;
  return loads;
}

/** Trays that the pieces of an output need. */
export function traysFor({ product, pieces }: Pick<DoughOutput, 'product' | 'pieces'>): number {
  return Math.ceil(pieces / product.piece.perTray);
}

interface Size {
  bowls: number;
  kg: number;
  pieces: number;
  trays: number;
}

function sized(step: RouteStep, size: Size, key: string, label: Words): Omit<DoughStep, 'outputId' | 'load'> {
  const uses: Use[] = (step.holds ?? []).map(({ machine, amount, per, setting, only = [] }) => {
    const count = per === 'once' ? amount : Math.ceil(amount * (per === 'kg' ? size.kg : size.trays));
    return {
      ...{ resource: machine, amount: Math.max(1, count) },
      ...(setting === undefined ? {} : { setting }),
      ...(only.length > 0 ? { among: only } : {}),
    };
  });
  const place = { around: step.around, settling: step.settling };
  if (step.work) {
    const { fixed, perKg = 0, perPiece = 0, people } = step.work;
    const minutes = Math.max(
      1,
      Math.round(
        (fixed * (step.kind === 'mix' ? size.bowls : 1) + perKg * size.kg + perPiece * size.pieces) / people,
      ),
    );
    uses.unshift({ resource: CREW, amount: people });
    return {
      ...place,
      key,
      step,
      label,
      min: minutes,
      target: minutes,
      max: minutes,
      shortCost: 0,
      longCost: 0,
      uses,
    };
  }
  const { shortest, best, longest, shortCost, longCost } = step.wait ?? {
    ...{ shortest: 0, best: 0, longest: 0, shortCost: 0, longCost: 0 },
  };
  return { ...place, key, step, label, min: shortest, target: best, max: longest, shortCost, longCost, uses };
}

/**
 * Works out the steps of one dough: times from weights and pieces, shelves and trays from sizes. An output with more
 * trays than the oven takes is baked in loads of equal size, each with its own way from the fork; a dough that is more
 * than a bowl is mixed in equal bowls, one after the other.
 * All outputs must be able to share the dough; their common part is that of the one whose dough goes furthest, since a part that
 * is kept as dough leaves it earlier.
 */
export function expandDough(
  outputs: readonly DoughOutput[],
  { ovenTrays, bowlKg, carriers, cutting }: Sizes,
): ExpandedDough {
  const first = outputs[0];
  if (!first) throw new Error('A dough has at least one output.');
  const { kg, cut } = doughSize(outputs, cutting);
  const pieces = outputs.reduce((sum, output) => sum + output.pieces, 0);
  const trays = outputs.reduce((sum, output) => sum + traysFor(output), 0);
  const mixed = kg * (first.product.mixed ?? 1);
  const bowls = bowlsFor(mixed, bowlKg);
  const { dough } = longestDough(outputs).product.route;
  const steps: DoughStep[] = dough.steps.map((step) => ({
    ...sized(step, { bowls, kg, pieces, trays }, step.id, step.label),
    outputId: null,
    load: null,
  }));
  const links = dough.links.map((link) => ({ ...link }));
  const ready: ExpandedDough['ready'] = [];
  for (const output of outputs) {
    const { route } = output.product;
    const inAll = traysFor(output);
    // Only what is baked comes in loads.
    const isBaked = route.output.steps.some(({ kind }) => kind === 'bake');
    const loads = isBaked ? Math.min(output.pieces, output.loads ?? Math.ceil(inAll / ovenTrays)) : 1;
    const perLoad = Math.ceil(output.pieces / loads);
    for (let nth = 1; nth <= loads; nth++) {
      const part = Math.min(perLoad, output.pieces - perLoad * (nth - 1));
      const load = {
        nth,
        of: loads,
        pieces: part,
        trays: traysFor({ product: output.product, pieces: part }),
      };
      const prefix = loadPrefix(output.id, nth);
      const size = {
        bowls,
        kg: doughOfOutput(outputs, { product: output.product, pieces: part }, kg),
        pieces: part,
        trays: load.trays,
      };
      const product = output.product.name;
      const carried = carriedSteps(route.output);
      const carrying = usesOf(load, output.product, carriers);
      for (const step of route.output.steps) {
        const label = nameOfStep(step.label, { product, isOnly: outputs.length === 1, nth, loads });
        const made = sized(step, size, prefix + step.id, label);
        if (carried.has(step.id)) made.uses.push(...carrying);
        steps.push({ ...made, outputId: output.id, load });
      }
      links.push(...route.output.links.map((link) => prefixed(link, prefix, prefix)));
      links.push(prefixed(route.fork, '', prefix));
      ready.push({ outputId: output.id, key: prefix + lastStep(route.output) });
    }
  }
  return { steps, links, ready, kg, bowls, bowlKg: mixed / bowls, cut };
}

const longestDough = (outputs: readonly DoughOutput[]): DoughOutput =>
  outputs.reduce((longest, one) =>
    one.product.route.dough.steps.length > longest.product.route.dough.steps.length ? one : longest,
  );

type Weighed = { product: Pick<ProductSpec, 'piece' | 'keptAsDough'>; pieces: number };

/** Kilograms of a dough for one of its outputs: what is kept weighs what its pieces would, the others share what is rolled. */
export function doughOfOutput(outputs: readonly Weighed[], output: Weighed, kg: number): number {
  if (output.product.keptAsDough) return byWeight([output]) / 1000;
  const rolled = outputs.filter(({ product }) => !product.keptAsDough);
  return (kg * (1 - keptShare(outputs, kg)) * byWeight([output])) / byWeight(rolled);
}

/** Share of a dough of `kg` that is kept as dough, 0 to 1. */
export function keptShare(outputs: readonly Weighed[], kg: number): number {
  return byWeight(outputs.filter(({ product }) => product.keptAsDough)) / 1000 / kg;
}

/** The steps from makeup to the end of cooling, or of freezing: as long, trays and tins are not free for other pieces. */
function carriedSteps({ steps }: Route): ReadonlySet<string> {
  const main = steps.filter(({ branch }) => branch === undefined);
  const first = main.findIndex(({ kind }) => kind === 'shape' || kind === 'divide');
  const last = main.findLastIndex(({ kind }) => kind === 'cool' || kind === 'bake' || kind === 'freeze');
  return new Set(main.slice(Math.max(0, first), last + 1).map(({ id }) => id));
}

function usesOf(
  { trays, pieces }: { trays: number; pieces: number },
  { piece }: ProductSpec,
  carriers: readonly Carrier[],
): Use[] {
  const amounts: Record<Carrier, number> = { rack: trays, tray: trays, tin: pieces * (piece.tins ?? 0) };
  return carriers
    .filter((id) => amounts[id] > 0)
    .map((id) => ({
      ...{ resource: id, amount: amounts[id] },
      ...(id === 'tin' && piece.tinKinds ? { among: piece.tinKinds } : {}),
    }));
}

function prefixed(link: RouteLink, from: string, to: string): RouteLink {
  return { ...link, from: from + link.from, to: to + link.to };
}

/** The one step that leads nowhere further. */
function lastStep(route: Route): string {
  const last = route.steps.find((step) => !route.links.some((link) => link.from === step.id));
  if (!last) throw new Error('A route has a last step.');
  return last.id;
}

/** A step as people call it: of which product where a dough has several, and of which load. */
function nameOfStep(
  step: Words,
  { product, isOnly, nth, loads }: { product: string; isOnly: boolean; nth: number; loads: number },
): Words {
  const named = { step, product: { inLine: product } };
  if (loads > 1) return coded('steps.ofLoad', { ...named, nth, loads });
  return isOnly ? step : coded('steps.ofProduct', named);
}
