import { cellsIn, rowLength, whole } from './count';
import { cellsInSection, sectionFor } from './sections';
import { cellOf, pieceArea, type PieceSize } from './piece';

/** Pieces to be cut for one output: `most` of them, or as many as find room where it is null. */
export interface Wanted {
  size: PieceSize;
  most: number | null;
}

/** Rows of one piece that lie together on a sheet. `turned`: rows run along the sheet's width. Lengths in cm. */
export interface CutBlock {
  /** Which of the wanted pieces. */
  of: number;
  x: number;
  y: number;
  rows: number;
  perRow: number;
  turned: boolean;
}

/** A sheet with all that is cut from it. `round`: it is a disc, `length` across. */
export interface Arrangement {
  round: boolean;
  length: number;
  width: number;
  blocks: CutBlock[];
  /** Pieces of each wanted kind. */
  counts: number[];
  /** Share of the sheet that is left over, 0 to 1. */
  scrap: number;
  /** Half triangles at the ends of rows, pressed together in pairs: odd pieces, one a row. */
  odd: number;
}

interface Option {
  of: number;
  turned: boolean;
  size: PieceSize;
  /** What a cell of it is worth: its area, more where it was asked for and others only fill the rest. */
  worth: number;
}

/** Blocks of one region from its lower left corner, and what their pieces are worth. */
interface Filled {
  worth: number;
  blocks: readonly CutBlock[];
}

const NOTHING: Filled = { worth: 0, blocks: [] };
const HAIR = 1e-7;
/** Regions looked at before the search settles for the largest block that fits. */
const BUDGET = 1500;

/**
 * Lays wanted pieces on a sheet with little scrap: a block of rows goes into a corner, and what is left of the sheet beside
 * and above it, split either way, is filled in the same manner. All blocks that may matter are tried until the budget is
 * spent. Pieces that are counted come before those that only fill what is left. A sheet turned by a quarter gives the same arrangement turned.
 */
export function arrange(
  length: number,
  width: number,
  wanted: readonly Wanted[],
  budget = BUDGET,
): Arrangement {
  const [long, short] = length >= width ? [length, width] : [width, length];
  const lay = (remaining: readonly number[], looks: number): Filled => {
    const search = new Search(wanted, looks);
    const found = [
      search.fill(long, short, remaining),
      ...inOneDirection(long, short, wanted, remaining),
      inSections(long, short, wanted, remaining),
      turnedRound(inSections(short, long, wanted, remaining)),
    ];
    return found.reduce((a, b) => (b.worth > a.worth + HAIR ? b : a));
  };
  const asked = wanted.map(({ size, most }) =>
    most === null ? Infinity : Math.ceil(most / cellOf(size).pieces),
  );
  const best = fairly(lay(asked, budget), asked, (remaining) => lay(remaining, budget / 5));
  const { blocks } = length >= width ? best : turnedRound(best);
  return arrangementOf({ round: false, length, width }, blocks, wanted);
}

/** How finely shares of what was asked for are told apart. */
const SHARES = 12;

/**
 * Where not all that was asked for finds room, as large a share of every kind as there is room for together, instead of all
 * of one and none of another.
 */
function fairly(
  best: Filled,
  asked: readonly number[],
  lay: (remaining: readonly number[]) => Filled,
): Filled {
  const leastShare = (filled: Filled) =>
    Math.min(
      1,
      ...lessOf(asked, filled.blocks)
        .map((left, i) => 1 - left / (asked[i] ?? 1))
        .filter(Number.isFinite),
    );
  const kinds = asked.filter((cells) => Number.isFinite(cells) && cells > 0);
  if (kinds.length < 2 || leastShare(best) >= 1) return best;
  for (let share = SHARES - 1; share / SHARES > leastShare(best); share--) {
    const some = asked.map((cells) => (Number.isFinite(cells) ? Math.ceil((cells * share) / SHARES) : cells));
    const filled = lay(some);
    if (leastShare(filled) >= share / SHARES - HAIR) return filled;
  }
  return best;
}

/** The same on a sheet turned by a quarter. */
function turnedRound({ worth, blocks }: Filled): Filled {
  return {
    worth,
    blocks: blocks.map((block) => ({ ...block, x: block.y, y: block.x, turned: !block.turned })),
  };
}

/** A sheet rolled to a disc and cut into sectors from its middle: the first of the wanted pieces that are sectors of it. */
export function arrangeRound(across: number, wanted: readonly Wanted[]): Arrangement {
  const of = wanted.findIndex(
    ({ size, most }) => size.shape === 'sector' && size.base <= across + HAIR && most !== 0,
  );
  const edge = (across - (wanted[of]?.size.base ?? 0)) / 2;
  const blocks = of < 0 ? [] : [{ of, x: edge, y: edge, rows: 1, perRow: 1, turned: false }];
  return arrangementOf({ round: true, length: across, width: across }, blocks, wanted);
}

