import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TABLE } from '../../../test-support/rolling';
import { gapRow, passesTo, sheetAfter } from './gaps';
import { blocksFor, butterGrams, planBlock, USUAL_LAYING } from './geometry';
import { Fault } from '../codes/fault';
import { judgeLayers, LAMINATION_KINDS, USUAL_LIMITS, verdictMessage } from './kinds';
import { fitBlock, largestButter, neededDough } from './lock-in';
import {
  operationsOf,
  outcomeOf,
  type Scheme,
  schemeFault,
  schemeMinutes,
  schemeName,
  turnMoreOrLess,
} from './scheme';
import { LOCK_INS } from './stack';
import { USUAL_SCHEMES } from './usual';
import { faultOf, inEnglish } from '../../../test-support/words';

const WEIGHTS = { dough: 3900, fat: 1200 };
const usual = (name: string): Scheme => {
  const found = USUAL_SCHEMES.find((one) => one.name === name);
  if (!found) throw new Error(`No scheme is called ${name}.`);
  return found.scheme;
};
const volume = ({ length, width, mm }: { length: number; width: number; mm: number }) => length * width * mm;

describe('a butter template', () => {
  const inTemplate = (fat: number, length = 24, width = 20) => {
    const three = usual('Three letter folds');
    const beginning = {
      way: 'block' as const,
      style: 'envelope' as const,
      blockMm: 10,
      template: { length, width },
    };
    return planBlock({ ...three, beginning }, { dough: 3900, fat }, 4, { table: TABLE }).lockIn;
  };

  it('is filled as thick as the butter makes it, and the dough follows its size', () => {
    const [one, two] = [inTemplate(500), inTemplate(1000)];
    expect(one?.butter).toMatchObject({ length: 24, width: 20 });
    expect(butterGrams(one?.butter ?? { length: 0, width: 0, mm: 0 })).toBeCloseTo(500, 6);
    expect(two?.butter.mm).toBeCloseTo(2 * (one?.butter.mm ?? 0), 6);
    const [length, width] = neededDough('envelope', [24, 20], USUAL_LAYING.seam, USUAL_LAYING.rim);
    expect(one?.dough).toMatchObject({ length, width });
  });

  it('that makes no block is refused with how thick it would be', () => {
    expect(faultOf(() => inTemplate(100, 40, 40))).toMatch(/is 0.7 mm thick; a block is 3 mm to 40 mm/);
    expect(faultOf(() => inTemplate(3000, 20, 20))).toMatch(/Choose another template/);
  });
});

describe('a scheme', () => {
  it.each([
    ['Three letter folds', '3-3-3', 27],
    ['Book, then letter', '4-3', 12],
    ['Letter, then book', '3-4', 12],
    ['Two book folds', '4-4', 16],
    ['Four letter folds', '3-3-3-3', 81],
    ['Half, half, letter', '2-2-3', 12],
    ['Spread brioche, letters in pairs', 'two thirds 3-3-3-3', 162],
    ['Stacked discs', '8 discs', 7],
  ])('%s is named %s and has %i fat layers', (name, short, fatLayers) => {
    const scheme = usual(name);
    expect(inEnglish(schemeName(scheme))).toBe(short);
    const { layers } = outcomeOf(scheme, WEIGHTS, { mm: 4, limits: USUAL_LIMITS[scheme.kind] });
    expect(layers.fatLayers).toBe(fatLayers);
  });

  it('with grated butter lays fat on before each of its first turns', () => {
    expect(operationsOf(usual('Grated frozen butter, four additions'))).toEqual([
      ...['plain', 'spread', 'letter', 'spread', 'letter', 'spread', 'letter', 'spread', 'letter'],
    ]);
  });

  it('that is shipped has no fault', () => {
    for (const { scheme } of USUAL_SCHEMES) expect(schemeFault(scheme)).toBeNull();
  });

  const three = usual('Three letter folds');
  const [first] = three.turns;
  it.each<[string, Partial<Scheme>]>([
    ['15 turns are too many: at most 12', { turns: Array(15).fill(first) as Scheme['turns'] }],
    ['at least one turn', { turns: [] }],
    ['1 mm to 40 mm', { turns: three.turns.map((turn) => ({ ...turn, mm: 0.2 })) }],
    ['up to 24 hours', { turns: three.turns.map((turn) => ({ ...turn, rest: 2000 })) }],
    ['1 minute to 2 hours', { turns: three.turns.map((turn) => ({ ...turn, minutes: 0 })) }],
    ['30 % of flour', { flourInFat: 0.5 }],
    ['3 mm to 40 mm', { beginning: { way: 'block', style: 'envelope', blockMm: 60 } }],
    ['2 to 40 discs', { beginning: { way: 'discs', discs: 1 } }],
    ['at most as often as there are turns', { beginning: { way: 'spread', additions: 9 } }],
  ])('says “%s”', (words, change) => {
    expect(inEnglish(schemeFault({ ...three, ...change }))).toMatch(new RegExp(words, 'i'));
  });

  it('says what one turn more and one turn less would do', () => {
    const { less, more } = turnMoreOrLess(three, WEIGHTS, 4, USUAL_LIMITS.honeycomb);
    expect(less?.layers.fatLayers).toBe(9);
    expect(more.layers.fatLayers).toBe(81);
    const mean = outcomeOf(three, WEIGHTS, { mm: 4, limits: USUAL_LIMITS.honeycomb }).layers.meanFat;
    expect(more.layers.meanFat).toBeCloseTo(mean / 3, 6);
  });

  it('takes work for the lock-in and each turn, more for a heavier dough, and its rests', () => {
    expect(schemeMinutes(three, 0)).toEqual({ work: 32, rest: 150 });
    expect(schemeMinutes(three, 8).work).toBe(40);
  });
});

