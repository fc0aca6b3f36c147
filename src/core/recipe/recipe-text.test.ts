import { describe, expect, it } from 'vitest';
import { recipeText } from './recipe-text';

const json = (recipe: object) => JSON.stringify({ '@context': 'https://schema.org', ...recipe });

describe('a recipe as lines', () => {
  it('is the text itself, with the line ends of any machine', () => {
    expect(recipeText('\uFEFF500 g flour\r\nMix.\rBake.')).toBe('500 g flour\nMix.\nBake.');
  });

  it('is made of a schema.org recipe, in a graph and with sections too', () => {
    const recipe = {
      '@type': ['Recipe'],
      ...{ name: 'Rolls', recipeYield: ['12', '12 rolls'], recipeIngredient: ['500 g flour'] },
      recipeInstructions: [
        { '@type': 'HowToSection', name: 'Dough', itemListElement: [{ '@type': 'HowToStep', text: 'Mix.' }] },
        'Shape.',
        { '@type': 'HowToStep', name: 'Bake.' },
      ],
    };
    const lines = ['Rolls', '(12)', '', '500 g flour', '', 'Dough:', 'Mix.', 'Shape.', 'Bake.'];
    expect(recipeText(json(recipe)).split('\n')).toEqual(lines);
    expect(recipeText(json({ '@graph': [{ '@type': 'WebPage' }, recipe] })).split('\n')).toEqual(lines);
  });

  it('is made of a table with a line of headings, whatever parts its columns', () => {
    for (const mark of [',', ';', '\t'])
      expect(recipeText([`Ingredient${mark}Amount`, `Flour${mark}500 g`, `Salt${mark}10 g`].join('\n'))).toBe(
        'Flour 500 g\nSalt 10 g',
      );
  });

  it('stays as it is where a file of another form is broken', () => {
    expect(recipeText('{"@type": "Recipe", ')).toBe('{"@type": "Recipe", ');
    expect(recipeText(json({ '@type': 'WebPage' }))).toContain('WebPage');
    expect(recipeText('Mix, knead\nand rest')).toBe('Mix, knead\nand rest');
  });
});
