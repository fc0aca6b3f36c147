import { describe, expect, it } from 'vitest';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import { canShareDough, type ProductSpec, type RouteStep } from './route';
import { doughOfOutput, expandDough, keptShare } from './expand';
import { beginAlike, comesFromStock, goesToStock, keepsDough, OUTPUT_WAYS } from './output-way';
import { productOn } from './product-on';
import { routeOf, threadsOf } from './threads';
import { laminatedProduct, usualScheme } from '../../../test-support/laminated';
import { CUTTING, ROLLING } from '../../../test-support/rolling';
import { blockWeights } from '../cutting/dough-size';
import { sectionsLength } from '../cutting/sections';
import { cutSheets } from '../forecast/cut-sheets';

const SIZES = { ovenTrays: 8, bowlKg: 40, carriers: [], cutting: CUTTING };
const mainOf = ({ route }: ProductSpec) => threadsOf(route.dough)[0]?.steps.map(({ step }) => step.id) ?? [];
const work = (id: string, kind: RouteStep['kind']): RouteStep => ({
  ...{ id, kind, label: id, around: 22, settling: 60, work: { fixed: 5, people: 1 } },
});
const wait = (id: string, kind: RouteStep['kind']): RouteStep => ({
  ...{ id, kind, label: id, around: 22, settling: 60 },
  wait: { shortest: 30, best: 60, longest: 90, shortCost: 1, longCost: 1 },
});
const chained = (...steps: RouteStep[]) =>
  routeOf([{ steps: steps.map((step) => ({ step, gap: { min: 0, max: 0 } })), joins: null }]);
const made = (...steps: RouteStep[]): ProductSpec => ({
  ...SMALL_PRODUCT,
  route: {
    ...SMALL_PRODUCT.route,
    dough: chained(...steps),
    fork: { ...SMALL_PRODUCT.route.fork, from: steps.at(-1)?.id ?? '' },
  },
});

describe('a dough that is kept', () => {
  it('is put away behind its last turn, before it is rolled for its pieces', () => {
    const kept = productOn('dough-to-cold', SMALL_PRODUCT);
    expect(mainOf(kept)).toEqual(['mix', 'retard', 'lock-in', 'turn-1', 'rest', 'turn-2']);
    expect(kept.route.fork).toEqual({ from: 'turn-2', to: 'keep', min: 0, max: 20 });
    expect(kept.route.output.steps.map(({ id, place, stock }) => [id, place, stock])).toEqual([
      ['keep', 'retarder', 'in'],
    ]);
    expect(productOn('dough-to-freezer', SMALL_PRODUCT).route.output.steps[0]?.place).toBe('freezer');
  });

  it('has its bulk first, and neither the cold nor the rest that it would have had before its pieces', () => {
    const plain = made(
      wait('bulk', 'bulk'),
      work('degas', 'degas'),
      wait('cold', 'retard'),
      work('divide', 'divide'),
    );
    expect(mainOf(productOn('dough-to-cold', plain))).toEqual(['bulk', 'degas']);
    const warm = made(work('mix', 'mix'), wait('bulk', 'bulk'), work('divide', 'divide'));
    const kept = productOn('dough-to-freezer', warm);
    expect(mainOf(kept)).toEqual(['mix', 'bulk']);
    // Whoever wraps it ends the bulk.
    expect(kept.route.fork).toEqual({ from: 'bulk', to: 'keep', min: 0, max: 0 });
  });

  it('comes from one dough with fresh pieces: the dough goes on for those, and its part is in its weight', () => {
    const outputs = [
      { id: 1, product: productOn('dough-to-cold', SMALL_PRODUCT), pieces: 20 },
      { id: 2, product: SMALL_PRODUCT, pieces: 40 },
    ];
    const { steps, links, kg, ready } = expandDough(outputs, SIZES);
    expect(steps.map(({ key }) => key)).toContain('sheet');
    expect(links).toContainEqual({ from: 'turn-2', to: '1.1.keep', min: 0, max: 20 });
    expect(links).toContainEqual({ from: 'sheet', to: '2.1.shape', min: 0, max: 30 });
    expect(ready).toContainEqual({ outputId: 1, key: '1.1.keep' });
    expect(kg).toBeCloseTo((60 * 60) / 0.9 / 1000, 6);
    const keptAlone = expandDough(outputs.slice(0, 1), SIZES);
    expect(keptAlone.steps.map(({ key }) => key)).not.toContain('sheet');
  });
});