describe('the verdict on layers', () => {
  const at = (meanFat: number) =>
    judgeLayers({ fatLayers: 27, meanFat } as Parameters<typeof judgeLayers>[0], USUAL_LIMITS.honeycomb);
  it.each([
    [0, 'none'],
    [7.9, 'merged'],
    [8, 'fine'],
    [19.9, 'fine'],
    [20, 'good'],
    [119.9, 'good'],
    [120, 'coarse'],
  ] as const)('at a mean of %d µm is %s', (mean, verdict) => expect(at(mean)).toBe(verdict));

  it('has words for every kind', () => {
    const words = LAMINATION_KINDS.flatMap((kind) =>
      (['none', 'merged', 'fine', 'good', 'coarse'] as const).map((verdict) => verdictMessage(verdict, kind)),
    );
    expect(words.every((one) => inEnglish(one).length > 3)).toBe(true);
    expect(inEnglish(verdictMessage('fine', 'honeycomb'))).toBe('fine, brioche-like');
  });
});

describe('a lock-in', () => {
  const size = fc.double({ min: 8, max: 60, noNaN: true });
  const small = fc.double({ min: 0, max: 3, noNaN: true });

  it('encloses the largest butter block that a dough can take, and no larger', () =>
    fc.assert(
      fc.property(fc.constantFrom(...LOCK_INS), size, size, small, small, (style, l, w, seam, rim) => {
        const dough = neededDough(style, [l, w], seam, rim);
        const back = largestButter(style, dough, seam, rim);
        expect(back[0]).toBeCloseTo(l, 6);
        expect(back[1]).toBeCloseTo(w, 6);
      }),
    ));

  it('says how far a dough must be rolled, which keeps its volume, or what to trim off the butter', () => {
    const fit = fitBlock(
      'envelope',
      { size: [21.5, 21.5], mm: 10 },
      { size: [30, 30], mm: 12 },
      { seam: 1.5, rim: 0, density: 0.95 },
    );
    expect(fit.fits).toBe(false);
    expect(fit.short[0]).toBeCloseTo(1.91, 2);
    expect(volume({ length: fit.rollTo.size[0], width: fit.rollTo.size[1], mm: fit.rollTo.mm })).toBeCloseTo(
      30 * 30 * 12,
      6,
    );
    const again = neededDough('envelope', fit.trimTo.size, 1.5, 0);
    expect(again[0]).toBeLessThanOrEqual(30 + 1e-9);
    expect(fit.trimTo.grams).toBeGreaterThan(0);
  });

  it('sees that a dough need only be turned', () => {
    const fit = fitBlock(
      'half-lock',
      { size: [24, 18], mm: 10 },
      { size: [20, 52], mm: 10 },
      { seam: 0, rim: 1, density: 0.95 },
    );
    expect(fit).toMatchObject({ fits: true, turned: true });
  });
});

