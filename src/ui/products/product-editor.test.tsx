import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import { say } from '../../../test-support/words';
import { draftRoute, type ProductDraft } from '@/core/process/product-draft';
import type { ProductTrial } from '@/core/wire/product-trial';
import { MACHINE_KINDS } from '@/core/bakery/machines';
import { blankProduct } from './blank-product';
import { ProductEditor } from './product-editor';

const go = vi.hoisted(() => vi.fn());
vi.mock('../live/go', () => ({ go }));
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
beforeEach(() => void go.mockClear());

const house = standInHouse();
beforeEach(() => {
  house.result = {
    steps: [],
    start: 0,
    ready: 0,
    late: 0,
    kg: 4,
    bowls: 1,
    hands: 90,
  } satisfies ProductTrial;
});
const RISE = { yeast: 'bakers' as const, celsius: 26, minutes: 110, early: 0.8, late: 1.2 };
const CRESCENT: ProductDraft = {
  ...{ name: 'Crescent', doughName: 'Crescent', formulaId: 1, schemeId: null, freshFor: 120 },
  ...{ piece: SMALL_PRODUCT.piece, rises: { proof: RISE }, ...draftRoute(SMALL_PRODUCT.route) },
};
const editor = (saved: ProductDraft, mayChange = true) => (
  <ProductEditor
    kept={saved === CRESCENT ? { productId: 5, versionId: 50, version: 3 } : null}
    {...{ saved, mayChange, zone: 'UTC', now: 0 }}
    formulas={[{ id: 1, name: 'Crescent dough' }]}
    schemes={[{ id: 2, name: 'Three letter folds' }]}
    bakery={{
      machines: MACHINE_KINDS.map((kind) => ({ id: kind, kind, label: kind })),
      people: [{ role: 'baker' }],
      isStaffed: true,
    }}
  />
);
const steps = (part: string) =>
  within(screen.getByRole('region', { name: part }))
    .getAllByRole('button', { name: /^Edit / })
    .map((button) => button.textContent);
const button = (name: string | RegExp) => screen.getByRole('button', { name });
const sent = () => house.sent.filter(({ command }) => command === 'save-product').map(({ input }) => input);
const DOUGH = 'Dough';

