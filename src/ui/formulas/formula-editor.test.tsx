import { cleanup, screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import { USUAL_RANGES } from '@/core/formula/advice';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import { FormulaEditor } from './formula-editor';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
vi.mock('../live/go', () => ({ go: () => undefined }));
const house = standInHouse();
beforeEach(() => localStorage.clear());

const editor = () => (
  <FormulaEditor
    version={null}
    ingredients={[...USUAL_INGREDIENTS]}
    formulas={[]}
    ranges={USUAL_RANGES}
    bowlGrams={40_000}
    mayChange
  />
);
type User = ReturnType<typeof show>['user'];
const cell = (field: string, line: number) => screen.getByLabelText(`${field}, dough line ${line}`);
const row = async (user: User, line: number, name: string, amount: string) => {
  await user.type(cell('Ingredient', line), name);
  await user.type(cell('How much', line), amount);
};
const totals = () => within(screen.getByRole('region', { name: 'Totals' }));

describe('a formula that is being written', () => {
  it('is there again on return, until it is saved or discarded', async () => {
    const { user } = show(editor());
    await user.type(screen.getByLabelText('Name'), 'Night dough');
    await row(user, 1, 'bread flour', '1 lb 2 oz');
    cleanup();
    const again = show(editor());
    expect(await screen.findByText('Your unsaved changes are back.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Night dough');
    expect((cell('How much', 1) as HTMLInputElement).value).toBe('1 lb 2 oz');
    await again.user.click(screen.getByRole('button', { name: 'Discard' }));
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('');
    cleanup();
    show(editor());
    expect(screen.queryByText('Your unsaved changes are back.')).toBeNull();
  });

  it('asks which one is meant where a name is not known, and takes the answer in place', async () => {
    const { user } = show(editor());
    await row(user, 1, 'flour', '500 g{Enter}');
    await row(user, 2, 'yeast', '7 g');
    expect(totals().getByRole('status').textContent).toBe('Incomplete: yeast unknown.');
    await user.click(screen.getByRole('button', { name: 'instant yeast' }));
    expect((cell('Ingredient', 2) as HTMLInputElement).value).toBe('instant yeast');
    expect(totals().queryByRole('status')).toBeNull();
  });

  it('makes a new word another name of what the house knows', async () => {
    const { user } = show(editor());
    await row(user, 1, 'tipo zero', '500 g');
    await user.selectOptions(screen.getByLabelText('“tipo zero” is the same as'), 'wheat-flour');
    expect(house.sent.at(-1)?.input).toMatchObject({
      id: 'wheat-flour',
      also: expect.arrayContaining(['all-purpose flour', 'tipo zero']) as string[],
    });
    expect(refresh).toHaveBeenCalled();
  });

  it('says neither what is low nor that it is free of allergens while a line is not read', async () => {
    const { user } = show(editor());
    await row(user, 1, 'spelt flour', '500 g{Enter}');
    await row(user, 2, 'moon dust', '1 g{Enter}');
    await row(user, 3, 'water', '20');
    expect(totals().getByRole('status').textContent).toBe('Incomplete: moon dust, water unknown.');
    expect(totals().queryByText(/will not rise|is low/)).toBeNull();
    expect(screen.getByText(/20 of what\?/)).toBeTruthy();
  });
});
