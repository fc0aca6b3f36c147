import { coded, type Coded } from '../codes/coded';
import type { CuttingHouse } from '../cutting/dough-size';
import { bowlsFor } from '../formula/bowls';
import type { Allergen } from '../formula/ingredient';
import { doughSize } from '../process/expand';
import type { ProductSpec } from '../process/route';
import { formatLocal, MINUTE, type Instant } from '../time/local';
import type { OrderWithSources } from './cover';

/** What the house makes, as far as proposing doughs needs it. */
export interface Maker extends Pick<ProductSpec, 'name' | 'piece' | 'freshFor' | 'scheme'> {
  productId: number;
  /** Of its dough and of what goes into and onto it. */
  allergens: readonly Allergen[];
  /** Products with the same word can come from one dough. */
  sharing: string;
  /** Share of the dough ready to cut that comes out of the mixer. */
  mixed: number;
  /** Shortest time from the first step to ready goods, minutes. */
  lead: number;
}

/** Limits of the house that a dough keeps to. */
export interface Making {
  /** Kilograms of dough before butter in one bowl, and bowls of one dough at most. */
  bowlKg: number;
  mostBowls: number;
  /** Products with one of these are not made up at one table with others. */
  apart: readonly Allergen[];
  cutting: CuttingHouse;
}

/** Allergens that the house keeps apart to begin with: what is hardest to clean off a table, and dearest to get wrong. */
export const KEPT_APART: readonly Allergen[] = ['nuts', 'peanut'];

/** One product out of a proposed dough. */
export interface ProposedOutput {
  productId: number;
  product: string;
  pieces: number;
  dueAt: Instant;
  /** Pieces beyond what is ordered. */
  spare: number;
}

/** A dough that would meet some of the open demand, and what it costs. */
export interface ProposedDough {
  outputs: ProposedOutput[];
  /** Kilograms before butter, bowls, and how full they are, 0 to 1. */
  kg: number;
  bowls: number;
  fill: number;
  /** Minutes by which the last customer's goods are ready before they are wanted. */
  waits: number;
  /** Until when its numbers can be changed: it has to be mixed then. */
  changeUntil: Instant;
  /** Why it does not go together with another: it has an allergen that is kept apart. */
  apart: Allergen[];
}

/** Promises that lie closer than this can come from one dough: one morning's baking, minutes. */
const ONE_MORNING = 6 * 60;

/** Open demand of one product that is baked together. */
interface Batch {
  maker: Maker;
  pieces: number;
  dueAt: Instant;
  lastDue: Instant;
}

/**
 * Proposes doughs for what no dough makes yet. Outputs that share a dough and a scheme and are wanted in one morning go
 * together, unless an allergen keeps them apart; more than the bowls take is split into equal doughs. Few doughs and full
 * bowls come first: a product is baked once for all its customers as long as the first one's goods are fresh for the last.
 */
export function proposeDoughs(
  demand: readonly Pick<OrderWithSources, 'productId' | 'dueAt' | 'open'>[],
  makers: readonly Maker[],
  making: Making,
): ProposedDough[] {
  const batches = batchesOf(demand, makers).sort((a, b) => a.dueAt - b.dueAt);
  const groups: Batch[][] = [];
  for (const batch of batches) {
    const group = groups.find(([first]) => first !== undefined && goTogether(first, batch, making));
    if (group) group.push(batch);
    else groups.push([batch]);
  }
  return groups.flatMap((group) => fitted(group, making)).sort((a, b) => firstDue(a) - firstDue(b));
}

function batchesOf(
  demand: readonly Pick<OrderWithSources, 'productId' | 'dueAt' | 'open'>[],
  makers: readonly Maker[],
): Batch[] {
  const batches: Batch[] = [];
  for (const { productId, dueAt, open } of [...demand].sort((a, b) => a.dueAt - b.dueAt)) {
    const maker = makers.find((one) => one.productId === productId);
    if (!maker || open === 0) continue;
    const same = batches.findLast((batch) => batch.maker === maker);
    if (same && dueAt - same.dueAt <= maker.freshFor * MINUTE) {
      same.pieces += open;
      same.lastDue = dueAt;
    } else batches.push({ maker, pieces: open, dueAt, lastDue: dueAt });
  }
  return batches;
}

/** Allergens of a product that are kept apart. */
function apartIn({ allergens }: Maker, { apart }: Making): Allergen[] {
  return apart.filter((allergen) => allergens.includes(allergen));
}

