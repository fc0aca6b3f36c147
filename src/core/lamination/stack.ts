import { joined, layerPile, sizesOf, type Part, type Pile } from './pile';

/** Densities of butter, degassed dough and flour kneaded into butter, g/cm³. */
export const FAT_DENSITY = 0.95;
export const DOUGH_DENSITY = 1.12;
const FLOUR_DENSITY = 1.45;

export const LOCK_INS = ['envelope', 'half-lock', 'middle', 'cross', 'two-thirds'] as const;
/** Ways to enclose a butter block: one layer of fat, or two where butter covers two thirds. */
export type LockIn = (typeof LOCK_INS)[number];
export const FOLDS = ['half', 'letter', 'book'] as const;
export type Fold = (typeof FOLDS)[number];

/** What is done to a sheet, in order. `plain` begins without fat; `spread` puts a share of the fat on the open face. */
export type Operation = LockIn | Fold | 'plain' | 'spread' | `stack:${number}`;

/** A laminated sheet; thicknesses in µm at the sheet's own thickness. */
export interface Layers {
  fatLayers: number;
  /** Of fat and dough together. */
  layers: number;
  fatVolumeFraction: number;
  meanFat: number;
  minFat: number;
  maxFat: number;
  meanDough: number;
  minDough: number;
  maxDough: number;
}

/** Which parts of the sheet are turned over, from the bottom of the folded block to its top. */
const TURNED: Record<Fold, readonly boolean[]> = {
  half: [false, true],
  letter: [false, true, true],
  book: [false, true, false, true],
};

/** Parts that lie on each other after a fold. */
export const foldCount = (fold: Fold): number => TURNED[fold].length;

/** Density of fat with flour kneaded in, `flour` grams a gram of fat. */
export function fatDensity(flour = 0): number {
  return (1 + flour) / (1 / FAT_DENSITY + flour / FLOUR_DENSITY);
}

/** Share of the fat layers in the volume, from weights in grams; the fat's weight includes flour kneaded into it. */
export function fatFraction(fatGrams: number, doughGrams: number, flour = 0): number {
  const fat = fatGrams / fatDensity(flour);
  return fat / (fat + doughGrams / DOUGH_DENSITY);
}

/** Density of the layered whole, g/cm³. */
export function laminatedDensity(fatGrams: number, doughGrams: number, flour = 0): number {
  return (fatGrams + doughGrams) / (fatGrams / fatDensity(flour) + doughGrams / DOUGH_DENSITY);
}

/**
 * Simulates the stack from bottom to top: faces that meet and are alike become one layer; sheeting thins all alike.
 * `fraction` is the fat's share of the volume. Throws on an operation it does not know or a stack of none.
 */
export function pileOf(operations: readonly Operation[], fraction: number): Pile {
  const spreads = operations.filter((operation) => operation === 'spread').length;
  const pile = operations.reduce<Pile | null>(
    (before, operation) => apply(before, operation, fraction, spreads),
    null,
  );
  if (!pile) throw new RangeError('Nothing was laid down to fold.');
  return pile;
}

function apply(before: Pile | null, operation: Operation, fraction: number, spreads: number): Pile {
  const alternating = (doughs: number, fats: number) =>
    joined(
      Array.from({ length: doughs + fats }, (_, i): Part => {
        const fat = i % 2 === 1;
        return part(layerPile({ fat, share: fat ? fraction / fats : (1 - fraction) / doughs }));
      }),
    );
  const { discs } = /^stack:(?<discs>\d+)$/.exec(operation)?.groups ?? {};
  if (discs !== undefined && Number(discs) >= 2) return alternating(Number(discs), Number(discs) - 1);
  switch (operation) {
    case 'envelope':
    case 'half-lock':
    case 'middle':
    case 'cross':
      return alternating(2, 1);
    case 'two-thirds':
      return alternating(3, 2);
    case 'plain':
      return layerPile({ fat: false, share: 1 - fraction });
  }
  if (!before) throw new RangeError(`${operation} needs a sheet to be done to.`);
  switch (operation) {
    case 'spread':
      return joined([part(before), part(layerPile({ fat: true, share: fraction / spreads }))]);
    case 'half':
    case 'letter':
    case 'book': {
      const turns = TURNED[operation];
      return joined(turns.map((turned) => ({ pile: before, turned, thin: 1 / turns.length })));
    }
    default:
      throw new RangeError(`${operation} is no way to laminate.`);
  }
}

const part = (pile: Pile): Part => ({ pile, turned: false, thin: 1 });

/** What a pile's layers are like when it is `sheetMm` thick. */
export function layersIn(pile: Pile, sheetMm: number): Layers {
  const um = sheetMm * 1000;
  const measure = (fat: boolean) => {
    let [count, least, most] = [0, Infinity, -Infinity];
    for (const [share, times] of sizesOf(pile, fat)) {
      count += times;
      least = Math.min(least, share * um);
      most = Math.max(most, share * um);
    }
    const whole = (fat ? pile.fatShare : pile.share - pile.fatShare) * um;
    return { count, mean: count > 0 ? whole / count : 0, least, most };
  };
  const [fat, dough] = [measure(true), measure(false)];
  return {
    ...{ fatLayers: fat.count, layers: fat.count + dough.count, fatVolumeFraction: pile.fatShare },
    ...{ meanFat: fat.mean, minFat: fat.least, maxFat: fat.most },
    ...{ meanDough: dough.mean, minDough: dough.least, maxDough: dough.most },
  };
}

/** Layers of a dough after some operations: weights in grams, the sheet's thickness in mm. */
export function layersOf(
  operations: readonly Operation[],
  fatGrams: number,
  doughGrams: number,
  sheetMm: number,
): Layers {
  return layersIn(pileOf(operations, fatFraction(fatGrams, doughGrams)), sheetMm);
}

/**
 * The number that people quote: folds multiplied, an enclosed block counted as 3, with butter on two thirds as 5, and no
 * thought given to faces that merge.
 */
export function foldsMultiplied(operations: readonly Operation[]): number {
  return operations.reduce((count, operation) => {
    if (operation === 'plain') return 1;
    if (operation === 'spread') return count + 1;
    if (operation === 'two-thirds') return 5;
    if (operation.startsWith('stack:')) return 2 * Number(operation.slice(6)) - 1;
    return (FOLDS as readonly string[]).includes(operation) ? count * foldCount(operation as Fold) : 3;
  }, 1);
}
