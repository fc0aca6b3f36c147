import { coded } from '../codes/coded';
import { Fault } from '../codes/fault';
import { type Pass, passesTo, sheetAfter, type Slab, type Table } from './gaps';
import { lockedSize, neededDough, type Size } from './lock-in';
import type { Beginning, Scheme, Weights } from './scheme';
import { DOUGH_DENSITY, fatDensity, type Fold, foldCount, laminatedDensity, type LockIn } from './stack';

/** How a house lays out its blocks, cm. */
export interface Laying {
  /** Bare dough around the butter, and what a seam takes. */
  rim: number;
  seam: number;
  /** What is cut off each ragged end before a fold. */
  trim: number;
  /** Length of a butter block against its width; an envelope's and a cross's is square. */
  ratio: number;
}

export const USUAL_LAYING: Laying = { rim: 1.5, seam: 1.5, trim: 0.5, ratio: 1.25 };

/** The butter block and the dough for it, before the lock-in. */
export interface LockInPlan {
  style: LockIn;
  butter: Slab;
  dough: Slab;
  /** A cross: how thick its flaps are beside a centre of `dough.mm`. */
  flapMm: number | null;
  after: Slab;
}

/** One turn of a block: before, rolled, trimmed and folded. */
export interface TurnPlan {
  nth: number;
  fold: Fold;
  before: Slab;
  passes: Pass[];
  sheet: Slab;
  after: Slab;
  /** Into how many parts the dough must be cut for the sheet to find room on the table; 1 where it does. */
  cutInto: number;
}

/** Everything that a scheme asks for of one block. Lengths in cm, thicknesses in mm, weights in grams. */
export interface BlockPlan {
  lockIn: LockInPlan | null;
  /** The dough rolled open for butter that is spread or grated, or for a disc of a stack. */
  open: Slab | null;
  turns: TurnPlan[];
  final: { before: Slab; passes: Pass[]; sheet: Slab; cutInto: number };
  /** g/cm³ of the layered dough. */
  density: number;
  /** What is left after trimming, share of the block. */
  kept: number;
}

/** Thickness in mm, flour as a share of the fat, length by width. */
export interface BlockMeasures {
  mm: number;
  flour: number;
  ratio: number;
}

/** Where a block cannot be rolled as it is asked for; `message` is a sentence for a baker. */

/** Length and width of a butter block from its weight and thickness. */
export function butterBlock(style: LockIn, grams: number, { mm, flour, ratio }: BlockMeasures): Slab {
  const area = (grams * 10) / (fatDensity(flour) * mm);
  const square = style === 'envelope' || style === 'cross';
  const width = Math.sqrt(area / (square ? 1 : ratio));
  return { length: area / width, width, mm };
}

/** How thin and how thick a block in a template may come out, mm. */
const [THINNEST, THICKEST] = [3, 40];

/** Butter rolled out in a template: as thick as its weight makes it. */
function inTemplate(
  { length, width }: { length: number; width: number },
  grams: number,
  flour: number,
): Slab {
  return { length, width, mm: (grams * 10) / (fatDensity(flour) * length * width) };
}

/** Grams of butter in a block of this size. */
export function butterGrams({ length, width, mm }: Slab, flour = 0): number {
  return (length * width * mm * fatDensity(flour)) / 10;
}

function lockInPlan(
  { style, blockMm, template }: Extract<Beginning, { way: 'block' }>,
  { dough, fat }: Weights,
  flour: number,
  { rim, seam, ratio }: Laying,
): LockInPlan {
  const butter = template
    ? inTemplate(template, fat * (1 + flour), flour)
    : butterBlock(style, fat * (1 + flour), { mm: blockMm, flour, ratio });
  if (template && (butter.mm < THINNEST || butter.mm > THICKEST)) {
    throw new Fault(
      coded('lamination.templateMakesNoBlock', {
        ...{ fat: { grams: fat }, block: { mm: butter.mm }, least: { mm: THINNEST }, most: { mm: THICKEST } },
        ...{ length: { cm: template.length }, width: { cm: template.width } },
      }),
    );
  }
  if (butter.mm / 10 > butter.width) {
    throw new Fault(
      coded('lamination.blockThickerThanWide', {
        ...{ fat: { grams: fat }, block: { mm: blockMm }, width: { cm: butter.width } },
      }),
    );
  }
  const size: Size = [butter.length, butter.width];
  const [length, width] = neededDough(style, size, seam, rim);
  const volume = (dough * 10) / DOUGH_DENSITY;
  // A cross: four flaps of half a side and a seam, half as thick as the centre, lie on each other in two layers.
  const flaps = (2 * butter.width + 2 * butter.length) * (butter.width / 2 + seam);
  const mm =
    style === 'cross' ? volume / (butter.length * butter.width + flaps / 2) : volume / (length * width);
  const locked = lockedSize(style, size, rim);
  const whole = volume + (fat * (1 + flour) * 10) / fatDensity(flour);
  return {
    ...{ style, butter, dough: { length, width, mm }, flapMm: style === 'cross' ? mm / 2 : null },
    after: { length: locked[0], width: locked[1], mm: whole / (locked[0] * locked[1]) },
  };
}

/** A sheet is folded so that the block comes out about square: length to width as the number of its parts. */
function sheetWidth(volume: number, mm: number, parts: number, { width }: Table): number {
  return Math.min(width, Math.sqrt(volume / mm / parts));
}

