import { coded } from '../codes/coded';
import {
  area,
  line,
  rectangle,
  text,
  type Drawing,
  type Mark,
  type Point,
  type Tone,
} from '../drawing/drawing';
import type { Arrangement, CutBlock, Wanted } from './arrange';
import { cellOf, cellPolygons, type PieceSize } from './piece';

const TONES: Tone[] = ['dough', 'second', 'third'];

/** A piece as it lies on the sheet: corners in cm from the sheet's lower left. */
export interface CutPiece {
  of: number;
  points: Point[];
}

/** Every piece of an arrangement as a polygon; of its last cell no more than were asked for. */
export function piecesOf({ blocks }: Pick<Arrangement, 'blocks'>, wanted: readonly Wanted[]): CutPiece[] {
  const all = everyPiece(blocks, wanted);
  const own = wanted.map((_, of) => all.filter((piece) => piece.of === of));
  return own.flatMap((pieces, of) => pieces.slice(0, wanted[of]?.most ?? undefined));
}

function everyPiece(blocks: readonly CutBlock[], wanted: readonly Wanted[]): CutPiece[] {
  return blocks.flatMap((block) => {
    const size = wanted[block.of]?.size;
    if (!size) return [];
    return eachCell(block).flatMap(({ row, cell }) =>
      cellPolygons(size, cell).map((points) => ({
        of: block.of,
        points: points.map(([along, up]) => placed(block, along, up + row * cellOf(size).height)),
      })),
    );
  });
}

function eachCell({ rows, perRow }: CutBlock): { row: number; cell: number }[] {
  return Array.from({ length: rows * perRow }, (_, i) => ({ row: Math.floor(i / perRow), cell: i % perRow }));
}

function placed({ x, y, turned }: CutBlock, along: number, up: number): Point {
  return turned ? [x + up, y + along] : [x + along, y + up];
}

/** A mark to be made with the ruler: cm from the sheet's left, on its lower or upper edge; or from below, on the left edge. */
export interface RulerMark {
  edge: 'lower' | 'upper' | 'left';
  at: number;
}

/** Where the ruler marks go along the edges: bases on one side, the same shifted by half a base on the other. */
export function rulerMarks(
  { blocks, width }: Pick<Arrangement, 'blocks' | 'width'>,
  wanted: readonly Wanted[],
): RulerMark[] {
  const marks: RulerMark[] = [];
  for (const block of blocks) {
    const size = wanted[block.of]?.size;
    if (!size) continue;
    const { height, next } = cellOf(size);
    const rows = Array.from({ length: block.rows + 1 }, (_, i) => i * height);
    const across = block.turned
      ? rows.map((up) => block.x + up)
      : columnMarks(size, block.perRow, next, block.x);
    const up = block.turned ? columnMarks(size, block.perRow, next, block.y) : rows.map((r) => block.y + r);
    const reachesTop = blockEnd(block, size)[1] >= width - Math.max(1, cellOf(size).height);
    if (block.y === 0) marks.push(...across.map((at): RulerMark => ({ edge: 'lower', at })));
    if (reachesTop)
      marks.push(...shifted(size, block, across).map((at): RulerMark => ({ edge: 'upper', at })));
    marks.push(...up.map((at): RulerMark => ({ edge: 'left', at })));
  }
  return unique(marks);
}

function columnMarks(size: PieceSize, perRow: number, next: number, from: number): number[] {
  // A triangle's bases touch on each edge; only every other cell stands on this one.
  const step = size.shape === 'triangle' ? size.base : next;
  const bases = size.shape === 'triangle' ? Math.ceil(perRow / 2) : perRow;
  const { lead } = cellOf(size);
  return Array.from({ length: bases + 1 }, (_, i) => from + lead + i * step);
}

function shifted(size: PieceSize, block: CutBlock, across: readonly number[]): number[] {
  if (size.shape !== 'triangle' || block.turned) return [...across];
  const above = Math.floor(block.perRow / 2);
  return Array.from({ length: above + 1 }, (_, i) => block.x + size.base / 2 + i * size.base);
}

function blockEnd(block: CutBlock, size: PieceSize): Point {
  const { first, next, height } = cellOf(size);
  const [run, rise] = [first + (block.perRow - 1) * next, block.rows * height];
  return block.turned ? [block.x + rise, block.y + run] : [block.x + run, block.y + rise];
}

function unique(marks: RulerMark[]): RulerMark[] {
  const seen = new Map(marks.map((mark) => [`${mark.edge} ${mark.at.toFixed(3)}`, mark]));
  return [...seen.values()].sort((a, b) => a.at - b.at);
}

/** A round sheet's edge. */
function circle(across: number): Point[] {
  const at = (i: number) => (i / CORNERS) * 2 * Math.PI;
  return Array.from({ length: CORNERS }, (_, i): Point => [
    across / 2 + (across / 2) * Math.cos(at(i)),
    across / 2 + (across / 2) * Math.sin(at(i)),
  ]);
}
const CORNERS = 72;

/** Room around the sheet for the ruler, cm. */
const MARGIN = 9;

/**
 * The cut plan to scale, 1 unit = 1 cm: the sheet with its pieces, and ruler marks along the edges written by `show`.
 * The sheet's lower left corner is at 0, 0 of the ruler.
 */
export function cutDrawing(
  plan: Arrangement,
  wanted: readonly Wanted[],
  show: (cm: number) => string,
): Drawing {
  const { length, width } = plan;
  const size = Math.max(1.6, length / 68);
  const down = ([x, y]: Point): Point => [x, width - y];
  const pieces = piecesOf(plan, wanted);
  const marks: Mark[] = [
    area(plan.round ? circle(length) : rectangle(0, 0, length, width), 'odd'),
    ...pieces.map(({ of, points }) => area(points.map(down), TONES[of % TONES.length] ?? 'dough')),
  ];
  let last = { lower: -Infinity, upper: -Infinity, left: -Infinity };
  for (const { edge, at } of plan.round ? [] : rulerMarks(plan, wanted)) {
    const room = at - last[edge] > size * (edge === 'left' ? 1.1 : 2.6);
    if (room) last = { ...last, [edge]: at };
    const long = room ? 1.8 : 0.9;
    if (edge === 'left') {
      marks.push(
        line([
          [-long, width - at],
          [0, width - at],
        ]),
      );
      if (room) marks.push(text([-2.1, width - at + size / 3], show(at), size, 'end'));
    } else {
      const [from, to] = edge === 'lower' ? [width, width + long] : [-long, 0];
      marks.push(
        line([
          [at, from],
          [at, to],
        ]),
      );
      if (room) marks.push(text([at, edge === 'lower' ? width + 2.2 + size * 0.8 : -2.3], show(at), size));
    }
  }
  return {
    view: [-MARGIN, -MARGIN / 2 - 1, length + MARGIN + 4, width + MARGIN + 2],
    marks,
    says: coded('cutPlan.aRoundSheetAcrossOf', {
      isRound: plan.round,
      length: show(length),
      width: show(width),
      pieces: plan.counts.reduce((a, b) => a + b, 0),
    }),
  };
}
