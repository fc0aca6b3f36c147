import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { MIN } from '../../../test-support/floor';
import { CUTTING } from '../../../test-support/rolling';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import type { Kept, OrderBook } from '@/core/demand/book';
import type { FromFreezer } from '@/core/demand/stock';
import type { Answer } from '@/core/wire/answer';
import { StockPanel } from './stock';

standInHouse();

const DAY = 1440 * MIN;
const NAMES = new Map([
  [1, 'Butter crescent'],
  [2, 'Plum danish'],
]);
const kept = (more: Partial<Kept>): Kept => ({
  ...{ kind: 'pieces' as const, name: 'Butter crescent', productId: 1, makes: [1], promised: 0 },
  ...{ amount: 48, lots: [{ since: 0, amount: 48, bestBefore: 30 * DAY }] },
  ...more,
});
const DOUGH = kept({
  ...{ kind: 'cold-dough', name: 'Crescent', makes: [1, 2], amount: 4200, promised: 1000 },
  lots: [
    { since: 0, amount: 1200, bestBefore: 2 * DAY },
    { since: 2 * DAY, amount: 3000, bestBefore: 4 * DAY },
  ],
});

function panel({ stock, taken = [] }: { stock: Kept[]; taken?: FromFreezer[] }) {
  const makers = [...NAMES].map(([productId, name]) => ({
    ...{ productId, name, sharing: 'crescent', mixed: 0.8, freshFor: 150, lead: 1200, allergens: [] },
    piece: { grams: 60, perTray: 15, scrap: 0.05 },
  }));
  const onMove = vi.fn((): Promise<Answer> => Promise.resolve({ ok: true, result: null }));
  const onPlan = vi.fn();
  const book: OrderBook = {
    ...{
      stock,
      taken,
      makers,
      customers: [],
      standing: [],
      demand: [],
      left: [],
      closed: [],
      proposals: [],
      short: [],
      told: [],
      bakersTakeOrders: false,
    },
    making: { bowlKg: 20, mostBowls: 3, apart: [], cutting: CUTTING },
  };
  const view = show(<StockPanel {...{ book, products: NAMES, zone: 'UTC', now: 3 * DAY, onMove, onPlan }} />);
  return { ...view, onMove, onPlan };
}
const textsIn = (name: string) =>
  within(screen.getByRole('region', { name }))
    .getAllByRole('listitem')
    .map(({ textContent }) => textContent);

describe('the stock', () => {
  it('is told by kind, with its days, its dates, what of it is promised and what coming orders use', () => {
    panel({
      stock: [kept({}), kept({ productId: 2, makes: [2], name: 'Plum danish', promised: 48 }), DOUGH],
      taken: [{ productId: 1, pieces: 12, dueAt: DAY }],
    });
    expect(textsIn('Frozen pieces')).toEqual([
      '48 butter crescent12 for these orders: thaw overnightof 1 Jan, best before 31 Jan',
      'of 1 Jan, best before 31 Jan',
      '48 plum danish48 for planned batchesof 1 Jan, best before 31 Jan',
      'of 1 Jan, best before 31 Jan',
    ]);
    expect(textsIn('Dough, cold')).toEqual([
      '4.2 kg crescent dough1.0 kg for planned batches, free1.2 kg of 1 Jan, past best before 3 Jan3.0 kg of 3 Jan, best before 5 Jan',
      '1.2 kg of 1 Jan, past best before 3 Jan',
      '3.0 kg of 3 Jan, best before 5 Jan',
    ]);
  });

  it('says that there is nothing where there is nothing', () => {
    panel({ stock: [] });
    expect(screen.getByText('Nothing in the freezer or kept cold.')).toBeTruthy();
  });

  it('is thrown away with a reason: what is past its date is offered, and no reason is a sentence', async () => {
    const { user, onMove } = panel({ stock: [DOUGH] });
    await user.click(screen.getByRole('button', { name: 'Throw away: crescent' }));
    const sheet = within(await screen.findByRole('dialog'));
    expect(sheet.getByLabelText<HTMLInputElement>('Weight').value).toBe('1.2 kg');
    expect(sheet.getByLabelText<HTMLInputElement>('Why').value).toBe('Past best before');
    onMove.mockResolvedValueOnce({
      ...{ ok: false, status: 422, offer: null, field: 'note' },
      message: 'Choose why it was thrown away.',
    });
    await user.clear(sheet.getByLabelText('Why'));
    await user.click(sheet.getByRole('button', { name: 'Throw away' }));
    expect(sheet.getByText('Choose why it was thrown away.')).toBeTruthy();
    await user.clear(sheet.getByLabelText('Weight'));
    await user.type(sheet.getByLabelText('Weight'), '0.5 kg');
    await user.click(sheet.getByRole('button', { name: 'Got warm' }));
    await user.click(sheet.getByRole('button', { name: 'Throw away' }));
    expect(onMove).toHaveBeenLastCalledWith({
      ...{ productId: 1, kind: 'cold-dough', amount: -500, note: 'Got warm', discarded: true },
    });
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('is counted by hand: pieces whole, dough by weight, in or out', async () => {
    const { user, onMove } = panel({ stock: [] });
    const form = within(screen.getByRole('form', { name: 'Correct stock' }));
    await user.type(form.getByLabelText('Pieces'), 'some');
    await user.click(form.getByRole('button', { name: 'Add' }));
    expect(form.getByText('Enter a whole number of pieces.')).toBeTruthy();
    expect(onMove).not.toHaveBeenCalled();
    await user.clear(form.getByLabelText('Pieces'));
    await user.type(form.getByLabelText('Pieces'), '8');
    await user.click(form.getByRole('button', { name: 'Remove' }));
    expect(onMove).toHaveBeenLastCalledWith({ productId: 1, kind: 'pieces', amount: -8 });
    expect(form.getByLabelText<HTMLInputElement>('Pieces').value).toBe('');
    await user.selectOptions(form.getByLabelText('Kept as'), 'Dough, frozen');
    await user.type(form.getByLabelText('Weight'), 'a little');
    await user.click(form.getByRole('button', { name: 'Add' }));
    expect(form.getByText('Enter a weight, such as 2.5 kg.')).toBeTruthy();
    await user.clear(form.getByLabelText('Weight'));
    await user.type(form.getByLabelText('Weight'), '2.5 kg');
    await user.click(form.getByRole('button', { name: 'Add' }));
    expect(onMove).toHaveBeenLastCalledWith({ productId: 1, kind: 'frozen-dough', amount: 2500 });
  });

  it('is thawed for the orders that nothing else is made for', async () => {
    const { user, onMove, onPlan } = panel({
      stock: [kept({})],
      taken: [{ productId: 1, pieces: 12, dueAt: DAY }],
    });
    const thaws = within(screen.getByRole('list', { name: 'To thaw' }));
    expect(thaws.getByText(/butter crescent/).textContent).toBe('12 butter crescent for Fri 00:00');
    await user.click(thaws.getByRole('button', { name: 'Plan the bake' }));
    expect(onPlan).toHaveBeenCalledWith({ productId: 1, pieces: 12, dueAt: DAY });
    await user.click(thaws.getByRole('button', { name: 'Taken out to thaw' }));
    expect(onMove).toHaveBeenLastCalledWith({ productId: 1, kind: 'pieces', amount: -12, forDue: DAY });
  });
});
