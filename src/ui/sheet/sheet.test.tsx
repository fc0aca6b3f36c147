import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { MIN } from '../../../test-support/floor';
import { show, telling } from '../../../test-support/view';
import type { ScrapStock } from '@/core/record/scrap';
import type { Analysis } from '@/core/formula/analysis';
import { ingredientBook } from '@/core/formula/ingredient';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import { ActualPanel } from './actual-panel';
import { LineSheet } from './line-sheet';
import { ScrapOffers } from './scrap-offers';

const BOOK = ingredientBook(USUAL_INGREDIENTS);
const idOf = (name: string) => BOOK.find(name)?.id ?? name;
const button = (name: string | RegExp) => screen.getByRole('button', { name });

describe('a line of the mixing sheet', () => {
  const weighed = telling();
  const swapped = telling();
  const sheet = (lastWeight: number | null = null) => (
    <LineSheet
      line={{ ingredient: idOf('wheat flour'), grams: 5000 }}
      book={BOOK}
      lastWeight={lastWeight}
      onClose={telling()}
      onWeighed={weighed}
      onSwap={swapped}
    />
  );

  it('is weighed as the sheet says, as the scale says, or as somebody types, cups and ounces too', async () => {
    weighed.mockClear();
    const { user } = show(sheet(4960));
    expect((await screen.findByText(/sheet:/)).textContent).toBe('sheet: 5.000 kg');
    await user.click(button('Weighed'));
    await user.click(button('4.960 kg from the scale'));
    const other = screen.getByLabelText('Or another weight, such as 5.2 kg');
    for (const text of ['5,2 kg', '10 oz']) {
      await user.clear(other);
      await user.type(other, `${text}{Enter}`);
    }
    expect(weighed.mock.calls.map(([grams]) => grams)).toEqual([5000, 4960, 5200, 283.5]);
  });

  it('says what it could not read and tells nothing', async () => {
    weighed.mockClear();
    const { user } = show(sheet());
    await user.type(await screen.findByLabelText('Or another weight, such as 5.2 kg'), 'plenty{Enter}');
    expect(screen.getByRole('alert').textContent?.length).toBeGreaterThan(10);
    expect(weighed).not.toHaveBeenCalled();
    expect(screen.queryByRole('button', { name: /from the scale/ })).toBeNull();
  });

  it('can be another of its kind, and nothing of another kind', async () => {
    const { user } = show(sheet());
    const instead = await screen.findByLabelText<HTMLSelectElement>('Used instead');
    const kinds = [...instead.options].map(({ value }) => value).filter(Boolean);
    expect(kinds.length).toBeGreaterThan(0);
    const kind = BOOK.get(idOf('wheat flour'))?.kind;
    for (const id of kinds) expect(BOOK.get(id)?.kind).toBe(kind);
    await user.selectOptions(instead, kinds[0] ?? '');
    expect(swapped).toHaveBeenCalledWith(kinds[0]);
  });
});

describe('what was really done to a mix', () => {
  const analysis = (more: Partial<Analysis> = {}): Analysis => ({
    ...{
      flour: 5000,
      hydration: 52,
      fat: 4,
      sugar: 10,
      salt: 2,
      yeast: 1,
      prefermentedFlour: 0,
      dough: 8000,
    },
    ...{ rollInOfDough: 0, rollInOfFlour: 0, heat: 2.8, uncounted: [], uncountedKinds: [], undeclared: [] },
    allergens: [{ allergen: 'gluten', from: ['wheat flour'] }],
    ...more,
  });
  const changed = telling();
  const adopt = vi.fn(() => Promise.resolve('It is version 3 now.'));
  const panel = (words: string[], actual = analysis()) => (
    <ActualPanel planned={analysis()} {...{ actual, words }} book={BOOK} onChange={changed} onAdopt={adopt} />
  );

  it('is held back or added, by weight', async () => {
    changed.mockClear();
    const { user } = show(panel([]));
    expect(screen.getByText('Nothing changed so far.')).toBeTruthy();
    await user.type(screen.getByLabelText('How much'), '400 g');
    await user.click(button('Held back'));
    expect(screen.getByLabelText<HTMLInputElement>('How much').value).toBe('');
    await user.type(screen.getByLabelText('How much'), '0.2 kg');
    await user.click(button('Added'));
    expect(changed.mock.calls.map(([change]) => change)).toEqual([
      { kind: 'adjusted', ingredient: idOf('wheat flour'), grams: -400 },
      { kind: 'adjusted', ingredient: idOf('wheat flour'), grams: 200 },
    ]);
  });

  it('is refused where it is no amount, none, or of something that the house does not know', async () => {
    changed.mockClear();
    const { user } = show(panel([]));
    const alert = () => screen.getByRole('alert').textContent;
    await user.type(screen.getByLabelText('How much'), '0 g');
    await user.click(button('Added'));
    expect(alert()).toBe('How much?');
    await user.clear(screen.getByLabelText('Of'));
    await user.type(screen.getByLabelText('Of'), 'moon dust');
    await user.click(button('Added'));
    expect(alert()).toBe('“moon dust” is not one of your ingredients.');
    expect(changed).not.toHaveBeenCalled();
  });

  it('says what the dough is by that, and cries out where it now has an allergen that nobody expects', async () => {
    const milk = { allergen: 'milk' as const, from: ['whole milk'] };
    const actual = analysis({ hydration: 54.26, allergens: [...analysis().allergens, milk] });
    const { user } = show(panel(['whole milk for water'], actual));
    expect(screen.getByText(/^Hydration/).textContent).toBe('Hydration 54.3 %, by the sheet 52.0 %.');
    expect(screen.getByRole('alert').textContent).toBe(
      'Now also contains milk (whole milk): inform the shop.',
    );
    await user.click(button('Save as new version'));
    expect((await screen.findByRole('status')).textContent).toBe('It is version 3 now.');
  });
});

describe('trimmings that could go in', () => {
  const stock: ScrapStock = {
    ...{ fromDough: 12, name: 'Danish 12', grams: 900, hours: 9 },
    allergens: ['gluten', 'nuts'],
  };
  const taken = telling();
  const offers = (had: number, stocks = [stock]) => (
    <ScrapOffers
      stock={stocks}
      share={0.1}
      mostHours={24}
      doughGrams={6000}
      records={
        had > 0 ? [{ data: { kind: 'scrap-taken', from: 12, grams: had }, at: 60 * MIN, personId: 1 }] : []
      }
      allergens={['gluten']}
      onTake={taken}
    />
  );

  it('come with their age, and with what they would bring into this dough', async () => {
    const { user } = show(offers(0));
    expect(screen.getByRole('listitem').textContent).toContain(
      'Danish 12: 900 g, 9 h old, with gluten, nuts; adds nuts to this dough',
    );
    await user.click(button('Use 600 g'));
    expect(taken).toHaveBeenCalledWith({ kind: 'scrap-taken', from: 12, grams: 600 });
  });

  it('are offered up to the house’s share, what is in already counted, and then refused with the reason', () => {
    const { again } = show(offers(450));
    expect(screen.getByText(/already in/).textContent).toBe('450 g already in, 7.5 % of this dough');
    expect(button('Use 150 g')).toBeTruthy();
    again(offers(600));
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByRole('listitem').textContent?.length).toBeGreaterThan(60);
  });

  it('take no room where there are none', () => {
    show(offers(0, []));
    expect(screen.queryByRole('region')).toBeNull();
  });
});
