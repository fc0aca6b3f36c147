import { describe, expect, it } from 'vitest';
import { calledIn, type NamedProduct } from '@/core/bakery/product-names';
import { coded } from '@/core/codes/coded';
import { ALLERGENS } from '@/core/formula/ingredient';
import { allergenName } from './code-names';
import { wordsIn } from './compile';
import { usualIn } from './usual/usual';

const BUN: NamedProduct = {
  name: 'Sugared bun',
  names: {
    en: { one: '', many: 'Sugared buns' },
    de: { one: 'Zuckerbrötchen', many: '' },
    fr: { one: 'Brioche au sucre', many: 'Brioches au sucre' },
  },
};
const sayIn = (language: 'de' | 'en' | 'fr') => wordsIn(language, calledIn([BUN], language));

describe('a product with names by language', () => {
  it('is called in a language as the bakery wants it there, and by its own name where nothing is said', () => {
    expect(calledIn([BUN], 'en')).toEqual([['Sugared bun', { one: 'Sugared bun', many: 'Sugared buns' }]]);
    expect(calledIn([BUN], 'de')).toEqual([
      ['Sugared bun', { one: 'Zuckerbrötchen', many: 'Zuckerbrötchen' }],
    ]);
    expect(calledIn([BUN], 'nl')).toEqual([]);
    expect(sayIn('fr').named('Brioche knot')).toBe('Brioche knot');
  });

  it('has the name of several where a message counts several, within a line too', () => {
    const some = (language: 'de' | 'en' | 'fr', pieces: number) => {
      const say = sayIn(language);
      return say('common.somePieces', { pieces, product: say.inLine('Sugared bun') });
    };
    expect(some('en', 48)).toBe('48 sugared buns');
    expect(some('en', 1)).toBe('1 sugared bun');
    expect(some('de', 48)).toBe('48 Zuckerbrötchen');
    expect(some('fr', 48)).toBe('48 brioches au sucre');
  });

  it('is no name where a message chooses by it: an allergen stays one, whatever the bakery calls its milk', () => {
    const MILK: NamedProduct = { name: 'milk', names: { de: { one: 'Vollmilch', many: '' } } };
    const say = wordsIn('de', [...usualIn('de'), ...calledIn([MILK], 'de')]);
    for (const allergen of ALLERGENS)
      expect(allergenName(say, allergen)).toBe(allergenName(wordsIn('de'), allergen));
    expect(say.named('milk')).toBe('Vollmilch');
    expect(say('labels.contains', { allergens: 'milk' })).toBe('Enthält: Vollmilch');
  });

  it('is called so in what the core says, and in what was kept as a message', () => {
    const message = coded('orders.piecesLate', { late: 12, pieces: 48, product: 'Sugared bun', time: 'Thu' });
    expect(sayIn('en').coded(message)).toBe('12 of 48 Sugared buns late, ready Thu.');
    expect(sayIn('fr').coded(message)).toContain('Brioches au sucre');
    expect(
      sayIn('fr').coded({ ...message, values: { ...message.values, product: { inLine: 'Sugared bun' } } }),
    ).toContain('brioches au sucre');
  });

  it('is called so at the start of a line, also where the bakery writes it small', () => {
    const milk = { name: 'milk', names: { de: { one: 'Milch', many: '' } } };
    const say = wordsIn('de', calledIn([milk], 'de'));
    expect([say.named('Milk'), say.named('milk')]).toEqual(['Milch', 'Milch']);
  });

  it('says by itself how one or several of it are called', () => {
    expect([sayIn('en').named('Sugared bun'), sayIn('en').named('Sugared bun', 3)]).toEqual([
      'Sugared bun',
      'Sugared buns',
    ]);
  });

  it('changes nothing that is no product: other values, other languages', () => {
    expect(wordsIn('en')('common.somePieces', { pieces: 48, product: 'sugared bun' })).toBe('48 sugared bun');
    expect(sayIn('fr')('common.somePieces', { pieces: 2, product: 'pain' })).toBe('2 pain');
  });
});