function rolled(
  before: Slab,
  mm: number,
  parts: number,
  table: Table,
): { passes: Pass[]; sheet: Slab; cutInto: number } {
  const volume = before.length * before.width * before.mm;
  if (before.mm <= mm) return { passes: [], sheet: before, cutInto: 1 };
  const passes = passesTo(before, mm, { width: sheetWidth(volume, mm, parts, table), table });
  const sheet = sheetAfter(before, passes);
  return { passes, sheet, cutInto: Math.max(1, Math.ceil(sheet.length / table.length - 1e-9)) };
}

/** A block on its way to the final sheet lies so that it has to be widened least, and is not too wide already. */
function lyingFor({ length, width, mm }: Slab, wide: number): Slab {
  const [more, less] = length > width ? [length, width] : [width, length];
  const across = more <= wide ? more : less;
  return { length: across === more ? less : more, width: across, mm };
}

/** The final sheet, at least `wide` where that is said, otherwise three times as long as wide. */
function rolledOut(
  before: Slab,
  mm: number,
  wide: number | null,
  table: Table,
): Pick<BlockPlan['final'], 'before' | 'passes' | 'sheet'> {
  const endless = { ...table, length: Infinity };
  if (wide === null || before.mm <= mm) return { before, ...rolled(before, mm, 3, endless) };
  const lying = lyingFor(before, wide);
  const passes = passesTo(lying, mm, { width: wide, table: endless, wideness: 'at-least' });
  return { before: lying, passes, sheet: sheetAfter(lying, passes) };
}

/** A fold's block, lying for the next turn: the quarter turn puts its open side along the way it will be rolled. */
function folded({ length, width, mm }: Slab, fold: Fold): Slab {
  const parts = foldCount(fold);
  return { length: width, width: length / parts, mm: mm * parts };
}

function turnPlan(
  { nth, fold, mm }: { nth: number; fold: Fold; mm: number },
  before: Slab,
  trim: number,
  table: Table,
): TurnPlan {
  const { passes, sheet, cutInto } = rolled(before, mm, foldCount(fold), table);
  if (sheet.length <= 2 * trim) {
    throw new Fault(coded('lamination.sheetIsAllTrimmings', { nth, length: { cm: sheet.length } }));
  }
  const kept = { ...sheet, length: sheet.length - 2 * trim };
  return { nth, fold, before, passes, sheet, after: folded(kept, fold), cutInto };
}

/** How a block is rolled. */
export interface Rolling {
  table: Table;
  laying?: Laying;
  /** The folds that were really given, with the thickness before each; the scheme's own where nothing is said. */
  folds?: readonly { fold: Fold; mm: number }[];
  /** How wide the final sheet has to be for what is cut from it, cm; null where that is not known. */
  wide?: number | null;
}

/**
 * Works out one block through a scheme: sizes of butter and dough, each turn with its passes, and the final sheet of
 * `mm`. Volume is kept but for what is trimmed.
 *
 * @throws {Fault} where it cannot be rolled so
 */
export function planBlock(
  scheme: Scheme,
  weights: Weights,
  mm: number,
  { table, laying = USUAL_LAYING, folds = scheme.turns, wide = null }: Rolling,
): BlockPlan {
  const { dough, fat } = weights;
  if (!(dough > 0)) throw new Fault(coded('lamination.howMuchDoughGiveIts'));
  if (!(fat > 0)) throw new Fault(coded('lamination.howMuchButterWithoutIt'));
  const { beginning, flourInFat: flour } = scheme;
  const density = laminatedDensity(fat * (1 + flour), dough, flour);
  const whole = ((dough + fat * (1 + flour)) * 10) / density;
  const lockIn = beginning.way === 'block' ? lockInPlan(beginning, weights, flour, laying) : null;
  const open = openSheet(beginning, (dough * 10) / DOUGH_DENSITY, scheme.turns[0]?.mm ?? mm, table);
  // Spread, grated or stacked: the open sheet or disc with all that comes to lie on it.
  let block: Slab = lockIn?.after ?? { ...open, mm: whole / (open.length * open.width) };
  const turns = folds.map(({ fold, mm: to }, i) => {
    const turn = turnPlan({ nth: i + 1, fold, mm: to }, block, laying.trim, table);
    block = turn.after;
    return turn;
  });
  const final = rolledOut(block, mm, wide, table);
  const volume = block.length * block.width * block.mm;
  return {
    ...{ lockIn, open: lockIn ? null : open, turns, density, kept: volume / whole },
    final: { ...final, cutInto: Math.max(1, Math.ceil(final.sheet.length / table.length - 1e-9)) },
  };
}

/** The same; null where the block cannot be rolled as it is asked for, for those who have nowhere to say so. */
export function planBlockIfAny(...asked: Parameters<typeof planBlock>): BlockPlan | null {
  try {
    return planBlock(...asked);
  } catch (error) {
    if (error instanceof Fault) return null;
    throw error;
  }
}

function openSheet(beginning: Beginning, volume: number, mm: number, table: Table): Slab {
  if (beginning.way === 'discs') {
    // Discs are rolled to a finger's thickness; the side of the square that one is cut from.
    const side = Math.sqrt(volume / beginning.discs / DISC_MM);
    return { length: side, width: side, mm: DISC_MM };
  }
  const width = sheetWidth(volume, mm, 3, table);
  return { length: volume / mm / width, width, mm };
}

const DISC_MM = 6;

/** Into how many equal blocks a dough is divided: by what the sheeter or the hands can take, kg. */
export function blocksFor(kg: number, blockKg: number): number {
  return Math.max(1, Math.ceil(kg / blockKg - 1e-9));
}
