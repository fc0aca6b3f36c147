import * as fc from 'fast-check';
import { expect, it } from 'vitest';
import type { Mixing, PartGroup } from './mixing';
import { heatShares } from './shares';
import { waterAnswer } from './water';

const mixing = (more: Partial<Mixing['question']> = {}, groups: PartGroup[] = ['flour']): Mixing => ({
  question: {
    parts: [{ kg: 10, heat: 1.8, celsius: 22 }],
    liquid: { kg: 5, heat: 4.19, isWater: true },
    ...{ target: 24, rise: 6, coldest: 8, ice: -18, warmest: 45 },
    ...more,
  },
  groups,
  flour: 0,
  liquid: { ingredient: 'water', name: 'water', grams: 5000 },
  terms: [],
});
const sum = (of: Mixing) => heatShares(of).reduce((total, { degrees }) => total + degrees, 0);

it('says by how much each part warms or cools the dough', () => {
  // Heat capacities 18 and 20.95 kJ/K: flour 2 °C too cool cools the whole by 2 · 18 / 38.95.
  expect(heatShares(mixing())).toEqual([
    { part: 'flour', degrees: expect.closeTo(-0.924, 3) as number, celsius: 22 },
    {
      part: 'liquid',
      degrees: expect.closeTo(-5.076, 3) as number,
      celsius: expect.closeTo(14.563, 3) as number,
    },
    { part: 'mixing', degrees: 6, celsius: null },
  ]);
});

it('takes parts that come from one place together, as warm as they are in the mean', () => {
  const parts = [
    { kg: 10, heat: 1.8, celsius: 22 },
    { kg: 1, heat: 3.6, celsius: 4 },
    { kg: 1, heat: 1.8, celsius: 10 },
  ];
  const cold = heatShares(mixing({ parts }, ['flour', 'cold', 'cold'])).find(({ part }) => part === 'cold');
  expect(cold?.celsius).toBeCloseTo((3.6 * 4 + 1.8 * 10) / 5.4, 9);
});

it('counts what ice takes up by melting, apart from the water around it', () => {
  const shares = heatShares(mixing({ parts: [{ kg: 10, heat: 1.8, celsius: 34 }], coldest: 16 }));
  expect(shares.map(({ part }) => part)).toEqual(['flour', 'liquid', 'ice', 'mixing']);
  expect(shares.find(({ part }) => part === 'ice')?.degrees).toBeLessThan(-4);
});

const degree = (min: number, max: number) => fc.double({ min, max, noNaN: true });

it('adds up to nothing where the dough comes to what is wanted', () => {
  fc.assert(
    fc.property(
      degree(5, 40),
      degree(20, 30),
      degree(0, 12),
      degree(4, 20),
      (flour, target, rise, coldest) => {
        const asked = mixing({ parts: [{ kg: 10, heat: 1.8, celsius: flour }], target, rise, coldest });
        const { kind } = waterAnswer(asked.question);
        fc.pre(kind === 'liquid' || kind === 'ice');
        expect(sum(asked)).toBeCloseTo(0, 6);
      },
    ),
  );
});

it('adds up to what the dough is too cool where the water must not be hotter', () => {
  const asked = mixing({ parts: [{ kg: 10, heat: 1.8, celsius: -10 }], target: 30, rise: 0 });
  const answer = waterAnswer(asked.question);
  expect(answer.kind).toBe('too-hot');
  expect(sum(asked)).toBeCloseTo((answer.kind === 'too-hot' ? answer.dough : 0) - 30, 6);
});
