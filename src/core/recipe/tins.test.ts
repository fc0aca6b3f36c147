import { describe, expect, it } from 'vitest';
import { RECIPE_WORDS } from './words';
import { tinsIn } from './tins';
import type { AmountLanguage } from '../units/words';

const read = (said: string, language: AmountLanguage = 'en') =>
  tinsIn(said, [{ from: 0, to: said.length }], RECIPE_WORDS[language]).tins.map(({ from, to, ...tin }) => ({
    ...tin,
    text: said.slice(from, to),
  }));

describe('tins in a method', () => {
  it.each([
    ['Butter a 30 x 11 cm loaf tin.', 'loaf', 1, [30, 11], undefined],
    ['Divide between two buttered 9-inch round cake pans.', 'round', 2, [22.86], undefined],
    ['Set the balls in a 9x13 inch baking pan.', 'pan', 1, [22.86, 33.02], undefined],
    ['Put one into each hole of a 12-hole muffin tin.', 'holes', 1, undefined, 12],
    ['Set in a buttered pan of 24 x 34 cm.', 'pan', 1, [24, 34], undefined],
    ['bake in a 20 cm springform at 180 °C for 35 minutes', 'round', 1, [20], undefined],
    ['Lay into 3 loaf tins (each 25 cm long).', 'loaf', 3, [25], undefined],
  ] as const)('%s', (said, kind, count, size, holes) => {
    const [tin, ...more] = read(said);
    expect(more).toEqual([]);
    expect([tin?.kind, tin?.count, tin?.size, tin?.holes]).toEqual([kind, count, size, holes]);
  });

  it('are read in German and French', () => {
    expect(read('In zwei gefettete Kastenformen (25 cm) legen.', 'de')).toMatchObject([
      { kind: 'loaf', count: 2, size: [25] },
    ]);
    expect(read('Auf ein 12er Muffinblech verteilen.', 'de')).toMatchObject([{ kind: 'holes', holes: 12 }]);
    expect(read('Disposer dans un moule à manqué de 24 cm.', 'fr')).toMatchObject([
      { kind: 'round', count: 1, size: [24] },
    ]);
    expect(read('Verser dans 6 moules à brioche.', 'fr')).toMatchObject([{ kind: 'round', count: 6 }]);
  });

  it('are marked with their number and size, and nothing else is', () => {
    expect(read('Divide into 12 pieces and set in two 20 cm round tins.')[0]?.text).toBe(
      'two 20 cm round tins',
    );
    expect(read('Let it rise for 45 minutes at 24 °C in the tin.')).toEqual([]);
    expect(read('Roll to 40 x 30 cm and cut 12 squares.')).toEqual([]);
  });
});
