import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Point } from '../drawing/drawing';
import { arrange, arrangeRound, inOneDirection, sheetArea, type Wanted } from './arrange';
import { cellsIn, countPieces, rowLength } from './count';
import { cutDrawing, piecesOf, rulerMarks } from './drawing';
import { cellOf, LOG_END, PIECE_SHAPES, pieceArea, pieceFault, pieceGrams, type PieceSize } from './piece';
import { partsFor, piecesIn, sheetFor, thicknessFor, weightAdvice } from './solve';
import { inEnglish } from '../../../test-support/words';

const half = (most: number) => fc.integer({ min: 4, max: 2 * most }).map((n) => n / 2);
const size: fc.Arbitrary<PieceSize> = fc.record({
  shape: fc.constantFrom(...PIECE_SHAPES),
  base: half(14),
  height: half(28),
  sectors: fc.integer({ min: 1, max: 12 }),
});
const sheet = fc.tuple(half(120), half(60));
const wanted: fc.Arbitrary<Wanted[]> = fc.array(
  fc.record({ size, most: fc.option(fc.integer({ min: 1, max: 60 })) }),
  { minLength: 1, maxLength: 3 },
);

/** Twice the signed area. */
const twice = (points: readonly Point[]) =>
  points.reduce((sum, [x, y], i) => {
    const [u, v] = points[(i + 1) % points.length] ?? [0, 0];
    return sum + x * v - u * y;
  }, 0);

/** Convex polygons share no inside where a side of one of them keeps them apart. */
function apart(a: readonly Point[], b: readonly Point[]): boolean {
  return [a, b].some((polygon) =>
    polygon.some(([x, y], i) => {
      const [u, v] = polygon[(i + 1) % polygon.length] ?? [0, 0];
      const normal: Point = [v - y, x - u];
      const along = (points: readonly Point[]) => points.map(([p, q]) => p * normal[0] + q * normal[1]);
      const [own, other] = [along(a), along(b)];
      const hair = 1e-6 * Math.hypot(...normal);
      return Math.max(...own) <= Math.min(...other) + hair || Math.max(...other) <= Math.min(...own) + hair;
    }),
  );
}

