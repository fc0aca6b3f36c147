import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show, telling } from '../../../test-support/view';
import type { ProductsPreview } from '@/core/wire/products-preview';
import { ReadProducts } from './read-products';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => void refresh.mockClear());

const house = standInHouse();
const PREVIEW: ProductsPreview = {
  products: [
    { name: 'Northern snail', about: 'Rolled and sliced', isHere: false },
    { name: 'Southern snail', about: 'Rolled and sliced', isHere: false },
    { name: 'Raisin snail', about: 'Rolled and sliced', isHere: true },
  ],
  ...{ brings: ['Northern dough'], keepsOwn: ['Two book folds'] },
};
const paste = async (user: ReturnType<typeof show>['user'], text: string) => {
  const field = await screen.findByLabelText('Or paste it here');
  await user.clear(field);
  await user.click(field);
  await user.paste(text);
};

describe('a file of products', () => {
  it('is shown before anything is taken from it; what the house has is not offered', async () => {
    house.result = PREVIEW;
    const done = telling();
    const { user } = show(<ReadProducts onClose={done} />);
    await paste(user, '{}');
    await screen.findByText('Added with them: Northern dough.');
    expect(screen.getByText('Kept as they are: Two book folds.')).toBeTruthy();
    const here = screen.getByLabelText<HTMLInputElement>(/^Raisin snail already here/);
    expect([here.disabled, here.checked]).toEqual([true, false]);
    await user.click(screen.getByLabelText(/^Southern snail/));
    await user.click(screen.getByRole('button', { name: 'Import 1 product' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(house.sent.at(-1)).toEqual({
      command: 'take-products',
      input: { text: '{}', names: ['Northern snail'] },
    });
    expect(refresh).toHaveBeenCalledOnce();
  });

  it('that cannot be read says why, and nothing can be taken from it', async () => {
    house.refuse({ message: 'This is no JSON file. Choose a file that was exported from Products.' });
    const { user } = show(<ReadProducts onClose={telling()} />);
    await paste(user, 'flour, water');
    const dialog = within(await screen.findByRole('dialog'));
    expect((await dialog.findByRole('alert')).textContent).toMatch(/^This is no JSON file/);
    expect(dialog.queryByRole('button', { name: /Import from/ })).toBeNull();
  });
});