function goTogether(a: Batch, b: Batch, making: Making): boolean {
  const alike = apartIn(a.maker, making).join() === apartIn(b.maker, making).join();
  const near = Math.abs(a.dueAt - b.dueAt) <= ONE_MORNING * MINUTE;
  return alike && near && a.maker.sharing === b.maker.sharing;
}

/** Kilograms before butter that these need as one dough. */
function mixedKg(batches: readonly Pick<Batch, 'maker' | 'pieces'>[], { cutting }: Making): number {
  const [first] = batches;
  if (!first) return 0;
  const outputs = batches.map(({ maker, pieces }) => ({ product: maker, pieces }));
  return doughSize(outputs, cutting).kg * first.maker.mixed;
}

/** One dough, or as few equal ones as its bowls make necessary. */
function fitted(group: readonly Batch[], making: Making): ProposedDough[] {
  const fewest = Math.max(1, Math.ceil(mixedKg(group, making) / (making.bowlKg * making.mostBowls) - 1e-9));
  for (let parts = fewest; ; parts++) {
    const doughs = Array.from({ length: parts }, (_, nth) =>
      doughOf(
        group.map((batch) => ({ ...batch, pieces: share(batch.pieces, parts, nth) })),
        making,
      ),
    ).filter(({ outputs }) => outputs.length > 0);
    // A part may need a little more than its share: trims and odd ends are its own.
    if (parts > fewest || doughs.every(({ bowls }) => bowls <= making.mostBowls)) return doughs;
  }
}

const share = (pieces: number, parts: number, nth: number) =>
  Math.floor((pieces * (nth + 1)) / parts) - Math.floor((pieces * nth) / parts);

function doughOf(group: readonly Batch[], making: Making): ProposedDough {
  const batches = group.filter(({ pieces }) => pieces > 0);
  const kg = mixedKg(batches, making);
  const bowls = bowlsFor(kg * 1000, making.bowlKg * 1000);
  return {
    outputs: batches.map(({ maker, pieces, dueAt }) => {
      return { productId: maker.productId, product: maker.name, pieces, dueAt, spare: 0 };
    }),
    ...{ kg, bowls, fill: kg / (bowls * making.bowlKg) },
    waits: Math.max(0, ...batches.map(({ dueAt, lastDue }) => (lastDue - dueAt) / MINUTE)),
    changeUntil: Math.min(...batches.map(({ dueAt, maker }) => dueAt - maker.lead * MINUTE)),
    apart: [...new Set(batches.flatMap(({ maker }) => apartIn(maker, making)))],
  };
}

const firstDue = ({ outputs }: ProposedDough) => Math.min(...outputs.map(({ dueAt }) => dueAt));

/** The products and pieces of a proposal, as demand again. */
const asBatches = ({ outputs }: ProposedDough, makers: readonly Maker[]): Batch[] =>
  outputs.flatMap(({ productId, pieces, dueAt }) => {
    const maker = makers.find((one) => one.productId === productId);
    return maker ? [{ maker, pieces, dueAt, lastDue: dueAt }] : [];
  });

/** Two proposals as one dough, or why they cannot be. */
export function mergeDoughs(
  a: ProposedDough,
  b: ProposedDough,
  makers: readonly Maker[],
  making: Making,
): ProposedDough | { refused: Coded } {
  const [one, other] = [asBatches(a, makers), asBatches(b, makers)];
  const [first, second] = [one[0], other[0]];
  if (!first || !second) return { refused: coded('orders.aProductOfItIs') };
  if (first.maker.sharing !== second.maker.sharing)
    return {
      refused: coded('orders.comesFromAnotherDoughThan', {
        name: second.maker.name,
        name2: first.maker.name,
      }),
    };
  if (a.apart.join() !== b.apart.join())
    return {
      refused: coded('orders.isKeptApartFromThe', {
        products: [...a.apart, ...b.apart].map((allergen) => coded('names.allergen', { allergen })),
        count: a.apart.length + b.apart.length,
      }),
    };
  const batches: Batch[] = [];
  for (const batch of [...one, ...other]) {
    const same = batches.find(({ maker, dueAt }) => maker === batch.maker && dueAt === batch.dueAt);
    if (same) same.pieces += batch.pieces;
    else batches.push({ ...batch });
  }
  const merged = doughOf(batches, making);
  if (merged.bowls > making.mostBowls)
    return {
      refused: coded('orders.togetherTheyAreBowlsA', { bowls: merged.bowls, mostBowls: making.mostBowls }),
    };
  return { ...merged, waits: Math.max(a.waits, b.waits) };
}

