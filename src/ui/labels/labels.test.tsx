import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { show } from '../../../test-support/view';
import type { GoodsLabel } from '@/core/wire/label';
import { packedMessages } from '@/words/compile';
import type { Language } from '@/words/message';
import { usualIn } from '@/words/usual/usual';
import { LabelsView } from './labels-view';
import { LABEL_SIZES, textSize } from './label-sizes';

const DAY = 86_400_000;
const label = (more: Partial<GoodsLabel> = {}): GoodsLabel => ({
  ...{ outputId: 4, product: 'Poppy danish', batch: 'Danish 12', kept: null, pieces: 60, perTray: 12 },
  ...{
    doughGrams: 0,
    contains: ['gluten', 'milk'],
    undeclared: [],
    madeAt: 0,
    isMade: true,
    bestBefore: DAY,
  },
  ingredients: [
    { name: 'Wheat flour', grams: 30, allergens: ['gluten'], undeclared: false },
    { name: 'Poppy seed', grams: 12, allergens: [], undeclared: false },
    { name: 'Milk', grams: 9, allergens: ['milk'], undeclared: false },
  ],
  ...more,
});
const view = (...labels: GoodsLabel[]) => inLanguages(['en'], ...labels);
const inLanguages = (languages: readonly Language[], ...labels: GoodsLabel[]) =>
  show(
    <LabelsView
      dough={{ id: 3, name: 'Danish 12' }}
      labels={labels}
      zone="UTC"
      languages={languages.map((language) => ({
        ...{ language, packed: packedMessages(language, ['labels', 'names']), called: usualIn(language) },
      }))}
    />,
  );
const faces = (name = 'Poppy danish') => screen.getAllByRole('article', { name, hidden: true });

describe('labels', () => {
  it('name ingredients in their order, allergens in bold, dates and batch', () => {
    view(label());
    const [face] = faces();
    if (!face) throw new Error('There is a label.');
    expect(face.textContent).toBe(
      'Poppy danishIngredients: wheat flour, poppy seed, milkContains: gluten, milkMade 1 Jan 1970Best before 2 Jan 1970Batch Danish 12',
    );
    expect([...face.querySelectorAll('b')].map(({ textContent }) => textContent)).toEqual([
      ...['wheat flour', 'milk', 'Best before 2 Jan 1970'],
    ]);
  });

  it('in several languages say all but the batch in each, the first one largest', () => {
    inLanguages(['de', 'fr'], label());
    const [face] = faces();
    const texts = [...(face?.children ?? [])].map(({ textContent }) => textContent.replace(/\s/g, ' '));
    expect(texts).toEqual([
      'Poppy danishZutaten: Weizenmehl, Mohn, MilchEnthält: Gluten, MilchHergestellt 1. Jan 1970Mindestens haltbar bis 2. Jan 1970Charge Danish 12',
      'Poppy danishIngrédients : farine de blé, graines de pavot, laitContient : gluten, laitFabriqué le 1 janv. 1970À consommer de préférence avant le 2 janv. 1970',
    ]);
    expect(face?.querySelectorAll('.label-name')).toHaveLength(1);
    const links = within(screen.getByRole('navigation', { name: 'Language of the labels' })).getAllByRole(
      'link',
    );
    expect(
      links.map((link) => [link.textContent, link.getAttribute('href'), link.hasAttribute('aria-current')]),
    ).toEqual([
      ['Deutsch', '/dough/3/labels?language=fr', true],
      ['English', '/dough/3/labels?language=de&language=fr&language=en', false],
      ['Français', '/dough/3/labels?language=de', true],
    ]);
  });

  it('of what is kept say how, and of dough how much', () => {
    view(label({ kept: 'pieces' }), label({ outputId: 5, kept: 'cold-dough', doughGrams: 2400 }));
    expect(faces()[0]?.textContent).toMatch(/Keep frozen\. Thaw overnight .+Frozen 1 Jan 1970/);
    expect(faces()[1]?.textContent).toMatch(
      /^Poppy danish, dough.+Keep cold, covered\.Made .+Batch Danish 12, 2\.4 kg$/,
    );
  });

  it('are printed as many as are asked for: one a tray to begin with, whole numbers only', async () => {
    const print = vi.fn();
    vi.stubGlobal('print', print);
    const { user } = view(label());
    // Five to print, and the one that is looked at.
    expect(faces()).toHaveLength(6);
    const count = screen.getByLabelText('Labels of poppy danish');
    await user.clear(count);
    await user.type(count, '2.5');
    expect(screen.getByText('Enter a whole number up to 500.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /Print/ }).disabled).toBe(true);
    await user.clear(count);
    await user.type(count, '1');
    await user.click(screen.getByRole('button', { name: 'Print 1 label' }));
    expect(print).toHaveBeenCalledOnce();
    await user.selectOptions(screen.getByLabelText('Label size'), 'A4, 21 labels of 70 × 42 mm');
    expect(faces().every((face) => face.className.includes('label-sheet'))).toBe(true);
    vi.unstubAllGlobals();
  });

  it('that cannot be complete, or are printed before the goods are made, say so', () => {
    view(label({ undeclared: ['Fruit paste'], isMade: false }));
    const list = within(screen.getByRole('list'));
    expect(
      list.getByText('Label incomplete. Enter the allergens of Fruit paste under Ingredients.'),
    ).toBeTruthy();
    expect(list.getByText('Dates as planned: not made yet.')).toBeTruthy();
  });

  it('set a long list smaller, on every size', () => {
    for (const size of LABEL_SIZES)
      expect([40, 270, 900].map((characters) => textSize(size, characters)).at(-1)).toBe('long');
    expect(textSize('wide', 100)).toBe('normal');
    expect(textSize('sheet', 200)).toBe('small');
  });
});
