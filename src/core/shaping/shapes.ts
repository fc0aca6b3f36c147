import { area, line, rectangle, type Drawing, type Mark, type Point } from '../drawing/drawing';

export const SHAPE_KINDS = ['crescent', 'roll', 'snail', 'pinwheel', 'pocket', 'braid', 'bun'] as const;
/** How a piece is made up. */
export type ShapeKind = (typeof SHAPE_KINDS)[number];

/** One picture of the hands' work, and what it says. */
export interface ShapeStep {
  drawing: Drawing;
  words: string;
}

export interface Shape {
  label: string;
  steps: ShapeStep[];
  /** What goes wrong, and why. */
  wrong: { sign: string; because: string }[];
}

const view = [0, 0, 100, 70] as const;
const step = (words: string, ...marks: Mark[]): ShapeStep => ({
  words,
  drawing: { view, marks, says: words },
});
const arrow = (...points: Point[]) => line(points, { arrow: true });
const curve = (
  path: string,
  tone: 'dough' | 'shade' | 'filling' | 'none' | 'tin' | 'butter' = 'dough',
): Mark => ({
  kind: 'curve',
  path,
  tone,
});
const round = (x: number, y: number, r: number, tone: 'dough' | 'filling' | 'none' | 'tin' | 'shade') =>
  curve(`M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`, tone);

/** Turns of a spiral around a point, from the outside in. */
function spiral(x: number, y: number, outer: number, turns: number): Mark {
  const points: Point[] = Array.from({ length: turns * 24 + 1 }, (_, i) => {
    const angle = (i / 24) * 2 * Math.PI;
    const radius = outer * (1 - i / (turns * 26));
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });
  return line(points);
}

/** A rolled crescent, thick in the middle: bands that narrow to the tips, bent by `bend`. */
function crescent(bend: number): Mark[] {
  const at = (share: number, out: number): Point => {
    const x = 50 + share * 38;
    return [x, 34 - bend * share * share * -1 + out * (1 - 0.82 * share * share)];
  };
  const edge = (out: number) => Array.from({ length: 21 }, (_, i) => at((i - 10) / 10, out));
  return [
    area([...edge(-15), ...edge(15).reverse()], 'dough'),
    ...[-0.62, -0.36, -0.12, 0.12, 0.36, 0.62].map((share) =>
      line([at(share - 0.07, -15), at(share + 0.05, 15)]),
    ),
  ];
}

/** One wing of a pinwheel, and where a point comes to lie after some quarter turns around the middle. */
const WING: Point[] = [
  [50, 35],
  [50, 6],
  [78, 6],
];
const turned = ([x, y]: Point, quarters: number): Point =>
  quarters === 0 ? [x, y] : turned([50 - (y - 35), 35 + (x - 50)], quarters - 1);

const SQUARE = rectangle(22, 7, 56, 56);

