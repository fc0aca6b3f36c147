import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import { ProductList } from './product-list';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => void refresh.mockClear());

const house = standInHouse();
const PRODUCTS = [
  {
    productId: 1,
    name: 'Butter crescent',
    doughName: 'Crescent',
    formula: 'Crescent dough',
    scheme: 'Three letter folds',
    planned: 2,
  },
  {
    productId: 6,
    name: 'Brioche loaf',
    doughName: 'Brioche',
    formula: 'Brioche dough',
    scheme: null,
    planned: 0,
  },
];
const list = (mayChange = true, removed: { productId: number; name: string }[] = []) => (
  <ProductList products={PRODUCTS} {...{ removed, mayChange }} />
);
const rows = () => screen.getAllByRole('listitem').map(({ textContent }) => textContent);

describe('the list of products', () => {
  it('says what each is made of, and how many doughs of it are planned', () => {
    show(list(false));
    expect(rows()).toEqual([
      'Butter crescentCrescent dough · Three letter folds · 2 doughs planned',
      'Brioche loafBrioche dough · Not laminated · none planned',
    ]);
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('copies one as a variant, and takes one out of use', async () => {
    const { user } = show(list());
    expect(screen.getByRole('link', { name: 'Copy of Brioche loaf' }).getAttribute('href')).toBe(
      '/products/new?like=6',
    );
    const row = within(screen.getAllByRole('listitem')[1] as HTMLElement);
    await user.click(row.getByRole('button', { name: 'Take out of service' }));
    await waitFor(() => expect(refresh).toHaveBeenCalledOnce());
    expect(house.sent).toEqual([{ command: 'remove-product', input: { productId: 6, isRemoved: true } }]);
  });

  it('says why one stays, and brings back what is out of use', async () => {
    house.refuse({ message: 'Butter crescent is in a standing order of Corner café. End that first.' });
    const { user } = show(list(true, [{ productId: 9, name: 'Quince danish' }]));
    const [first] = screen.getAllByRole('button', { name: 'Take out of service' });
    await user.click(first as HTMLElement);
    expect((await screen.findByRole('alert')).textContent).toMatch(/standing order of Corner café/);
    expect(refresh).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Restore' }));
    await waitFor(() => expect(refresh).toHaveBeenCalledOnce());
    expect(house.sent.at(-1)?.input).toEqual({ productId: 9, isRemoved: false });
  });

  it('says how to begin where there is none yet', () => {
    show(<ProductList products={[]} removed={[]} mayChange />);
    expect(screen.getByText(/^No products yet\. Start from a template/)).toBeTruthy();
  });
});