describe('the editor of a product', () => {
  it('shows the steps in their order, what is made beside before the step that it joins', () => {
    show(editor(CRESCENT));
    expect(steps(DOUGH)).toEqual([
      ...['mix', 'retard', 'butter', 'temper', 'lock-in', 'turn-1', 'rest', 'turn-2', 'sheet'],
    ]);
    expect(steps('Pieces, per load')).toEqual(['shape', 'proof', 'load', 'bake', 'finish']);
    expect(screen.getByRole('group', { name: 'Butter' })).toBeTruthy();
  });

  it('adds a step with usual values, which are changed as bakers write them, and keeps it as the next version', async () => {
    const { user } = show(editor(CRESCENT));
    await user.click(button('Add a step after mix'));
    await user.click(await screen.findByRole('button', { name: 'Bulk fermentation' }));
    const sheet = await screen.findByRole('dialog', { name: 'Bulk fermentation' });
    const best = within(sheet).getByLabelText<HTMLInputElement>('Best');
    expect(best.value).toBe('1 h');
    await user.clear(best);
    await user.type(best, 'an hour or two');
    await user.click(within(sheet).getByRole('button', { name: 'Save' }));
    expect(within(sheet).getByRole('alert').textContent).toMatch(/^Enter a time, such as/);
    await user.clear(best);
    await user.type(best, '1 h 15');
    await user.click(within(sheet).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(steps(DOUGH).slice(0, 3)).toEqual(['mix', 'Bulk fermentation', 'retard']);
    // It waits for a rise of which nothing is entered yet.
    expect(screen.getAllByText(/that rise is not set/).length).toBeGreaterThan(0);
    expect(button('Save as version 4')).toHaveProperty('disabled', true);

    await user.click(button('Edit Rises'));
    const rises = await screen.findByRole('dialog', { name: 'Rises' });
    await user.type(within(rises).getAllByLabelText('Ready after')[2] as HTMLElement, '70');
    await user.click(within(rises).getByRole('button', { name: 'Save' }));
    // Behind it comes another wait: somebody has to end it.
    expect(screen.getAllByText(/Nobody ends this wait/).length).toBeGreaterThan(0);
    await user.click(button('Add a step after Bulk fermentation'));
    await user.click(await screen.findByRole('button', { name: 'Degas' }));
    const degas = await screen.findByRole('dialog', { name: 'Degas' });
    await user.click(within(degas).getByRole('button', { name: 'Save' }));
    await user.click(button('Save as version 4'));
    await waitFor(() => expect(go).toHaveBeenCalledWith('/products'));
    const [input] = sent() as { productId: number; from: number; draft: ProductDraft }[];
    expect(input).toMatchObject({ productId: 5, from: 50, draft: { rises: { bulk: { minutes: 70 } } } });
    expect(input?.draft.dough[0]?.steps[1]?.step).toMatchObject({ kind: 'bulk', wait: { best: 75 } });
    expect(localStorage.getItem('hefeteig-product-5')).toBeNull();
  });

  it('makes something beside, lets it join elsewhere, moves and takes out steps', async () => {
    const { user } = show(editor(CRESCENT));
    await user.click(button('Add something that joins at sheet'));
    await user.click(await screen.findByRole('button', { name: 'Soaker' }));
    const soaker = await screen.findByRole('group', { name: 'Soaker' });
    await user.selectOptions(within(soaker).getByLabelText('Joins at'), 'mix');
    expect(steps(DOUGH).slice(0, 3)).toEqual(['Soaker', 'Soak', 'mix']);
    await user.click(button('Remove Soak'));
    await user.click(button('Move retard up'));
    expect(steps(DOUGH).slice(0, 3)).toEqual(['retard', 'Soaker', 'mix']);
  });

  it('takes another school of proof with one choice', async () => {
    const { user } = show(editor(CRESCENT));
    await user.selectOptions(
      screen.getByLabelText('Change the proof'),
      'overnight in the cold, then warmed up',
    );
    expect(steps('Pieces, per load')).toEqual([
      ...['shape', 'Retard', 'Move', 'Proof', 'load', 'bake', 'finish'],
    ]);
    await user.click(button('Save as version 4'));
    await waitFor(() => expect(sent()).toHaveLength(1));
  });

  it('keeps on this device what was not kept, and lets go of it when told to', async () => {
    const { user } = show(editor(CRESCENT));
    await user.type(screen.getByLabelText('Name'), ' of spelt');
    show(editor(CRESCENT));
    await screen.findByText('Your unsaved changes from this device are shown.');
    const names = screen.getAllByLabelText<HTMLInputElement>('Name');
    expect(names.at(-1)?.value).toBe('Crescent of spelt');
    await user.click(screen.getAllByRole('button', { name: 'Discard changes' }).at(-1) as HTMLElement);
    expect(screen.getAllByLabelText<HTMLInputElement>('Name').at(-1)?.value).toBe('Crescent');
    expect(localStorage.getItem('hefeteig-product-5')).toBeNull();
  });

  it('says that what it finds again was begun with an older version, which it would replace', async () => {
    const draft = { ...CRESCENT, name: 'Crescent of spelt' };
    localStorage.setItem('hefeteig-product-5', JSON.stringify({ draft, from: 49 }));
    const { user } = show(editor(CRESCENT));
    await screen.findByText(/a newer version was saved since/);
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Crescent of spelt');
    await user.click(button('Discard changes'));
    expect(screen.queryByText(/a newer version was saved since/)).toBeNull();
  });

  it('offers nothing where something else lies under its name', () => {
    localStorage.setItem('hefeteig-product-5', '{"draft":');
    show(editor(CRESCENT));
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Crescent');
    expect(screen.queryByRole('status', { name: /unsaved/ })).toBeNull();
  });

  it('keeps no time that cannot be read, and shows the one that is found again', async () => {
    const { user } = show(editor(CRESCENT));
    const fresh = screen.getByLabelText<HTMLInputElement>('Fresh for');
    expect(fresh.value).toBe('2 h');
    await user.clear(fresh);
    await user.type(fresh, 'a day or so');
    expect(screen.getByText(/^Enter a time, such as/)).toBeTruthy();
    expect(button('Save as version 4')).toHaveProperty('disabled', true);
    await user.clear(fresh);
    await user.type(fresh, '1 d');
    expect(button('Save as version 4')).toHaveProperty('disabled', false);
    await user.click(button('Discard changes'));
    expect(fresh.value).toBe('2 h');
  });

  it('lets the pieces wait for as long as is entered at their first step', async () => {
    const { user } = show(editor(CRESCENT));
    await user.click(button('Edit shape'));
    const sheet = await screen.findByRole('dialog', { name: 'shape' });
    const latest = within(sheet).getByLabelText<HTMLInputElement>('Latest after the step before');
    expect(latest.value).toBe('30 min');
    await user.clear(latest);
    await user.type(latest, '2 h');
    await user.click(within(sheet).getByRole('button', { name: 'Save' }));
    await user.click(button('Save as version 4'));
    await waitFor(() => expect(go).toHaveBeenCalled());
    expect(sent()[0]).toMatchObject({ draft: { fork: { min: 0, max: 120 } } });
  });

  it('names the step of a fault where it is said away from it', async () => {
    const { user } = show(editor(CRESCENT));
    await user.click(button('Edit retard'));
    const sheet = await screen.findByRole('dialog', { name: 'retard' });
    const longest = within(sheet).getByLabelText('At most');
    await user.clear(longest);
    await user.type(longest, '10 days');
    await user.click(within(sheet).getByRole('button', { name: 'Save' }));
    const bakery = screen.getByRole('complementary', { name: 'In this bakery' });
    expect(within(bakery).getByText(/^retard: Enter a wait of up to 7 days/)).toBeTruthy();
  });

  it('tells what a new product still needs, first of all', () => {
    show(editor(blankProduct(say.coded)));
    const bakery = screen.getByRole('complementary', { name: 'In this bakery' });
    expect(within(bakery).getByText('Enter a name of 2 to 80 characters.')).toBeTruthy();
    expect(within(bakery).getByText('Choose the formula of its dough.')).toBeTruthy();
    expect(button('Save')).toHaveProperty('disabled', true);
  });

  it('is for others to read', () => {
    show(editor(CRESCENT, false));
    expect(screen.queryByRole('button', { name: /^Keep|^Remove|^Add/ })).toBeNull();
    expect(screen.getByLabelText('Name').closest('fieldset')?.disabled).toBe(true);
  });
});

describe('a piece', () => {
  it('is cut or divided, with the sides of its shape', async () => {
    const { user } = show(editor(CRESCENT));
    await user.click(button('Edit Piece'));
    const sheet = await screen.findByRole('dialog', { name: 'Piece' });
    expect(within(sheet).getByLabelText('Tolerance')).toBeTruthy();
    await user.selectOptions(within(sheet).getByLabelText('Cut or divided'), 'Sectors of a disc');
    await user.type(within(sheet).getByLabelText('Disc diameter'), '{Control>}a{/Control}{Delete}12 in');
    await user.click(within(sheet).getByRole('button', { name: 'Save' }));
    await screen.findByText(/sectors of a disc, 30.5 cm, at 4 mm/);
  });

  it('says what being late with it costs', async () => {
    const { user } = show(editor(CRESCENT));
    await user.selectOptions(screen.getByLabelText('If it is late'), 'must be on time');
    const kept = () =>
      (JSON.parse(localStorage.getItem('hefeteig-product-5') ?? '{}') as { draft: ProductDraft }).draft;
    expect(kept().lateness).toBe(4);
    await user.selectOptions(screen.getByLabelText('If it is late'), 'as usual');
    expect(kept()).not.toHaveProperty('lateness');
  });

  it('has fillings with what they contain, and a wash for each coat', async () => {
    const { user } = show(editor(CRESCENT));
    await user.click(button('Edit Filling, wash, topping'));
    const sheet = await screen.findByRole('dialog', { name: 'Filling, wash, topping' });
    await user.click(within(sheet).getByRole('button', { name: 'Add a filling' }));
    await user.click(within(sheet).getByRole('button', { name: 'Save' }));
    expect(within(sheet).getByRole('alert').textContent).toBe('Enter a name.');
    await user.type(within(sheet).getByLabelText('Name'), 'almond cream');
    await user.click(within(sheet).getByLabelText('nuts'));
    for (const [coat, moment] of [
      ['butter', 'Before proof'],
      ['milk', 'After proof'],
    ] as const) {
      await user.click(within(sheet).getByRole('button', { name: 'Add a wash' }));
      const fields = within(within(sheet).getByRole('region', { name: 'Washes' }));
      await user.type(fields.getAllByLabelText('Name').at(-1) as HTMLElement, coat);
      await user.selectOptions(fields.getAllByLabelText('When').at(-1) as HTMLElement, moment);
    }
    await user.click(within(sheet).getByRole('button', { name: 'Save' }));
    await screen.findByText(/^almond cream, 20 g per piece/);
    await screen.findByText('butter, before proof');
    const { draft } = JSON.parse(localStorage.getItem('hefeteig-product-5') ?? '{}') as {
      draft: ProductDraft;
    };
    expect(draft.piece.fillings).toMatchObject([{ name: 'almond cream', grams: 20, allergens: ['nuts'] }]);
    expect(draft.piece.washes).toEqual([
      { name: 'butter', moment: 'shaped' },
      { name: 'milk', moment: 'proofed' },
    ]);
  });
});