describe('a cut plan', () => {
  it('lays no piece on another, and none beyond the sheet', () =>
    fc.assert(
      fc.property(fc.tuple(half(60), half(40)), wanted, ([length, width], wants) => {
        const pieces = piecesOf(arrange(length, width, wants, 60), wants);
        for (const [x, y] of pieces.flatMap(({ points }) => points)) {
          expect(x).toBeGreaterThan(-1e-6);
          expect(y).toBeGreaterThan(-1e-6);
          expect(x).toBeLessThan(length + 1e-6);
          expect(y).toBeLessThan(width + 1e-6);
        }
        const some = pieces.slice(0, 90);
        some.forEach((a, i) =>
          some.slice(i + 1).forEach((b) => {
            if (!apart(a.points, b.points)) expect({ a, b }).toBe('apart');
          }),
        );
      }),
      { numRuns: 60 },
    ));

  it('draws as many pieces as it counts, each of its own size, and no more than were wanted', () =>
    fc.assert(
      fc.property(sheet, wanted, ([length, width], wants) => {
        const plan = arrange(length, width, wants, 60);
        const pieces = piecesOf(plan, wants);
        wants.forEach(({ size: piece, most }, of) => {
          const own = pieces.filter((one) => one.of === of);
          expect(own).toHaveLength(plan.counts[of] ?? -1);
          const each = cellOf(piece).pieces;
          if (most !== null) expect(own.length).toBeLessThanOrEqual(Math.ceil(most / each) * each);
          if (piece.shape === 'sector') return;
          for (const { points } of own) expect(Math.abs(twice(points)) / 2).toBeCloseTo(pieceArea(piece), 6);
        });
      }),
      { numRuns: 60 },
    ));

  it('never has negative scrap, nor loses dough', () =>
    fc.assert(
      fc.property(sheet, wanted, ([length, width], wants) => {
        const plan = arrange(length, width, wants, 40);
        const used = wants.reduce((sum, { size: s }, i) => sum + pieceArea(s) * (plan.counts[i] ?? 0), 0);
        expect(plan.scrap).toBeGreaterThanOrEqual(0);
        expect(used + plan.scrap * length * width).toBeCloseTo(length * width, 4);
      }),
      { numRuns: 60 },
    ));

  it('of a sheet turned by a quarter has the same counts', () =>
    fc.assert(
      fc.property(sheet, wanted, ([length, width], wants) => {
        expect(arrange(width, length, wants, 40).counts).toEqual(arrange(length, width, wants, 40).counts);
      }),
      { numRuns: 60 },
    ));

  it('is never worse than all rows in one direction', () =>
    fc.assert(
      fc.property(sheet, size, fc.integer({ min: 1, max: 60 }), ([length, width], piece, cells) => {
        const wants = [{ size: piece, most: cells * cellOf(piece).pieces }];
        const plan = arrange(length, width, wants, 40);
        const used = (1 - plan.scrap) * length * width;
        const remaining = wants.map(({ size: s, most }) => Math.ceil(most / cellOf(s).pieces));
        for (const { worth } of inOneDirection(length, width, wants, remaining)) {
          expect(used).toBeGreaterThan(worth - 1e-6);
        }
      }),
      { numRuns: 60 },
    ));

  it('gives what was asked for before it fills the rest', () => {
    const wants: Wanted[] = [
      { size: { shape: 'triangle', base: 10.5, height: 27 }, most: 36 },
      { size: { shape: 'rectangle', base: 8, height: 15 }, most: null },
    ];
    const { counts } = arrange(160, 58, wants);
    expect(counts[0]).toBe(36);
    expect(counts[1]).toBeGreaterThan(20);
  });

  it.each([
    [6, 9],
    [9, 6],
    [20, 2],
  ])('gives some of each where %i and %i find no room together', (first, second) => {
    const asked = [
      { size: { shape: 'square' as const, base: 12, height: 0 }, most: first },
      { size: { shape: 'rectangle' as const, base: 10, height: 16 }, most: second },
    ];
    for (const [length, width] of [
      [50, 30],
      [40, 36],
      [34, 26],
    ] as const) {
      const { counts } = arrange(length, width, asked);
      expect(Math.min(...counts)).toBeGreaterThan(0);
      const turned = arrange(length, width, [...asked].reverse());
      expect(Math.min(...turned.counts)).toBeGreaterThan(0);
    }
  });

  it('of a round sheet reckons with a disc: nothing is left over of one that is all sectors', () => {
    const disc = { shape: 'sector' as const, base: 40, height: 0, sectors: 12 };
    const plan = arrangeRound(40, [{ size: disc, most: null }]);
    expect(plan).toMatchObject({ round: true, counts: [12] });
    expect(plan.scrap).toBeCloseTo(0, 6);
    expect(sheetArea(plan)).toBeCloseTo(Math.PI * 400, 6);
    expect(arrangeRound(50, [{ size: disc, most: null }]).scrap).toBeCloseTo(1 - 0.64, 6);
    expect(arrangeRound(39, [{ size: disc, most: null }]).counts).toEqual([0]);
    expect(inEnglish(cutDrawing(plan, [{ size: disc, most: null }], String).says)).toBe(
      'A round sheet, diameter 40, with 12 pieces',
    );
  });

  it('of logs has no slices from their ends', () => {
    const slice = { shape: 'slice' as const, base: 4, height: 25 };
    const wants = [{ size: slice, most: null }];
    const plan = arrange(50, 25, wants);
    expect(plan.counts).toEqual([12]);
    const xs = piecesOf(plan, wants).flatMap(({ points }) => points.map(([x]) => x));
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([LOG_END, 50 - LOG_END]);
    expect(arrange(48, 25, wants).counts).toEqual([11]);
  });

  it('counts no more sectors, nor halves of a rectangle, than were asked for', () => {
    const disc = { shape: 'sector' as const, base: 20, height: 0, sectors: 8 };
    expect(arrange(100, 50, [{ size: disc, most: 20 }]).counts).toEqual([20]);
    const half = { shape: 'diagonal' as const, base: 9, height: 14 };
    expect(arrange(100, 50, [{ size: half, most: 7 }]).counts).toEqual([7]);
  });

  it('comes within 2 % of the best that an exhaustive search finds on small sheets, of what finds room', () => {
    const small = fc.record({ base: fc.integer({ min: 3, max: 7 }), height: fc.integer({ min: 3, max: 8 }) });
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 15 }),
        fc.integer({ min: 8, max: 12 }),
        fc.array(fc.tuple(small, fc.integer({ min: 1, max: 3 })), { minLength: 1, maxLength: 3 }),
        (length, width, kinds) => {
          const wants = kinds.map(([{ base, height }, most]): Wanted => {
            return { size: { shape: 'rectangle', base, height }, most };
          });
          const { counts, scrap } = arrange(length, width, wants);
          // Where several kinds find no room together, each gets its share: that may leave more over.
          fc.pre(wants.length === 1 || wants.every(({ most }, i) => counts[i] === most));
          const used = (1 - scrap) * length * width;
          expect(used).toBeGreaterThan(0.98 * exhaustive(length, width, kinds) - 1e-6);
        },
      ),
      { numRuns: 80 },
    );
  });

  it('counts one odd piece for each row of triangles', () => {
    const plan = arrange(60, 54, [{ size: { shape: 'triangle', base: 9, height: 27 }, most: null }]);
    expect(plan.counts).toEqual([24]);
    expect(plan.odd).toBe(2);
  });

  it('marks the bases on one edge and the same, shifted by half a base, on the other', () => {
    const wants: Wanted[] = [{ size: { shape: 'triangle', base: 10, height: 27 }, most: null }];
    const marks = rulerMarks(arrange(50, 27, wants), wants);
    const on = (edge: string) => marks.filter((mark) => mark.edge === edge).map(({ at }) => at);
    expect(on('lower')).toEqual([0, 10, 20, 30, 40, 50]);
    expect(on('upper')).toEqual([5, 15, 25, 35, 45]);
    expect(on('left')).toEqual([0, 27]);
  });

  it('is drawn with every piece and every mark written once', () => {
    const wants: Wanted[] = [{ size: { shape: 'square', base: 10, height: 0 }, most: null }];
    const { marks } = cutDrawing(arrange(40, 30, wants), wants, (cm) => `${cm}`);
    expect(marks.filter((mark) => mark.kind === 'area')).toHaveLength(13);
    const words = marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
    expect(words.filter((word) => word === '40')).toHaveLength(2);
  });
});