describe('a laminated dough of which a part is kept', () => {
  const scheme = usualScheme('Three letter folds');
  const whole = {
    ...laminatedProduct(scheme),
    ...{ name: 'Crescent', mixed: 0.78, scheme: { versionId: 1, name: 'Three letter folds', scheme } },
    piece: {
      ...{ grams: 62, perTray: 15, scrap: 0.04 },
      cut: { size: { shape: 'triangle' as const, base: 11, height: 27 }, mm: 3.9 },
    },
  };
  const sized = (fresh: number, kept: number) => {
    const outputs = [
      ...(fresh > 0 ? [{ id: 1, product: whole, pieces: fresh }] : []),
      ...(kept > 0 ? [{ id: 2, product: productOn('dough-to-cold', whole), pieces: kept }] : []),
    ];
    return { outputs, ...expandDough(outputs, SIZES) };
  };

  it('is heavier by what its pieces would weigh, in blocks that can still be rolled', () => {
    const [own, both] = [sized(60, 0), sized(60, 60)];
    const kept = (60 * 62) / (1 - 0.04) / 1000;
    expect(both.kg).toBeGreaterThanOrEqual(own.kg + kept - 1e-9);
    const parts = both.outputs.map((output) => doughOfOutput(both.outputs, output, both.kg));
    expect(parts.reduce((sum, part) => sum + part, 0)).toBeCloseTo(both.kg, 9);
    expect(parts[1]).toBeCloseTo(kept, 9);
    expect(both.kg / (both.cut?.blocks ?? 1)).toBeLessThanOrEqual(CUTTING.blockKg * 1.001);
  });

  it('gives every fresh piece from the sheets of what is left', () => {
    for (const [fresh, kept] of [
      [60, 60],
      [120, 24],
      [24, 120],
      [15, 300],
    ] as const) {
      const { outputs, kg, cut } = sized(fresh, kept);
      if (!cut) throw new Error('It can be cut.');
      const share = keptShare(outputs, kg);
      const work = {
        ...{
          scheme: whole.scheme,
          blocks: cut.blocks,
          mm: 3.9,
          wide: cut.wide,
          scrap: 0.04,
          kept: share,
          fat: 'butter-82' as const,
        },
        weights: blockWeights((kg * 1000) / cut.blocks, 0.78, scheme),
      };
      const sheets = cutSheets(work, scheme.turns, ROLLING);
      if (!sheets) throw new Error('It can be rolled.');
      const each = Math.ceil(fresh / (sheets.blocks * sheets.parts));
      const wanted = [{ size: whole.piece.cut.size, pieces: each }];
      expect(
        sectionsLength(sheets.width, wanted) ?? Infinity,
        `${fresh} of ${fresh + kept}`,
      ).toBeLessThanOrEqual(sheets.length + 1e-9);
    }
  });

  it('that is kept as a whole has no final sheet', () => {
    expect(sized(0, 60).cut).toBeNull();
  });
});

describe('a product of kept dough', () => {
  it('mixes nothing: fetched, thawed where it was frozen, rolled out, and on as ever', () => {
    expect(mainOf(productOn('dough-from-cold', SMALL_PRODUCT))).toEqual(['fetch', 'sheet']);
    const frozen = productOn('dough-from-freezer', SMALL_PRODUCT);
    expect(mainOf(frozen)).toEqual(['fetch', 'thaw-dough', 'sheet']);
    expect(frozen.route.output).toBe(SMALL_PRODUCT.route.output);
    expect(frozen.route.dough.steps[0]).toMatchObject({ stock: 'out', gives: -18 });
    expect(frozen.scheme).toBe(SMALL_PRODUCT.scheme);
  });

  it('that has nothing to be rolled or divided goes straight to its pieces', () => {
    const plain = made(work('mix', 'mix'), wait('bulk', 'bulk'));
    const { dough, fork } = productOn('dough-from-freezer', plain).route;
    expect(dough.steps.map(({ id }) => id)).toEqual(['fetch', 'thaw-dough']);
    expect(fork).toEqual({ from: 'thaw-dough', to: 'shape', min: 0, max: 0 });
  });

  it('keeps what is made beside a step that it still has', () => {
    const threads = threadsOf(SMALL_PRODUCT.route.dough);
    const soaked = {
      steps: [{ step: { ...work('soak', 'filling'), branch: 'soaker' as const }, gap: { min: 0 } }],
      ...{ joins: { step: 'sheet', gap: { min: 0 } }, branch: 'soaker' as const },
    };
    const product = {
      ...SMALL_PRODUCT,
      route: { ...SMALL_PRODUCT.route, dough: routeOf([...threads, soaked]) },
    };
    expect(productOn('dough-from-cold', product).route.dough.steps.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['fetch', 'sheet', 'soak']),
    );
  });
});

describe('ways of an output', () => {
  it('go to stock, come from it, or neither; dough goes by weight', () => {
    const by = (is: (way: (typeof OUTPUT_WAYS)[number]) => boolean) => OUTPUT_WAYS.filter(is);
    expect(by(goesToStock)).toEqual(['to-freezer', 'dough-to-cold', 'dough-to-freezer']);
    expect(by(comesFromStock)).toEqual(['from-freezer', 'dough-from-cold', 'dough-from-freezer']);
    expect(by(keepsDough)).toHaveLength(4);
  });

  it('are one dough’s only where they begin alike', () => {
    expect(beginAlike('fresh', 'dough-to-cold')).toBe(true);
    expect(beginAlike('to-freezer', 'dough-to-freezer')).toBe(true);
    expect(beginAlike('dough-from-cold', 'dough-from-cold')).toBe(true);
    expect(beginAlike('fresh', 'dough-from-cold')).toBe(false);
    expect(beginAlike('dough-from-freezer', 'dough-from-cold')).toBe(false);
    expect(canShareDough(SMALL_PRODUCT, SMALL_PRODUCT)).toBe(true);
  });
});
