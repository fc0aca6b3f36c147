import type { Words } from '../codes/coded';
import {
  area,
  arrow,
  curve,
  line,
  rectangle,
  round,
  vessel,
  type Drawing,
  type Mark,
  type Point,
} from '../drawing/drawing';
import type { StepKind } from './route';

/** The window of every drawing of a step, and the line on which things stand. */
const [WIDTH, HEIGHT, GROUND] = [120, 80, 70];

const table: Mark = line(
  [
    [4, GROUND],
    [116, GROUND],
  ],
  { heavy: true, free: true },
);
const down = (x: number, from: number, to: number): Mark => arrow([x, from], [x, to]);

/** Part of an ellipse as points, from one angle to the other in degrees, clockwise from the right. */
function arc([x, y]: Point, [wide, high]: Point, from: number, to: number): Point[] {
  return Array.from({ length: 13 }, (_, i): Point => {
    const angle = ((from + ((to - from) * i) / 12) * Math.PI) / 180;
    return [x + wide * Math.cos(angle), y + high * Math.sin(angle)];
  });
}

/** A piece with layers from its end, standing at (x, y). */
const piece = (x: number, y: number, half: number, tone: 'dough' | 'second' = 'dough'): Mark[] => [
  curve(
    `M${x - half} ${y}C${x - half} ${y - 1.7 * half} ${x + half} ${y - 1.7 * half} ${x + half} ${y}Z`,
    tone,
  ),
  curve(
    `M${x - half * 0.7} ${y - half * 0.45}Q${x} ${y - half * 0.95} ${x + half * 0.7} ${y - half * 0.45}`,
    'none',
  ),
];
/** A tray with pieces on it, its left end at (x, y). */
const tray = (x: number, y: number, count: number, tone: 'dough' | 'second' = 'dough'): Mark[] => [
  ...Array.from({ length: count }, (_, i) => piece(x + 9 + 15 * i, y, 6.5, tone)).flat(),
  area(rectangle(x, y, 15 * count + 3, 2.5), 'tin'),
];
/** An oven of two decks, or a proofer, at the right of the drawing. */
const chamber = (tone: 'odd' | 'shade'): Mark[] => [
  area(rectangle(64, 10, 52, 60), tone),
  area(rectangle(70, 17, 46, 19), 'none'),
  area(rectangle(70, 44, 46, 19), 'none'),
];
const steam = (x: number, y: number): Mark => curve(`M${x} ${y}q-4 -4 0 -8t0 -8`, 'none', { free: true });

const mixer: Mark[] = [
  curve('M24 30Q26 70 60 70Q94 70 96 30Z', 'tin'),
  curve('M32 44Q46 34 60 40T88 42Q84 65 60 65Q36 65 32 44Z', 'dough'),
  curve('M57 6V25Q69 28 63 38T55 52Q54 60 64 60L65 57Q60 56 61 51T69 37Q75 25 63 21V6Z', 'odd'),
  arrow(...arc([60, 27], [44, 10], 200, 335)),
];

const lump = curve('M18 70C18 40 62 30 84 52Q100 58 102 70Z', 'dough');