describe('a row of gaps', () => {
  it('never takes off more than a pass may, and ends at the sheet', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 60, noNaN: true }),
        fc.double({ min: 1, max: 9, noNaN: true }),
        fc.double({ min: 0.2, max: 0.5, noNaN: true }),
        (from, to, reduction) => {
          const table = { ...TABLE, reduction };
          const gaps = gapRow(from, to, table);
          expect(gaps.at(-1)).toBeCloseTo(to, 6);
          gaps.forEach((gap, i) => {
            const before = gaps[i - 1] ?? from;
            const most = before > 8 ? reduction : table.fineReduction;
            expect(1 - gap / before).toBeLessThanOrEqual(most + 1e-9);
          });
        },
      ),
    ));

  it('of a sheet thinner than the machine can set is refused in a sentence', () => {
    expect(faultOf(() => gapRow(20, 0.2, TABLE))).toContain(
      'A sheet of 0.2 mm is thinner than the smallest gap, 1 mm.',
    );
  });

  it('keeps the volume in every pass, and turns the dough once where it must grow wider', () => {
    const block = { length: 40, width: 20, mm: 24 };
    const passes = passesTo(block, 5, { width: 35, table: TABLE });
    for (const pass of passes) expect(volume(pass)).toBeCloseTo(volume(block), 6);
    expect(passes.filter(({ turned }) => turned)).toHaveLength(1);
    const sheet = sheetAfter(block, passes);
    expect(sheet.width).toBeGreaterThan(33);
    expect(sheet.width).toBeLessThanOrEqual(35 + 1e-9);
  });

  it('does not turn a block that is wide enough', () => {
    expect(
      passesTo({ length: 40, width: 40, mm: 24 }, 5, { width: 35, table: TABLE }).some(
        ({ turned }) => turned,
      ),
    ).toBe(false);
    expect(sheetAfter({ length: 3, width: 3, mm: 4 }, [])).toEqual({ length: 3, width: 3, mm: 4 });
  });
});

describe('a block through a scheme', () => {
  it('keeps its volume but for what is trimmed', () => {
    for (const { scheme } of USUAL_SCHEMES) {
      const trimmed = planBlock(scheme, WEIGHTS, 4, { table: TABLE });
      const kept = planBlock(scheme, WEIGHTS, 4, { table: TABLE, laying: { ...USUAL_LAYING, trim: 0 } });
      expect(kept.kept).toBeCloseTo(1, 9);
      expect(trimmed.kept).toBeLessThanOrEqual(1);
      for (const { before, sheet, after } of kept.turns) {
        expect(volume(sheet)).toBeCloseTo(volume(before), 6);
        expect(volume(after)).toBeCloseTo(volume(sheet), 6);
      }
      expect(volume(kept.final.sheet)).toBeCloseTo(volume(kept.final.before), 6);
    }
  });

  it('has butter of the weight that was asked for', () => {
    const { lockIn } = planBlock(usual('Two book folds'), WEIGHTS, 4, { table: TABLE });
    expect(lockIn && butterGrams(lockIn.butter)).toBeCloseTo(WEIGHTS.fat, 6);
    expect(lockIn?.butter.mm).toBe(10);
  });

  it('is rolled a quarter turn from the last time: what was wide becomes long', () => {
    const { turns } = planBlock(usual('Three letter folds'), WEIGHTS, 4, { table: TABLE });
    for (const { sheet, after } of turns) {
      expect(after.length).toBeCloseTo(sheet.width, 9);
      expect(after.mm).toBeCloseTo(sheet.mm * 3, 9);
    }
  });

  it('says into how many parts it must be cut where it is longer than the table', () => {
    const { final } = planBlock(usual('Three letter folds'), { dough: 12_000, fat: 3600 }, 3.5, {
      table: TABLE,
    });
    expect(final.sheet.length).toBeGreaterThan(TABLE.length);
    expect(final.cutInto).toBe(Math.ceil(final.sheet.length / TABLE.length));
  });

  it('of a cross has flaps half as thick as its centre, and all of its dough', () => {
    const { lockIn } = planBlock(usual('Half, half, letter'), WEIGHTS, 4, { table: TABLE });
    if (!lockIn?.flapMm) throw new Error('A cross has flaps.');
    const side = lockIn.butter.length;
    const dough = side * side * lockIn.dough.mm + 4 * side * (side / 2 + USUAL_LAYING.seam) * lockIn.flapMm;
    expect((dough * 1.12) / 10).toBeCloseTo(WEIGHTS.dough, 3);
  });

  it.each([
    [{ dough: 0, fat: 300 }, 'How much dough'],
    [{ dough: 1000, fat: 0 }, 'How much butter'],
    [{ dough: 1000, fat: 0.5 }, 'thicker than wide'],
  ])('of %o is refused: %s', (weights, words) => {
    expect(() => planBlock(usual('Three letter folds'), weights, 4, { table: TABLE })).toThrow(Fault);
    expect(faultOf(() => planBlock(usual('Three letter folds'), weights, 4, { table: TABLE }))).toContain(
      words,
    );
  });

  it('of a final sheet that no gap makes is refused', () => {
    expect(faultOf(() => planBlock(usual('Three letter folds'), WEIGHTS, 0.2, { table: TABLE }))).toContain(
      '0.2 mm is thinner',
    );
  });

  it('is one of as many as the sheeter needs', () => {
    expect(blocksFor(11.6, 6)).toBe(2);
    expect(blocksFor(12, 6)).toBe(2);
    expect(blocksFor(0.4, 6)).toBe(1);
  });
});
