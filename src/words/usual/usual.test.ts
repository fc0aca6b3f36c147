import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import { wordsIn } from '../compile';
import { USUAL_NAMES, usualIn } from './usual';

const SHELF = path.join('src', 'server', 'setup', 'shelf');
/** What templates call steps, and what they say is looked at, laid over and minded. */
const WRITTEN = new Set(
  readdirSync(SHELF).flatMap((file) =>
    [
      ...readFileSync(path.join(SHELF, file), 'utf8').matchAll(/"(?:label|check|cover|caution)": "([^"]*)"/g),
    ].map(([, text = '']) => text),
  ),
);
const NAMES = new Set([...WRITTEN, ...USUAL_INGREDIENTS.map(({ name }) => name)]);

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
