import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import { USUAL_INGREDIENTS } from '@/core/formula/ingredients';
import { RecipeView } from './recipe-view';

const opened = vi.hoisted(() => vi.fn());
vi.mock('../live/go', () => ({ go: opened }));

const house = standInHouse();
beforeEach(() => localStorage.clear());
afterEach(() => void opened.mockClear());

const TEXT = [
  'Salt rolls (makes 10)',
  '500 g bread flour',
  '260 g water',
  '9 g (1 tablespoon) salt',
  '6 g instant yeast',
  '',
  'Mix. Bulk 1 h at 24 °C. Divide into 10. Shape. Proof 1 h. Bake 18 min at 200 °C.',
  'My aunt has a red door.',
].join('\n');
const open = () => show(<RecipeView ingredients={USUAL_INGREDIENTS} benchCm={240} />);
const field = () => screen.getByLabelText<HTMLTextAreaElement>('Or paste it here');
async function paste(user: ReturnType<typeof show>['user'], text: string) {
  await user.click(field());
  await user.paste(text);
}
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('a pasted recipe', () => {
  it('shows what each part became, what was not understood, and what it asks', async () => {
    const { user } = open();
    await paste(user, TEXT);
    const marked = within(screen.getByRole('region', { name: 'As read' }));
    expect(marked.getByText('500 g bread flour').className).toContain('decoration-solid');
    expect(marked.getByText('My aunt has a red door.').className).toContain('line-through');
    expect(marked.getByText('9 g (1 tablespoon) salt').className).toContain('bg-butter');
    const steps = within(screen.getByRole('region', { name: 'Steps' })).getAllByRole('listitem');
    expect(steps.map(({ textContent }) => textContent)).toContain('Bulk fermentation1 h · 24 °C');
    expect(screen.getByRole('region', { name: 'Pieces' }).textContent).toContain('10');
  });

  it('is made a product only when its questions are settled', async () => {
    const { user } = open();
    await paste(user, TEXT);
    expect(button('Create product').disabled).toBe(true);
    await user.click(button('Edit text'));
    await waitFor(() => expect(field().selectionStart).toBe(TEXT.indexOf('9 g (1')));
    await user.click(button('Keep as read'));
    expect(screen.queryByRole('region', { name: 'Questions' })).toBeNull();
    house.result = { productId: 12 };
    await user.click(button('Create product'));
    await waitFor(() => expect(opened).toHaveBeenCalledWith('/products/12'));
    expect(house.sent.at(-1)).toMatchObject({
      command: 'take-recipe',
      input: { text: TEXT, name: 'Salt rolls', settled: ['9 g (1 tablespoon) salt'] },
    });
    expect(localStorage.getItem('hefeteig-recipe')).toBeNull();
  });

  it('is there again after a reload, and says beside the name what the house refuses', async () => {
    localStorage.setItem(
      'hefeteig-recipe',
      JSON.stringify({ text: TEXT.replace(' (1 tablespoon)', ''), name: '', settled: [] }),
    );
    const { user } = open();
    await waitFor(() => expect(field().value).toContain('Salt rolls'));
    house.refuse({ message: 'There is already a product called Salt rolls.', field: 'name' });
    await user.click(button('Create product'));
    expect((await screen.findByRole('alert')).textContent).toContain('already a product');
    expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true');
  });

  it('without a number of pieces says what is missing', async () => {
    const { user } = open();
    await paste(user, '500 g bread flour\n260 g water\nMix. Bake.');
    expect(screen.getByText(/How many pieces does it make/)).toBeTruthy();
    expect(button('Create product').disabled).toBe(true);
  });
});
