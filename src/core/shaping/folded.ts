import { coded } from '../codes/coded';
import { area, line, rectangle, type Point } from '../drawing/drawing';
import { arrow, curve, round } from '../drawing/drawing';
import { step, type Shape } from './step';

/** One wing of a pinwheel, and where a point comes to lie after some quarter turns around the middle. */
const WING: Point[] = [
  [50, 35],
  [50, 6],
  [78, 6],
];
const turned = ([x, y]: Point, quarters: number): Point =>
  quarters === 0 ? [x, y] : turned([50 - (y - 35), 35 + (x - 50)], quarters - 1);

const SQUARE = rectangle(22, 7, 56, 56);

/** Shapes that are cut and folded, or rounded into a tin. */
export const FOLDED: Record<'pinwheel' | 'pocket' | 'bun', Shape> = {
  pinwheel: {
    label: coded('shaping.pinwheel'),
    steps: [
      step(
        coded('shaping.fourCutsFromTheCorners'),
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
        coded('shaping.everySecondCornerToThe'),
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
        coded('shaping.pressHardInTheMiddle'),
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
      { sign: coded('shaping.wingsComeLoose'), because: coded('shaping.middleNotPressedOrFloury') },
      { sign: coded('shaping.fallsApart'), because: coded('shaping.cutsWentToTheMiddle') },
    ],
  },
  pocket: {
    label: coded('shaping.pocket'),
    steps: [
      step(coded('shaping.fillingInTheMiddleEdges'), area(SQUARE, 'dough'), round(50, 35, 11, 'filling')),
      step(
        coded('shaping.twoOppositeCornersToThe'),
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
        coded('shaping.theOtherTwoOverThem'),
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
      { sign: coded('shaping.springsOpen'), because: coded('shaping.notPressedThroughToThe') },
      { sign: coded('shaping.leaks'), because: coded('shaping.overfullOrFillingOnThe') },
    ],
  },
  bun: {
    label: coded('shaping.bunInASugaredTin'),
    steps: [
      step(
        coded('shaping.butterTheTinAndSugar'),
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
        coded('shaping.roundTightUnderACupped'),
        round(50, 42, 18, 'dough'),
        curve('M24 40C26 14 74 14 76 40', 'none'),
        arrow([80, 46], [70, 58]),
      ),
      step(
        coded('shaping.seamDownHalfTheTin'),
        curve('M22 14h56l-8 46h-40Z', 'tin'),
        curve('M31 38C33 30 67 30 69 38L67 58H33Z'),
      ),
    ],
    wrong: [
      { sign: coded('shaping.sticksToTheTin'), because: coded('shaping.sugarMissedASpotOr') },
      { sign: coded('shaping.runsOver'), because: coded('shaping.tooHeavyAPieceFor') },
    ],
  },
};