/** A proposal as two: its products apart where there are several, otherwise half the pieces each. */
export function splitDough(
  dough: ProposedDough,
  makers: readonly Maker[],
  making: Making,
): [ProposedDough, ProposedDough] | { refused: Coded } {
  const batches = asBatches(dough, makers);
  const [first, ...rest] = batches;
  if (!first) return { refused: coded('orders.aProductOfItIs') };
  if (rest.length > 0) return [doughOf([first], making), doughOf(rest, making)];
  if (first.pieces < 2) return { refused: coded('orders.onePieceCannotBeSplit') };
  const half = (nth: number) => doughOf([{ ...first, pieces: share(first.pieces, 2, nth) }], making);
  return [half(0), half(1)];
}

/** Bowls less full than this have room that the freezer can use. */
const ROOMY = 0.6;

/**
 * Pieces of a proposal's first product that its bowls could make for the freezer besides: as many as fit, up to what is
 * missing of the stock that the house keeps; none where the bowls are full enough.
 */
export function roomForFreezer(
  dough: ProposedDough,
  makers: readonly Maker[],
  making: Making,
  missing: (productId: number) => number,
): { productId: number; pieces: number } | null {
  const [first] = dough.outputs;
  const maker = makers.find(({ productId }) => productId === first?.productId);
  if (!maker || dough.fill >= ROOMY) return null;
  const { productId } = maker;
  const fits = (pieces: number) =>
    withSpare(dough, { productId, pieces }, makers, making).kg <= dough.bowls * making.bowlKg;
  let [least, most] = [0, missing(productId)];
  // Most often all that is missing finds room: the bowls are less full than that.
  if (most > 0 && fits(most)) least = most;
  while (least < most) {
    const middle = Math.ceil((least + most) / 2);
    if (fits(middle)) least = middle;
    else most = middle - 1;
  }
  return least > 0 ? { productId, pieces: least } : null;
}

/** The proposal with pieces beyond what is ordered. */
export function withSpare(
  dough: ProposedDough,
  { productId, pieces }: { productId: number; pieces: number },
  makers: readonly Maker[],
  making: Making,
): ProposedDough {
  const grown = asBatches(dough, makers).map((batch) =>
    batch.maker.productId === productId ? { ...batch, pieces: batch.pieces + pieces } : batch,
  );
  const made = doughOf(grown, making);
  const outputs = made.outputs.map((output) => {
    const before = dough.outputs.find((one) => one.productId === output.productId)?.spare ?? 0;
    return { ...output, spare: before + (output.productId === productId ? pieces : 0) };
  });
  return { ...made, outputs, waits: dough.waits };
}

/** Whether these doughs make the same pieces for orders; what they make for the freezer is not counted. */
export function makeTheSame(some: readonly ProposedDough[], others: readonly ProposedDough[]): boolean {
  const left = new Map<number, number>();
  const count = (doughs: readonly ProposedDough[], sign: 1 | -1) => {
    for (const { productId, pieces, spare } of doughs.flatMap(({ outputs }) => outputs))
      left.set(productId, (left.get(productId) ?? 0) + sign * (pieces - spare));
  };
  count(some, 1);
  count(others, -1);
  return [...left.values()].every((pieces) => pieces === 0);
}

/** An output as `add-dough` plans it; `due` is a local time, as a form field has it. */
export interface OutputToPlan {
  productId: number;
  pieces: number;
  due: string;
  way: 'fresh' | 'to-freezer';
}

/** The outputs of a proposed dough, to be planned: what is more than is ordered goes to the freezer. */
export function outputsToPlan({ outputs }: Pick<ProposedDough, 'outputs'>, zone: string): OutputToPlan[] {
  return outputs.flatMap(({ productId, pieces, spare, dueAt }) => {
    const own = { productId, due: formatLocal(dueAt, zone) };
    return [
      ...(pieces > spare ? [{ ...own, pieces: pieces - spare, way: 'fresh' as const }] : []),
      ...(spare > 0 ? [{ ...own, pieces: spare, way: 'to-freezer' as const }] : []),
    ];
  });
}
