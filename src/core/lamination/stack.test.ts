import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fatBetween, layersBetween, sizesOf, type Pile } from './pile';
import {
  fatFraction,
  FOLDS,
  foldsMultiplied,
  laminatedDensity,
  layersOf,
  LOCK_INS,
  pileOf,
  type Operation,
} from './stack';

const someFolds = fc.array(fc.constantFrom<Operation>(...FOLDS), { maxLength: 5 });
const enclosed = fc
  .tuple(fc.constantFrom<Operation>(...LOCK_INS, 'stack:2', 'stack:7'), someFolds)
  .map(([first, folds]) => [first, ...folds]);
const spread = fc
  .array(fc.constantFrom<Operation>(...FOLDS, 'spread'), { maxLength: 5 })
  .map((then): Operation[] => ['plain', 'spread', ...then]);
const worked = fc.oneof(enclosed, spread);
const share = fc.double({ min: 0.05, max: 0.6, noNaN: true });

/** Layer by layer, with nothing shared: what the pile must agree with. */
function listed(operations: readonly Operation[], fraction: number): { fat: boolean; share: number }[] {
  const all = layersBetween(pileOf(operations, fraction), 0, 1, Infinity) ?? [];
  return all.map(({ fat, from, to }) => ({ fat, share: to - from }));
}

describe('a pile of dough and fat', () => {
  it('keeps its volume, and its fat, through every operation', () =>
    fc.assert(
      fc.property(worked, share, (operations, fraction) => {
        const pile = pileOf(operations, fraction);
        expect(pile.share).toBeCloseTo(1, 9);
        expect(pile.fatShare).toBeCloseTo(fraction, 9);
      }),
    ));

  it('has as many layers, of the same sizes, as when they are listed one by one', () =>
    fc.assert(
      fc.property(worked, share, (operations, fraction) => {
        const pile = pileOf(operations, fraction);
        const layers = listed(operations, fraction);
        for (const fat of [true, false]) {
          const own = layers.filter((layer) => layer.fat === fat);
          expect([...sizesOf(pile, fat).values()].reduce((a, b) => a + b, 0)).toBe(own.length);
          const sum = [...sizesOf(pile, fat)].reduce((total, [size, times]) => total + size * times, 0);
          expect(sum).toBeCloseTo(fat ? fraction : 1 - fraction, 9);
        }
      }),
    ));

  it('never has two layers of a kind on each other', () =>
    fc.assert(
      fc.property(worked, share, (operations, fraction) => {
        const layers = listed(operations, fraction);
        layers.slice(1).forEach((layer, i) => expect(layer.fat).not.toBe(layers[i]?.fat));
      }),
    ));

  it('that is symmetric stays symmetric under any fold', () =>
    fc.assert(
      fc.property(
        fc.constantFrom<Operation>(...LOCK_INS, 'stack:5'),
        fc.array(fc.constantFrom<Operation>(...FOLDS), { maxLength: 5 }),
        share,
        (first, then, fraction) => {
          const layers = listed([first, ...then], fraction);
          [...layers].reverse().forEach((layer, i) => {
            expect(layer.fat).toBe(layers[i]?.fat);
            expect(layer.share).toBeCloseTo(layers[i]?.share ?? 0, 9);
          });
        },
      ),
    ));

  it('holds no more fat in a window than the layers that are drawn there', () =>
    fc.assert(
      fc.property(
        worked,
        share,
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        (operations, fraction, from) => {
          const pile = pileOf(operations, fraction);
          const to = from + 0.1;
          const drawn = layersBetween(pile, from, to, Infinity) ?? [];
          const fat = drawn
            .filter((layer) => layer.fat)
            .reduce((sum, layer) => sum + Math.min(to, layer.to) - Math.max(from, layer.from), 0);
          expect(fatBetween(pile, from, to)).toBeCloseTo(fat, 9);
        },
      ),
    ));

  it('multiplies fat layers by two, three and four where both outer faces are dough', () => {
    for (const style of ['envelope', 'half-lock', 'middle', 'cross'] as const) {
      expect(layersOf([style, 'half', 'letter', 'book'], 300, 1000, 4).fatLayers).toBe(24);
    }
    expect(layersOf(['two-thirds', 'letter'], 300, 1000, 4)).toMatchObject({ fatLayers: 6, layers: 13 });
  });

  it('of spread butter and one letter fold has two fat layers, one of them double', () => {
    const layers = layersOf(['plain', 'spread', 'letter'], 300, 1000, 9);
    expect(layers.fatLayers).toBe(2);
    expect(layers.maxFat / layers.minFat).toBeCloseTo(2, 9);
  });

  it('of n discs has n − 1 fat layers', () => {
    expect(layersOf(['stack:8'], 300, 1000, 20).fatLayers).toBe(7);
  });

  it('of ten book folds is a million layers of fat, known without listing them', () => {
    const layers = layersOf(['envelope', ...Array<Operation>(10).fill('book')], 300, 1000, 4);
    expect(layers.fatLayers).toBe(4 ** 10);
    expect(layers.layers).toBe(2 * 4 ** 10 + 1);
  });

  it('gives up listing when there are more layers than asked for, and says so', () => {
    const pile: Pile = pileOf(['envelope', 'book', 'book', 'book'], 0.25);
    expect(layersBetween(pile, 0, 1, 20)).toBeNull();
    expect(layersBetween(pile, 0, 1, 200)).toHaveLength(129);
  });

  it('refuses what is no way to laminate', () => {
    expect(() => pileOf(['stack:1'], 0.2)).toThrow(RangeError);
    expect(() => pileOf(['letter'], 0.2)).toThrow('needs a sheet');
    expect(() => pileOf([], 0.2)).toThrow(RangeError);
  });
});

describe('the number that people quote', () => {
  it('counts an envelope as 3, times 3, times 4', () => {
    expect(foldsMultiplied(['envelope', 'letter', 'book'])).toBe(36);
  });
  it('counts butter on two thirds as 5, discs by their faces, and a spreading as one more', () => {
    expect(foldsMultiplied(['two-thirds', 'half'])).toBe(10);
    expect(foldsMultiplied(['stack:4'])).toBe(7);
    expect(foldsMultiplied(['plain', 'spread', 'letter'])).toBe(6);
  });
});

describe('densities', () => {
  it('lie between that of the fat and that of the dough', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 100, max: 3000 }), (fat, dough) => {
        const density = laminatedDensity(fat, dough);
        expect(density).toBeGreaterThan(0.95);
        expect(density).toBeLessThan(1.12);
        expect(fatFraction(fat, dough)).toBeGreaterThan(fat / (fat + dough));
      }),
    ));
  it('rise with flour kneaded into the butter', () => {
    expect(laminatedDensity(330, 1000, 0.1)).toBeGreaterThan(laminatedDensity(330, 1000));
  });
});
