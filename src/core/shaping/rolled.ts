import { coded } from '../codes/coded';
import { area, line, rectangle, type Mark, type Point } from '../drawing/drawing';
import { arrow, curve, round } from '../drawing/drawing';
import { step, type Shape } from './step';

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

/** Shapes that are rolled up. */
export const ROLLED: Record<'crescent' | 'roll' | 'snail' | 'braid', Shape> = {
  crescent: {
    label: coded('shaping.crescent'),
    steps: [
      step(
        coded('shaping.notchTheBaseOrNot'),
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
        coded('shaping.pullTheTipALittle'),
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
        coded('shaping.rollTowardsTheTipEven'),
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
      step(coded('shaping.seamUnderThePieceTips'), ...crescent(24)),
    ],
    wrong: [
      { sign: coded('shaping.tipTorn'), because: coded('shaping.rolledTooTightOrDough') },
      { sign: coded('shaping.hollowInside'), because: coded('shaping.rolledTooLooseOrFlour') },
      { sign: coded('shaping.opensInTheOven'), because: coded('shaping.seamNotUnderItOr') },
    ],
  },
  roll: {
    label: coded('shaping.rollWithTwoSticks'),
    steps: [
      step(
        coded('shaping.firstStickAFingerFrom'),
        area(rectangle(30, 8, 40, 54), 'dough'),
        area(rectangle(28, 50, 44, 5), 'filling'),
      ),
      step(
        coded('shaping.foldTheEdgeOverIt'),
        area(rectangle(30, 8, 40, 42), 'dough'),
        area(rectangle(30, 40, 40, 12), 'shade'),
        area(rectangle(28, 34, 44, 5), 'filling'),
      ),
      step(
        coded('shaping.rollOnEvenAndFlat'),
        area(rectangle(30, 8, 40, 22), 'dough'),
        curve('M30 26h40a9 9 0 0 1 0 18h-40a9 9 0 0 1 0 -18Z', 'shade'),
        arrow([50, 50], [50, 60]),
      ),
      step(
        coded('shaping.seamExactlyUnderPressFlat'),
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
      { sign: coded('shaping.unrolls'), because: coded('shaping.seamAtTheSideOr') },
      { sign: coded('shaping.sticksFallOut'), because: coded('shaping.cutNarrowerThanTheSticks') },
    ],
  },
  snail: {
    label: coded('shaping.snail'),
    steps: [
      step(
        coded('shaping.spreadToABareFar'),
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
        coded('shaping.rollUpEvenlyChillThe'),
        curve('M16 26h68a10 10 0 0 1 0 22h-68a10 10 0 0 1 0 -22Z'),
        spiral(16, 37, 10, 2),
        arrow([50, 62], [50, 52]),
      ),
      step(
        coded('shaping.equalSlicesByTheRuler'),
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
      step(coded('shaping.tuckTheEndUnderSlice'), round(50, 35, 27, 'dough'), spiral(50, 35, 27, 3)),
    ],
    wrong: [
      { sign: coded('shaping.risesToACone'), because: coded('shaping.rolledTooTight') },
      { sign: coded('shaping.squashedSlices'), because: coded('shaping.logNotChilledOrKnife') },
      { sign: coded('shaping.opens'), because: coded('shaping.endNotTuckedUnderEdge') },
    ],
  },
  braid: {
    label: coded('shaping.braidAndRoll'),
    steps: [
      step(
        coded('shaping.stripCutInThreeHeld'),
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
        coded('shaping.outerStrandOverTheMiddle'),
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
        coded('shaping.rollItUpEndUnder'),
        round(50, 35, 26, 'dough'),
        spiral(50, 35, 26, 2),
        arrow([84, 20], [74, 28]),
      ),
    ],
    wrong: [
      { sign: coded('shaping.uneven'), because: coded('shaping.strandsOfDifferentWidthOr') },
      { sign: coded('shaping.opens'), because: coded('shaping.endNotTuckedUnder') },
    ],
  },
};