const MARKS: Partial<Record<StepKind, readonly Mark[]>> = {
  mix: mixer,
  knead: [lump, arrow([40, 30], [66, 26], [92, 44]), arrow(...arc([44, 62], [22, 12], 330, 190)), table],
  fold: [
    area(rectangle(14, 52, 92, 18), 'dough', true),
    curve('M14 52C30 56 40 20 66 18Q84 18 84 34Q80 40 72 34C58 30 60 54 92 52L106 52', 'dough'),
    arrow(...arc([64, 40], [42, 32], 190, 320)),
    vessel(12, 108, [30, GROUND]),
  ],
  degas: [
    curve('M22 68C26 8 94 8 98 68', 'none', { dashed: true, free: true }),
    curve('M12 70V62Q12 56 20 56H100Q108 56 108 62V70Z', 'dough'),
    ...[40, 60, 80].map((x) => down(x, 26, 48)),
    table,
  ],
  divide: [
    curve('M8 70V52Q8 46 16 46H44V70Z', 'dough'),
    line(
      [
        [44, 36],
        [44, 76],
      ],
      { heavy: true, free: true },
    ),
    arrow(...arc([64, 50], [22, 24], 215, 310)),
    ...[curve('M82 70L86 54H108L112 70Z', 'odd'), round(97, 62, 5, 'none')],
    area(rectangle(76, 50, 42, 3), 'tin'),
    curve('M86 50C86 34 108 34 108 50Z', 'dough'),
    line([
      [97, 62],
      [100, 59],
    ]),
    table,
  ],
  filling: [
    curve('M28 32V62Q28 70 36 70H76Q84 70 84 62V32Z', 'tin'),
    curve('M31 42Q44 37 56 42T81 42V60Q81 67 74 67H38Q31 67 31 60Z', 'filling'),
    line(
      [
        [84, 40],
        [108, 34],
      ],
      { heavy: true, free: true },
    ),
    line(
      [
        [52, 56],
        [70, 10],
      ],
      { heavy: true, free: true },
    ),
    ...[steam(40, 27), steam(50, 24)],
    table,
  ],
  levain: [
    curve('M40 70V56Q60 50 80 56V70Z', 'dough'),
    curve('M40 50Q60 20 80 50', 'none', { dashed: true, free: true }),
    ...[down(52, 10, 40), down(68, 10, 40)],
    area(rectangle(46, 4, 12, 6), 'second'),
    area(rectangle(62, 4, 12, 6), 'odd'),
    vessel(38, 82, [24, GROUND]),
  ],
  sponge: [
    curve('M22 70V54Q60 48 98 54V70Z', 'dough'),
    ...[
      [38, 62],
      [56, 60],
      [72, 63],
      [86, 61],
    ].map(([x = 0, y = 0]) => round(x, y, 2, 'none')),
    ...[down(44, 12, 44), down(76, 12, 44)],
    vessel(20, 100, [28, GROUND]),
  ],
  wash: [
    curve('M16 70C16 26 84 26 84 70Z', 'dough'),
    curve('M19 56C24 32 50 30 62 38Q44 38 34 46T19 56Z', 'butter'),
    curve('M26 62Q50 40 74 62M34 68Q50 54 66 68', 'none'),
    curve('M58 36L70 44L78 34L66 26Z', 'second'),
    curve('M66 26L78 34L82 29L70 21Z', 'tin'),
    curve('M72 22L96 2L102 8L80 28Z', 'filling'),
    arrow(...arc([50, 54], [44, 42], 215, 280)),
    table,
  ],
  move: [...chamber('shade'), ...tray(2, 56, 3), arrow([54, 52], [78, 52])],
  load: [...chamber('odd'), ...tray(2, 56, 3), arrow([54, 52], [78, 52])],
  bake: [
    ...chamber('odd'),
    ...tray(2, 56, 3, 'second'),
    arrow([84, 52], [58, 52]),
    steam(20, 42),
    steam(36, 42),
  ],
  finish: [
    ...[24, 44, 64].flatMap((y) => tray(58, y, 3, 'second')),
    line(
      [
        [57, 6],
        [57, 76],
      ],
      { heavy: true, free: true },
    ),
    line(
      [
        [107, 6],
        [107, 76],
      ],
      { heavy: true, free: true },
    ),
    ...piece(22, 56, 13, 'second'),
    ...[steam(16, 32), steam(28, 32)],
    arrow([40, 50], [52, 46]),
  ],
};

/**
 * What the hands do in a step, where no drawing of its own sums shows more: `null` for waits, and for steps that are drawn
 * to size (butter, turns, sheets, shapes).
 *
 * @param says - what the drawing shows, in words
 */
export function stepDrawing(kind: StepKind, says: Words): Drawing | null {
  const marks = MARKS[kind];
  return marks ? { view: [0, 0, WIDTH, HEIGHT], marks: [...marks], says } : null;
}