export const SHAPES: Record<ShapeKind, Shape> = {
  crescent: {
    label: 'crescent',
    steps: [
      step(
        'notch the base, or not; brush the flour off',
        area(
          [
            [28, 8],
            [72, 8],
            [50, 66],
          ],
          'dough',
        ),
        line(
          [
            [50, 8],
            [50, 16],
          ],
          { heavy: true },
        ),
      ),
      step(
        'pull the tip a little, base corners outwards',
        area(
          [
            [22, 8],
            [48, 8],
            [50, 14],
            [52, 8],
            [78, 8],
            [50, 68],
          ],
          'dough',
        ),
        arrow([32, 22], [20, 14]),
        arrow([68, 22], [80, 14]),
      ),
      step(
        'roll towards the tip, even and not tight',
        area(
          [
            [35, 26],
            [65, 26],
            [50, 66],
          ],
          'dough',
        ),
        curve('M20 14C35 8 65 8 80 14C82 20 66 28 50 28S18 20 20 14Z', 'shade'),
        arrow([50, 32], [50, 54]),
      ),
      step('seam under the piece; tips straight, or bent', ...crescent(24)),
    ],
    wrong: [
      { sign: 'tip torn', because: 'rolled too tight, or dough too cold' },
      { sign: 'hollow inside', because: 'rolled too loose, or flour left between' },
      { sign: 'opens in the oven', because: 'seam not under it, or wash in the layers' },
    ],
  },
  roll: {
    label: 'roll with two sticks',
    steps: [
      step(
        'first stick a finger from the near edge',
        area(rectangle(30, 8, 40, 54), 'dough'),
        area(rectangle(28, 50, 44, 5), 'filling'),
      ),
      step(
        'fold the edge over it, second stick at the fold',
        area(rectangle(30, 8, 40, 42), 'dough'),
        area(rectangle(30, 40, 40, 12), 'shade'),
        area(rectangle(28, 34, 44, 5), 'filling'),
      ),
      step(
        'roll on, even and flat',
        area(rectangle(30, 8, 40, 22), 'dough'),
        curve('M30 26h40a9 9 0 0 1 0 18h-40a9 9 0 0 1 0 -18Z', 'shade'),
        arrow([50, 50], [50, 60]),
      ),
      step(
        'seam exactly under; press flat a little',
        curve('M24 26h52a12 12 0 0 1 0 24h-52a12 12 0 0 1 0 -24Z'),
        round(34, 38, 3.5, 'filling'),
        round(46, 38, 3.5, 'filling'),
        line(
          [
            [30, 50],
            [70, 50],
          ],
          { heavy: true },
        ),
      ),
    ],
    wrong: [
      { sign: 'unrolls', because: 'seam at the side, or pieces too close together' },
      { sign: 'sticks fall out', because: 'cut narrower than the sticks are long' },
    ],
  },
  snail: {
    label: 'snail',
    steps: [
      step(
        'spread to a bare far edge, wet that edge',
        area(rectangle(12, 8, 76, 54), 'dough'),
        area(rectangle(12, 18, 76, 44), 'filling', true),
        line(
          [
            [12, 18],
            [88, 18],
          ],
          { dashed: true },
        ),
      ),
      step(
        'roll up evenly, chill the log',
        curve('M16 26h68a10 10 0 0 1 0 22h-68a10 10 0 0 1 0 -22Z'),
        spiral(16, 37, 10, 2),
        arrow([50, 62], [50, 52]),
      ),
      step(
        'equal slices by the ruler; wipe the knife',
        curve('M16 22h68a10 10 0 0 1 0 22h-68a10 10 0 0 1 0 -22Z'),
        ...[26, 38, 50, 62, 74].flatMap((x) => [
          line(
            [
              [x, 22],
              [x, 44],
            ],
            { dashed: true },
          ),
          line([
            [x, 52],
            [x, 57],
          ]),
        ]),
      ),
      step('tuck the end under the slice', round(50, 35, 27, 'dough'), spiral(50, 35, 27, 3)),
    ],
    wrong: [
      { sign: 'rises to a cone', because: 'rolled too tight' },
      { sign: 'squashed slices', because: 'log not chilled, or knife pressed instead of drawn' },
      { sign: 'opens', because: 'end not tucked under, edge not bare' },
    ],
  },
  pinwheel: {
    label: 'pinwheel',
    steps: [
      step(
        'four cuts from the corners, not quite to the middle',
        area(SQUARE, 'dough'),
        ...[
          [22, 7, 42, 27],
          [78, 7, 58, 27],
          [78, 63, 58, 43],
          [22, 63, 42, 43],
        ].map(([x = 0, y = 0, u = 0, v = 0]) =>
          line(
            [
              [x, y],
              [u, v],
            ],
            { heavy: true },
          ),
        ),
      ),
      step(
        'every second corner to the middle',
        area(SQUARE, 'dough'),
        ...(
          [
            [
              [22, 7],
              [42, 27],
              [50, 35],
              [50, 7],
            ],
            [
              [78, 7],
              [58, 27],
              [50, 35],
              [78, 35],
            ],
            [
              [78, 63],
              [58, 43],
              [50, 35],
              [50, 63],
            ],
            [
              [22, 63],
              [42, 43],
              [50, 35],
              [22, 35],
            ],
          ] as Point[][]
        ).map((points) => area(points, 'shade')),
      ),
      step(
        'press hard in the middle; filling on top of it',
        ...[0, 1, 2, 3].map((quarter) =>
          area(
            WING.map((point) => turned(point, quarter)),
            'dough',
          ),
        ),
        round(50, 35, 7, 'filling'),
      ),
    ],
    wrong: [
      { sign: 'wings come loose', because: 'middle not pressed, or floury' },
      { sign: 'falls apart', because: 'cuts went to the middle' },
    ],
  },
  pocket: {
    label: 'pocket',
    steps: [
      step('filling in the middle, edges bare', area(SQUARE, 'dough'), round(50, 35, 11, 'filling')),
      step(
        'two opposite corners to the middle, water as glue',
        area(
          [
            [50, 7],
            [78, 7],
            [78, 35],
            [50, 63],
            [22, 63],
            [22, 35],
          ],
          'dough',
        ),
        area(
          [
            [50, 7],
            [50, 35],
            [22, 35],
          ],
          'shade',
        ),
        area(
          [
            [78, 35],
            [50, 35],
            [50, 63],
          ],
          'shade',
        ),
      ),
      step(
        'the other two over them; press to the tray',
        area(
          [
            [50, 7],
            [78, 35],
            [50, 63],
            [22, 35],
          ],
          'dough',
        ),
        line([
          [50, 7],
          [50, 63],
        ]),
        line([
          [22, 35],
          [78, 35],
        ]),
        round(50, 35, 4, 'shade'),
      ),
    ],
    wrong: [
      { sign: 'springs open', because: 'not pressed through to the tray' },
      { sign: 'leaks', because: 'overfull, or filling on the edge' },
    ],
  },
  braid: {
    label: 'braid and roll',
    steps: [
      step(
        'strip cut in three, held together at one end',
        area(rectangle(12, 22, 76, 26), 'dough'),
        line(
          [
            [22, 30.6],
            [88, 30.6],
          ],
          { heavy: true },
        ),
        line(
          [
            [22, 39.3],
            [88, 39.3],
          ],
          { heavy: true },
        ),
      ),
      step(
        'outer strand over the middle, left and right in turn',
        ...[0, 1, 2, 3, 4].map((i) =>
          area(
            i % 2 === 0
              ? [
                  [14 + 14 * i, 20],
                  [28 + 14 * i, 20],
                  [36 + 14 * i, 50],
                  [22 + 14 * i, 50],
                ]
              : [
                  [14 + 14 * i, 50],
                  [28 + 14 * i, 50],
                  [36 + 14 * i, 20],
                  [22 + 14 * i, 20],
                ],
            i % 2 === 0 ? 'dough' : 'shade',
          ),
        ),
      ),
      step(
        'roll it up, end under',
        round(50, 35, 26, 'dough'),
        spiral(50, 35, 26, 2),
        arrow([84, 20], [74, 28]),
      ),
    ],
    wrong: [
      { sign: 'uneven', because: 'strands of different width or stretched' },
      { sign: 'opens', because: 'end not tucked under' },
    ],
  },
  bun: {
    label: 'bun in a sugared tin',
    steps: [
      step(
        'butter the tin and sugar it, shake out',
        curve('M22 18h56l-8 42h-40Z', 'tin'),
        line(
          [
            [26, 24],
            [74, 24],
          ],
          { dashed: true },
        ),
      ),
      step(
        'round tight under a cupped hand',
        round(50, 42, 18, 'dough'),
        curve('M24 40C26 14 74 14 76 40', 'none'),
        arrow([80, 46], [70, 58]),
      ),
      step(
        'seam down; half the tin, no more',
        curve('M22 14h56l-8 46h-40Z', 'tin'),
        curve('M31 38C33 30 67 30 69 38L67 58H33Z'),
      ),
    ],
    wrong: [
      { sign: 'sticks to the tin', because: 'sugar missed a spot, or unmoulded cold' },
      { sign: 'runs over', because: 'too heavy a piece for the tin' },
    ],
  },
};
