import { describe, expect, it } from 'vitest';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import { USUAL_SCHEMES } from '@/core/lamination/usual';
import { BEGINNINGS, beginningsIn } from '@/server/setup/beginnings';
import { SET_UP } from '@/server/demo/bakery';
import { SHELF } from '@/server/setup/shelf';
import { LANGUAGES } from '../message';
import { wordsIn } from '../compile';
import { USUAL_NAMES, usualIn } from './usual';

/** Where a template has words that are read: of steps, of what lies in and on a piece, of lines of a formula. */
const READ = ['label', 'check', 'cover', 'caution', 'signs', 'where', 'note'];
/** Of these it has a name that is read. */
const NAMED = ['formulas', 'schemes', 'washes', 'fillings', 'toppings'];

/** Every text of a template that somebody reads on a screen. */
function textsIn(value: unknown, key = '', of = ''): string[] {
  if (typeof value === 'string')
    return READ.includes(key) || (key === 'name' && NAMED.includes(of)) ? [value] : [];
  if (Array.isArray(value)) return value.flatMap((one) => textsIn(one, key, key));
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([own, one]) => textsIn(one, own, of));
}

/** Places and probes that every house begins with (`db/migrations`). */
const PLACES = ['Bakery', 'Retarder', 'Freezer', 'Proofer', 'Oven', 'Flour store', 'Tap water'];
const PROBES = ['Core probe 1', 'Core probe 2'];

const NAMES = new Set([
  ...SHELF.flatMap((file) => textsIn(file)),
  ...[...PLACES, ...PROBES, ...SET_UP.machines.map(({ label }) => label)],
  ...USUAL_SCHEMES.map(({ name }) => name),
  ...USUAL_INGREDIENTS.flatMap(({ name, note }) => [name, note ?? '']).filter(Boolean),
]);

describe.each(Object.entries(USUAL_NAMES))('usual names in %s', (language, names) => {
  it('has one for all that templates and ingredients say, and for nothing else', () => {
    expect([...NAMES].filter((name) => !(name in names))).toEqual([]);
    expect(Object.keys(names).filter((name) => !NAMES.has(name))).toEqual([]);
  });

  it('has none that is empty, or ends other than what it stands for', () => {
    for (const [name, called] of Object.entries(names)) {
      expect(called.trim(), name).toBe(called);
      expect(called, name).not.toBe('');
      expect(called.endsWith('.'), name).toBe(name.endsWith('.'));
    }
  });

  it('is about as long as what it stands for, so that it fits where that does', () => {
    const long = Object.entries(names).filter(
      ([name, called]) => called.length > Math.max(2.6 * name.length, name.length + 22),
    );
    expect(long).toEqual([]);
    expect(language).not.toBe('en');
  });
});

describe('a step that came with Hefeteig', () => {
  it('is called by each reader in their own language', () => {
    const inGerman = wordsIn('de', usualIn('de'));
    expect(inGerman.coded('Set sponge')).toBe('Vorteig ansetzen');
    const inFrench = wordsIn('fr', usualIn('fr'));
    expect(inFrench.inLine(inFrench.coded('Set sponge'))).toBe('préparer le levain-levure');
    expect(wordsIn('en', usualIn('en')).coded('Set sponge')).toBe('Set sponge');
  });

  it('and that a bakery has renamed is called as the bakery calls it', () => {
    expect(wordsIn('de', usualIn('de')).coded('Vorteig der Großmutter')).toBe('Vorteig der Großmutter');
  });
});

describe('a template on the shelf', () => {
  it.each(LANGUAGES)('is called and explained in %s', (language) => {
    const shelf = beginningsIn(language);
    expect(new Set(shelf.map(({ called }) => called)).size).toBe(BEGINNINGS.length);
    shelf.forEach(({ called, about }, nth) => {
      const own = BEGINNINGS[nth];
      expect(about === own?.about, about).toBe(language === 'en');
      expect(called).not.toBe('');
      expect(about.endsWith('.')).toBe(false);
    });
  });
});
