import { describe, expect, it } from 'vitest';
import { MACHINE_WORDS, unitWords } from '@/core/bakery/machine-words';
import { MACHINE_KINDS } from '@/core/bakery/machines';
import { SKILLS } from '@/core/bakery/people';
import { STAGE_KINDS } from '@/core/formula/formula';
import { ALLERGENS, INGREDIENT_KINDS } from '@/core/formula/ingredient';
import { MARKS } from '@/core/record/marks';
import { allergenName, ingredientKindName, stageName } from './code-names';
import { wordsIn } from './compile';
import { LANGUAGES } from './message';

describe.each(LANGUAGES)('in %s', (language) => {
  const say = wordsIn(language);
  /** Each code has a name of its own: one that falls through to the last form would have that of another. */
  const named = (names: readonly string[]) => {
    expect(names.filter((name) => name.trim() === '')).toEqual([]);
    expect(new Set(names).size).toBe(names.length);
  };

  it('every allergen has a name of its own', () => {
    named(ALLERGENS.map((allergen) => allergenName(say, allergen)));
  });

  it('every part of a formula and every kind of ingredient has one', () => {
    named(STAGE_KINDS.map((kind) => stageName(say, kind)));
    named(INGREDIENT_KINDS.map((kind) => ingredientKindName(say, kind)));
  });

  it('every skill, mark and kind of machine has one', () => {
    named(SKILLS.map((skill) => say('names.skill', { skill })));
    named(MARKS.map((mark) => say('names.mark', { mark })));
    named(MACHINE_KINDS.map((kind) => say.coded(MACHINE_WORDS[kind])));
  });

  it('what a machine takes is counted', () => {
    for (const kind of MACHINE_KINDS) {
      const [one, many] = [1, 9].map((count) => say.coded(unitWords(kind, count)));
      expect([one, many]).not.toContain('');
      // German says "ein Kessel, neun Kessel".
      if (!(language === 'de' && kind === 'mixer')) expect(one).not.toBe(many);
    }
  });
});
