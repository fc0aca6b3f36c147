import { describe, expect, it } from 'vitest';
import { METRIC, type ReaderUnits } from './reader';
import { retold } from './retold';

const OTHER: ReaderUnits = { mass: 'oz', temperature: 'F', length: 'in', kitchen: 'us' };

describe('a sentence of the house', () => {
  it.each([
    ['At 4 °C the core does not reach 7.5 °C.', 'At 39 °F the core does not reach 46 °F.'],
    ['Take it out at -18 °C.', 'Take it out at 0 °F.'],
    [
      'A sheet of 0.2 mm is thinner than the smallest gap, 1 mm.',
      /A sheet of .* in is thinner than the smallest gap, .* in\./,
    ],
    ['A limit lies between -40 and 300 °C.', /and 572 °F/],
    ['It would be 24 × 20 cm.', /^It would be 9 7\/16 in × 7 7\/8 in\.$/],
    ['Crescent 38 weighs 8.4 kg.', /^Crescent 38 weighs 18 lb 8/],
  ])('%s', (said, told) => {
    if (typeof told === 'string') expect(retold(said, OTHER)).toBe(told);
    else expect(retold(said, OTHER)).toMatch(told);
    expect(retold(said, METRIC)).toBe(said);
  });

  it('without a measure is the same for everybody', () => {
    for (const said of ['Crescent 38 is 25 min behind.', 'Say 4 or more.', 'Heat, 1.8 kJ/kg·K; 0.4 g/ml.'])
      expect(retold(said, OTHER)).toBe(said);
  });
});