/** All ways to cut small whole rectangles edge to edge, piece by piece: the most area that bounded counts can use. */
function exhaustive(
  length: number,
  width: number,
  kinds: readonly (readonly [{ base: number; height: number }, number])[],
): number {
  const known = new Map<string, Map<string, number>>();
  const add = (into: Map<string, number>, counts: string, area: number) => {
    if ((into.get(counts) ?? -1) < area) into.set(counts, area);
  };
  /** Every set of counts that a region can hold, with its area. */
  function sets(l: number, w: number): Map<string, number> {
    const key = `${l}x${w}`;
    const before = known.get(key);
    if (before) return before;
    const found = new Map([[kinds.map(() => 0).join(), 0]]);
    kinds.forEach(([{ base, height }], i) => {
      if ((base <= l && height <= w) || (height <= l && base <= w)) {
        add(found, kinds.map((_, k) => (k === i ? 1 : 0)).join(), base * height);
      }
    });
    const meet = (a: Map<string, number>, b: Map<string, number>) => {
      for (const [x, areaX] of a) {
        for (const [y, areaY] of b) {
          const other = y.split(',').map(Number);
          const sum = x.split(',').map((n, i) => Number(n) + (other[i] ?? 0));
          if (sum.every((n, i) => n <= (kinds[i]?.[1] ?? 0))) add(found, sum.join(), areaX + areaY);
        }
      }
    };
    for (let x = 3; x <= l / 2; x++) meet(sets(x, w), sets(l - x, w));
    for (let y = 3; y <= w / 2; y++) meet(sets(l, y), sets(l, w - y));
    known.set(key, found);
    return found;
  }
  return Math.max(...sets(length, width).values());
}