/** Area of the sheet of an arrangement, cm². */
export function sheetArea({ round, length, width }: Pick<Arrangement, 'round' | 'length' | 'width'>): number {
  return round ? (Math.PI * length * length) / 4 : length * width;
}

function arrangementOf(
  sheet: Pick<Arrangement, 'round' | 'length' | 'width'>,
  blocks: readonly CutBlock[],
  wanted: readonly Wanted[],
): Arrangement {
  // Of the last cell there may be more than were asked for: those are left over.
  const counts = wanted.map(({ size, most }, of) =>
    Math.min(
      most ?? Infinity,
      blocks
        .filter((block) => block.of === of)
        .reduce((sum, { rows, perRow }) => sum + rows * perRow * cellOf(size).pieces, 0),
    ),
  );
  const used = wanted.reduce((sum, { size }, i) => sum + pieceArea(size) * (counts[i] ?? 0), 0);
  const odd = blocks
    .filter(({ of }) => wanted[of]?.size.shape === 'triangle')
    .reduce((sum, { rows }) => sum + rows, 0);
  const scrap = Math.max(0, 1 - used / sheetArea(sheet));
  return { ...sheet, blocks: [...blocks], counts, scrap, odd };
}

/** All pieces in rows of one direction, one kind after the other, in every order: what a baker would do without thinking. */
export function inOneDirection(
  length: number,
  width: number,
  wanted: readonly Wanted[],
  remaining: readonly number[],
): Filled[] {
  return orders(wanted.map((_, i) => i)).flatMap((order) =>
    [false, true].map((turned) => {
      const [along, across] = turned ? [width, length] : [length, width];
      const blocks: CutBlock[] = [];
      let [at, worth] = [0, 0];
      for (const of of order) {
        const size = wanted[of]?.size;
        if (!size) continue;
        const { height, pieces } = cellOf(size);
        const perRow = cellsIn(size, along);
        const most = remaining[of] ?? 0;
        const rows = Math.min(whole((across - at) / height), perRow > 0 ? Math.floor(most / perRow) : 0);
        const put = (rowCount: number, cells: number) => {
          if (rowCount < 1 || cells < 1) return;
          blocks.push({
            of,
            ...(turned ? { x: at, y: 0 } : { x: 0, y: at }),
            rows: rowCount,
            perRow: cells,
            turned,
          });
          worth += rowCount * cells * pieces * pieceArea(size) * weightIn(wanted, of);
          at += rowCount * height;
        };
        put(rows, perRow);
        const rest = Math.min(perRow, most - rows * perRow);
        if (across - at >= height - HAIR) put(1, rest);
      }
      return { worth, blocks };
    }),
  );
}

/** Each kind over the whole width in a stretch of its own, one after the other: how doughs are made large enough. */
function inSections(
  length: number,
  width: number,
  wanted: readonly Wanted[],
  remaining: readonly number[],
): Filled {
  const blocks: CutBlock[] = [];
  let [at, worth] = [0, 0];
  wanted.forEach(({ size }, of) => {
    const cells = Math.min(remaining[of] ?? 0, cellsInSection(size, width, length - at));
    const section = cells > 0 ? sectionFor(size, width, cells) : null;
    if (!section || at + section.length > length + HAIR) return;
    for (const { x, ...rows } of section.rows.filter((one) => one.rows > 0))
      blocks.push({ of, ...rows, x: at + x, turned: section.turned });
    worth += cells * cellOf(size).pieces * pieceArea(size) * weightIn(wanted, of);
    at += section.length;
  });
  return { worth, blocks };
}

function orders(items: readonly number[]): number[][] {
  if (items.length <= 1) return [[...items]];
  return items.flatMap((first) =>
    orders(items.filter((other) => other !== first)).map((rest) => [first, ...rest]),
  );
}

/** A cm² of pieces that were asked for counts so often as one of pieces that only fill the rest. */
const ASKED_FOR = 4;

function weightIn(wanted: readonly Wanted[], of: number): number {
  const fills = wanted.some(({ most }) => most === null);
  return fills && wanted[of]?.most !== null ? ASKED_FOR : 1;
}

class Search {
  private readonly options: Option[];
  private readonly known = new Map<string, Filled>();
  private looked = 0;
  /** No piece fits where both sides are shorter than this. */
  private readonly least: number;
  /** What a cm² can be worth at most. */
  private readonly most: number;

  constructor(
    wanted: readonly Wanted[],
    private readonly budget: number,
  ) {
    this.options = wanted.flatMap(({ size }, of) =>
      [false, true].map((turned) => ({
        ...{ of, turned, size },
        worth: pieceArea(size) * cellOf(size).pieces * weightIn(wanted, of),
      })),
    );
    this.most = Math.max(1, ...wanted.map((_, of) => weightIn(wanted, of)));
    this.least = Math.min(...wanted.map(({ size }) => Math.max(cellOf(size).first, cellOf(size).height)));
  }

