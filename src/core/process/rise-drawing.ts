import type { Coded } from '../codes/coded';
import {
  area,
  type Drawing,
  line,
  type Mark,
  type Point,
  rectangle,
  round,
  vessel,
} from '../drawing/drawing';
import type { Verdict } from '../learning/verdicts';
import type { RisePhase } from './route';

/** The window of every drawing of a rise, so that three of them side by side compare. */
const [WIDTH, HEIGHT, GROUND] = [60, 42, 38];
/** How far a rise fills its dome or tub: share of the height that it has when it is ready. */
const FULL: Record<Verdict, number> = { under: 0.55, right: 1, over: 0.72 };

/** The upper half of an ellipse from left to right; above 1 it is squarer, as what sags. */
function dome(middle: number, half: number, height: number, square = 1): Point[] {
  return Array.from({ length: 25 }, (_, i): Point => {
    const angle = Math.PI * (1 - i / 24);
    const shape = (value: number) => Math.sign(value) * Math.abs(value) ** (1 / square);
    return [middle + half * shape(Math.cos(angle)), GROUND - height * shape(Math.sin(angle))];
  });
}

/** A laminated piece from its end on the tray: how high it is, how far its layers stand apart, what a dent does. */
function piece(verdict: Verdict): Mark[] {
  const height = 26 * FULL[verdict];
  const half = { under: 17, right: 21, over: 26 }[verdict];
  const layers = { under: [0.3, 0.5], right: [0.2, 0.42, 0.64, 0.84], over: [0.3, 0.6] }[verdict];
  const depth = { under: 2, right: 4, over: 8 }[verdict];
  const top = GROUND - height;
  const dent: Mark = {
    kind: 'curve',
    path: `M24 ${top + 0.8}Q30 ${top + 2 * depth} 36 ${top + 0.8}`,
    tone: 'shade',
  };
  const arrows: Record<Verdict, Mark[]> = {
    under: [
      line(
        [
          [30, top + 6],
          [30, top - 7],
        ],
        { arrow: true },
      ),
    ],
    right: [
      line(
        [
          [30, top + 8],
          [30, top + 1],
        ],
        { arrow: true },
      ),
    ],
    over: [],
  };
  return [
    area(dome(30, half, height, verdict === 'over' ? 1.7 : 1), 'dough'),
    ...layers.map((share): Mark => ({
      kind: 'curve',
      path: `M${30 - half * Math.sqrt(1 - share ** 2) + 1.5} ${GROUND - height * share}q4 ${
        verdict === 'over' ? 2 : -2
      } 9 0M${30 + half * Math.sqrt(1 - share ** 2) - 1.5} ${GROUND - height * share}q-4 ${
        verdict === 'over' ? 2 : -2
      } -9 0`,
      tone: 'none',
    })),
    dent,
    ...arrows[verdict],
    line(
      [
        [2, GROUND],
        [58, GROUND],
      ],
      { heavy: true, free: true },
    ),
  ];
}

/** What has risen in a vessel: flat and low, domed, or sunk in the middle. */
function filled(left: number, right: number, verdict: Verdict, bubbles: readonly Point[]): Mark[] {
  const level = GROUND - 28 * (verdict === 'over' ? 0.85 : FULL[verdict]);
  const bow = { under: 0, right: -5, over: 7 }[verdict];
  return [
    {
      kind: 'curve',
      path: `M${left} ${GROUND}V${level}Q${(left + right) / 2} ${level + bow} ${right} ${level}V${GROUND}Z`,
      tone: 'dough',
    },
    ...bubbles.map(([x, y]) => round(x, y, verdict === 'over' ? 2.6 : 1.5, 'none')),
  ];
}

const BUBBLES: Record<Verdict, readonly Point[]> = {
  under: [
    [22, 33],
    [40, 30],
  ],
  right: [
    [18, 32],
    [24, 24],
    [30, 31],
    [33, 18],
    [38, 27],
    [42, 34],
    [22, 17],
    [40, 19],
  ],
  over: [
    [20, 31],
    [30, 33],
    [41, 29],
    [34, 26],
  ],
};

/** A glass of water and a piece of levain: it lies at the bottom, floats, or falls apart. */
function float(verdict: Verdict): Mark[] {
  const water = area(rectangle(14, 12, 32, GROUND - 12), 'odd', true);
  const at = { under: GROUND - 4, right: 13, over: GROUND - 3 }[verdict];
  const half = { under: 6, right: 8, over: 13 }[verdict];
  const thick = { under: 4, right: 6, over: 2.5 }[verdict];
  return [
    water,
    {
      kind: 'curve',
      path: `M${30 - half} ${at}a${half} ${thick} 0 1 0 ${2 * half} 0a${half} ${thick} 0 1 0 ${-2 * half} 0`,
      tone: 'dough',
    },
    line(
      [
        [14, 12],
        [46, 12],
      ],
      { dashed: true },
    ),
    vessel(14, 46, [6, GROUND]),
  ];
}

/**
 * What to look for at the end of a rise: the piece or the tub as it looks when it is not ready, ready, or over, with what a
 * fingertip's dent does. The three drawings of a phase have one scale, so that they compare side by side.
 *
 * @param says - what the drawing shows, in words
 */
export function riseDrawing(phase: RisePhase, verdict: Verdict, says: Coded): Drawing {
  const marks: Record<RisePhase, () => Mark[]> = {
    proof: () => piece(verdict),
    bulk: () => [...filled(8, 52, verdict, BUBBLES[verdict]), vessel(8, 52, [4, GROUND])],
    sponge: () => [...filled(14, 46, verdict, BUBBLES[verdict]), vessel(14, 46, [4, GROUND])],
    levain: () => float(verdict),
  };
  return { view: [0, 0, WIDTH, HEIGHT], marks: marks[phase](), says };
}