describe('pieces of a sheet', () => {
  it('come back to a sheet that holds them, and no shorter one does', () =>
    fc.assert(
      fc.property(size, fc.integer({ min: 1, max: 200 }), half(60), (piece, pieces, width) => {
        const found = sheetFor(piece, pieces, width);
        if (!found) {
          expect(cellOf(piece).height).toBeGreaterThan(width);
          return;
        }
        expect(piecesIn(piece, found.length, width)).toBeGreaterThanOrEqual(pieces);
        expect(piecesIn(piece, found.length - 0.01, width)).toBeLessThan(pieces);
      }),
    ));

  it('and the sheet that they came from are the same again', () =>
    fc.assert(
      fc.property(size, half(120), half(60), (piece, length, width) => {
        const pieces = piecesIn(piece, length, width);
        fc.pre(pieces > 0);
        const back = sheetFor(piece, pieces, width);
        expect(back && piecesIn(piece, back.length, width)).toBe(pieces);
        expect(back?.length).toBeLessThanOrEqual(length + 1e-9);
      }),
    ));

  it('weigh what they should at the thickness for that weight', () =>
    fc.assert(
      fc.property(size, fc.integer({ min: 10, max: 300 }), (piece, grams) => {
        expect(pieceGrams(piece, thicknessFor(piece, grams, 1.07), 1.07)).toBeCloseTo(grams, 6);
      }),
    ));

  it('counted in a row fill its length', () => {
    for (const shape of PIECE_SHAPES) {
      const piece = { shape, base: 8, height: 16, sectors: 6 };
      for (const cells of [1, 2, 7]) expect(cellsIn(piece, rowLength(piece, cells))).toBe(cells);
      expect(rowLength(piece, 0)).toBe(0);
    }
  });

  it('wider than the sheet are none', () => {
    expect(
      countPieces({
        ...{ shape: 'triangle', base: 30, height: 40, length: 20, width: 25 },
        ...{ thicknessMm: 4, density: 1.07 },
      }),
    ).toMatchObject({ pieces: 0, scrap: 1 });
    expect(sheetFor({ shape: 'triangle', base: 9, height: 70 }, 10, 60)).toBeNull();
  });

  it('advise a thicker or thinner sheet, and another size where none would do', () => {
    const piece: PieceSize = { shape: 'triangle', base: 10, height: 26 };
    expect(weightAdvice(piece, 4, 1.07, 60)).toMatchObject({ fits: false, rollTo: 4.3, outOfReach: false });
    expect(weightAdvice(piece, 4, 1.07, 60).off).toBeCloseTo(-4.36, 2);
    expect(weightAdvice(piece, 4.31, 1.07, 60).fits).toBe(true);
    expect(weightAdvice(piece, 4, 1.07, 900).outOfReach).toBe(true);
    // Nobody is told to roll to what it was rolled to.
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 90 }), fc.integer({ min: 20, max: 120 }), (tenths, grams) => {
        const advice = weightAdvice(piece, tenths / 10, 1.07, grams);
        if (!advice.fits) expect(advice.rollTo).not.toBe(tenths / 10);
      }),
    );
  });

  it('need a sheet cut in parts where the bench is too short', () => {
    expect(partsFor(246, 240)).toBe(2);
    expect(partsFor(240, 240)).toBe(1);
  });

  it.each<[PieceSize, RegExp]>([
    [{ shape: 'sector', base: 30, height: 0, sectors: 0 }, /1 to 64 sectors/],
    [{ shape: 'triangle', base: 0, height: 26 }, /Enter the base as a length/],
    [{ shape: 'triangle', base: 9, height: 0 }, /Enter the height as a length/],
    [{ shape: 'strip', base: 2, height: 900 }, /longer than 3 m/],
  ])('of %o are refused', (piece, words) => expect(inEnglish(pieceFault(piece))).toMatch(words));

  it('of a usual size have no fault', () => {
    expect(pieceFault({ shape: 'square', base: 10, height: 0 })).toBeNull();
  });
});