  /** The best that was found for a region with so many cells of each kind still wanted. */
  fill(length: number, width: number, remaining: readonly number[]): Filled {
    if (Math.max(length, width) < this.least - HAIR || Math.min(length, width) <= HAIR) return NOTHING;
    const key = `${length.toFixed(4)}|${width.toFixed(4)}|${remaining.join()}`;
    const known = this.known.get(key);
    if (known) return known;
    this.looked++;
    const bound = Math.min(
      length * width * this.most,
      remaining.reduce((sum, cells, i) => sum + cells * (this.options[2 * i]?.worth ?? 0), 0),
    );
    let best = NOTHING;
    for (const block of this.blocks(length, width, remaining)) {
      const { option, rows, perRow, covers } = block;
      if (best.worth >= bound - HAIR) break;
      const taken = rowLength(option.size, perRow) * rows * cellOf(option.size).height;
      // Even with nothing left over beside it, this block would be no better.
      if (Math.min(bound, (length * width - taken) * this.most + covers) <= best.worth + HAIR) continue;
      for (const filled of this.around(length, width, remaining, block)) {
        if (better(filled, best)) best = filled;
      }
    }
    this.known.set(key, best);
    return best;
  }

  /** Blocks that may go into the corner, the largest first. When the budget is spent, only that one. */
  private blocks(length: number, width: number, remaining: readonly number[]) {
    const found = this.options.flatMap((option) => {
      const [along, across] = option.turned ? [width, length] : [length, width];
      const cells = remaining[option.of] ?? 0;
      const rows = whole(across / cellOf(option.size).height);
      const perRow = cellsIn(option.size, along);
      if (rows < 1 || perRow < 1 || cells < 1) return [];
      return sensible(rows, perRow, cells).map(([r, c]) => ({
        ...{ option, rows: r, perRow: c },
        covers: r * c * option.worth,
      }));
    });
    found.sort((a, b) => b.covers - a.covers);
    return this.looked > this.budget ? found.slice(0, 1) : found;
  }

  /** Puts a block into the corner and fills the rest, split along one of its sides or the other. */
  private around(
    length: number,
    width: number,
    remaining: readonly number[],
    { option, rows, perRow }: { option: Option; rows: number; perRow: number },
  ): Filled[] {
    const { of, turned, size, worth } = option;
    const [run, rise] = [rowLength(size, perRow), rows * cellOf(size).height];
    const [wide, high] = turned ? [rise, run] : [run, rise];
    const left = remaining.map((cells, i) => (i === of ? cells - rows * perRow : cells));
    const block: CutBlock = { of, x: 0, y: 0, rows, perRow, turned };
    const own = rows * perRow * worth;
    const beside = { x: wide, y: 0, length: length - wide, width };
    const above = { x: 0, y: high, length: wide, width: width - high };
    const over = { x: 0, y: high, length, width: width - high };
    const right = { x: wide, y: 0, length: length - wide, width: high };
    return [
      [beside, above],
      [over, right],
    ].flatMap((regions) =>
      [regions, [...regions].reverse()].map((order) => {
        let [sum, still] = [own, left];
        const blocks = [block];
        for (const region of order) {
          const filled = this.fill(region.length, region.width, still);
          sum += filled.worth;
          still = lessOf(still, filled.blocks);
          blocks.push(...filled.blocks.map((b) => ({ ...b, x: b.x + region.x, y: b.y + region.y })));
        }
        return { worth: sum, blocks };
      }),
    );
  }
}

/** Rows and cells a row that may matter: all of them where they are few, else the largest and those that end a demand. */
function sensible(rows: number, perRow: number, cells: number): [rows: number, perRow: number][] {
  const found: [number, number][] = [];
  const few = rows * perRow <= 16;
  for (let r = 1; r <= rows; r++) {
    const most = Math.min(perRow, Math.floor(cells / r));
    if (most < 1) break;
    const least = few ? 1 : most;
    for (let c = least; c <= most; c++) found.push([r, c]);
  }
  return found;
}

function lessOf(remaining: readonly number[], blocks: readonly CutBlock[]): number[] {
  return remaining.map((cells, i) =>
    blocks.reduce((sum, { of, rows, perRow }) => (of === i ? sum - rows * perRow : sum), cells),
  );
}

/** More of the sheet used; else fewer blocks, which are sooner cut. */
function better(a: Filled, b: Filled): boolean {
  if (a.worth > b.worth + HAIR) return true;
  return a.worth > b.worth - HAIR && a.blocks.length < b.blocks.length;
}
