import { screen, within, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { CUTTING } from '../../../test-support/rolling';
import { standInHouse } from '../../../test-support/stand-in';
import { MIN } from '../../../test-support/floor';
import { show, telling } from '../../../test-support/view';
import type { OrderBook } from '@/core/demand/book';
import type { OrderWithSources } from '@/core/demand/cover';
import type { Maker, ProposedDough } from '@/core/demand/propose';
import { AddOrder } from './add-order';
import { DemandRow } from './demand-row';
import { Proposals } from './proposals';
import { ReadOrders } from './read-orders';
import { StandingSheet } from './standing-sheet';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

const DAY = 1440 * MIN;
const house = standInHouse();

const maker = (productId: number, name: string): Maker => ({
  ...{ productId, name, sharing: 'crescent', mixed: 0.8, freshFor: 150, lead: 1200, allergens: [] },
  piece: { grams: 60, perTray: 15, scrap: 0.05 },
});
const proposal = (more: Partial<ProposedDough> = {}): ProposedDough => ({
  outputs: [{ productId: 1, product: 'Butter crescent', pieces: 120, dueAt: 3 * DAY, spare: 0 }],
  ...{ kg: 8.4, bowls: 1, fill: 0.42, waits: 0, changeUntil: DAY, apart: [] },
  ...more,
});
const book = (more: Partial<OrderBook> = {}): OrderBook => ({
  ...{
    customers: ['Station kiosk', 'Choir'],
    standing: [],
    demand: [],
    left: [],
    closed: [],
    short: [],
    told: [],
    bakersTakeOrders: false,
  },
  ...{ stock: [], taken: [], proposals: [], makers: [maker(1, 'Butter crescent'), maker(2, 'Plum danish')] },
  making: { bowlKg: 20, mostBowls: 3, apart: ['nuts'], cutting: CUTTING },
  ...more,
});
const NAMES = new Map([
  [1, 'Butter crescent'],
  [2, 'Plum danish'],
]);

describe('an order of a day', () => {
  const want = (more: Partial<OrderWithSources> = {}): OrderWithSources => ({
    ...{ source: { kind: 'single', id: 4 }, customer: 'Choir', productId: 1, pieces: 40 },
    ...{ dueAt: 390 * MIN, open: 0, from: [], thawed: 0 },
    ...more,
  });
  const row = (one: OrderWithSources, frozen = 0, onChange: ((pieces: number) => void) | null = null) => (
    <ul>
      <DemandRow want={one} product="Butter crescent" frozen={frozen} zone="UTC" onChange={onChange} />
    </ul>
  );
  const text = () => screen.getByRole('listitem').textContent;

  it('says which dough makes it and until when it can be changed, and what has none', () => {
    const from = [{ doughId: 7, dough: 'Crescent 38', pieces: 30, mixAt: DAY + 60 * MIN }];
    const { again } = show(row(want({ from, open: 10 })));
    expect(text()).toBe('06:3040Butter crescentChoir30 from Crescent 38, mixed Fri 01:0010 without a dough');
    again(row(want({ open: 40 }), 24));
    expect(text()).toContain('24 from the freezer16 without a dough');
    again(row(want({ thawed: 16, open: 24 }), 24));
    expect(text()).toContain('16 thawing24 from the freezer');
    again(row(want({ open: 40 }), 60));
    expect(text()).toContain('40 from the freezer');
    expect(text()).not.toContain('without');
  });

  it('says what is usual where a day is not', () => {
    const source = { kind: 'standing' as const, id: 1, day: '1970-01-01', usual: 90 };
    const { again } = show(row(want({ source })));
    expect(text()).toContain('usually 90');
    again(row(want({ source, pieces: 90 })));
    expect(text()).not.toContain('usually');
  });

  it('changes its number where it stands, with Enter or by going on, and never to what it was', async () => {
    const told = telling();
    const { user } = show(row(want(), 0, told));
    const pieces = screen.getByRole('textbox', { name: 'Pieces of butter crescent for Choir' });
    await user.clear(pieces);
    await user.type(pieces, '36{Enter}');
    await user.clear(pieces);
    await user.type(pieces, '12');
    await user.tab();
    for (const same of ['40', '']) {
      await user.clear(pieces);
      if (same) await user.type(pieces, same);
      await user.tab();
    }
    expect(told.mock.calls).toEqual([[36], [12]]);
  });
});

describe('proposed doughs', () => {
  const planned = vi.fn();
  const section = (proposals: ProposedDough[], mayPlan = true) => (
    <Proposals book={book({ proposals })} zone="UTC" mayPlan={mayPlan} onPlanned={planned} />
  );
  const button = (name: string | RegExp) => screen.getByRole('button', { name });
  const rows = () => screen.queryAllByRole('listitem').map(({ textContent }) => textContent ?? '');

  it('say what they cost: bowls, how full, what is left over, and until when they can change', () => {
    show(section([proposal({ waits: 45, apart: ['nuts'] })], false));
    expect(screen.getByText(/full overall/).textContent).toBe(
      '1 dough, 1 bowl of 20.0 kg, 42 % full overall',
    );
    expect(rows()[0]).toContain(
      '8.4 kg in 1 bowl, 42 % full; nothing left over; ready 45 min before the last order. Change until Fri 00:00. Contains nuts: separate dough.',
    );
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('are planned one at a time, and a second try is the same dough', async () => {
    planned.mockClear();
    house.refuse({ message: 'It cannot be ready by then.', offer: { late: 30 } });
    const { user, again } = show(section([proposal()]));
    await user.click(button('Plan dough'));
    expect((await screen.findByRole('alert')).textContent).toBe('It cannot be ready by then.');
    expect(planned).not.toHaveBeenCalled();
    await user.click(button('Plan it late'));
    await waitFor(() => expect(planned).toHaveBeenCalledOnce());
    const [first, second] = house.sent.map(({ input }) => input);
    expect(second?.clientId).toBe(first?.clientId);
    expect([first?.late, second?.late]).toEqual([undefined, true]);
    expect(second?.outputs).toEqual([{ productId: 1, pieces: 120, due: '1970-01-04T00:00', way: 'fresh' }]);
    // Planned, it is not among what the house proposes next.
    again(section([]));
    expect(screen.getByText('No dough needed for these days.')).toBeTruthy();
  });

  it('are offered late only, with until when they had to be mixed, once that has passed', async () => {
    const { user } = show(section([proposal()]), 24 * 60 + 5);
    expect(rows()[0]).toContain('it had to be mixed by Fri 00:00');
    expect(screen.queryByRole('button', { name: 'Plan dough' })).toBeNull();
    await user.click(button('Plan it late'));
    await waitFor(() => expect(house.sent.at(-1)?.input.late).toBe(true));
  });

  it('are planned all, and what finds no place stays with its reason', async () => {
    const other = proposal({
      outputs: [{ productId: 2, product: 'Plum danish', pieces: 36, dueAt: 3 * DAY, spare: 0 }],
    });
    house.refuse({ message: 'The oven is full then.' });
    const { user, again } = show(section([proposal(), other]));
    await user.click(button('Plan all 2'));
    await waitFor(() => expect(house.sent).toHaveLength(2));
    again(section([proposal()]));
    expect(rows()).toHaveLength(1);
    expect(rows()[0]).toContain('120 butter crescent');
    expect(rows()[0]).toContain('The oven is full then.');
    expect(screen.queryByRole('button', { name: 'Plan it late' })).toBeNull();
  });

  it('are merged with the next and split again, to what they were', async () => {
    const second = proposal({
      outputs: [
        { productId: 1, product: 'Butter crescent', pieces: 60, dueAt: 3 * DAY + 60 * MIN, spare: 0 },
      ],
    });
    const { user } = show(section([proposal(), second]));
    await user.click(button('Merge with next'));
    expect(rows()).toHaveLength(1);
    expect(rows()[0]).toMatch(/180 butter crescent|120 butter crescent.*60 butter crescent/);
    await user.click(button('Split'));
    expect(rows()).toHaveLength(2);
  });
  it('send what is more than is ordered to the freezer', async () => {
    house.result = { id: 9 };
    const more = proposal({
      outputs: [{ productId: 1, product: 'Butter crescent', pieces: 150, dueAt: 3 * DAY, spare: 30 }],
    });
    const { user } = show(section([more]));
    await user.click(button('Plan dough'));
    const outputs = [
      { productId: 1, due: '1970-01-04T00:00', pieces: 120, way: 'fresh' },
      { productId: 1, due: '1970-01-04T00:00', pieces: 30, way: 'to-freezer' },
    ];
    await vi.waitFor(() =>
      expect(house.sent.at(-1)).toMatchObject({ command: 'add-dough', input: { outputs } }),
    );
  });
});

describe('orders from a table', () => {
  it('are shown with every fault by its line, and taken without the faulty ones', async () => {
    const close = vi.fn();
    const { user } = show(<ReadOrders open onClose={close} book={book()} zone="UTC" />);
    await user.click(await screen.findByLabelText('Or paste it here'));
    await user.paste(
      'customer,product,pieces,day,time\nInn,Plum danish,12,1970-01-03,10:00\nInn,Pretzel,12,1970-01-03,10:00\n',
    );
    const orders = within(screen.getByRole('list', { name: 'Orders found' }));
    expect(orders.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      '12 plum danish, InnSat 10:00',
    ]);
    expect(screen.getByRole('alert', { name: 'Faults' }).textContent).toContain('Line 3:');
    await user.click(screen.getByRole('button', { name: 'Import 1 order, without the faulty lines' }));
    expect(house.sent).toMatchObject([
      { command: 'take-orders', input: { orders: [{ customer: 'Inn', productId: 2, pieces: 12 }] } },
    ]);
    await waitFor(() => expect(close).toHaveBeenCalledOnce());
  });
});

describe('one more order', () => {
  it('is told beside the field what is wrong with it, keeps what was typed, and is sent twice as one', async () => {
    const close = vi.fn();
    house.refuse({ message: 'Wed 10:30 is in the past.', field: 'due' });
    const { user } = show(<AddOrder open onClose={close} book={book()} />);
    await user.type(await screen.findByLabelText('Pieces'), ' 36 ');
    await user.selectOptions(screen.getByLabelText('Product'), 'Plum danish');
    await user.click(screen.getByRole('button', { name: 'Add order' }));
    const day = screen.getByLabelText('Day');
    await waitFor(() => expect(day.getAttribute('aria-invalid')).toBe('true'));
    expect(screen.getByRole('alert').textContent).toBe('Wed 10:30 is in the past.');
    expect(close).not.toHaveBeenCalled();
    await user.type(day, '1970-01-09');
    await user.click(screen.getByRole('button', { name: 'Add order' }));
    await waitFor(() => expect(close).toHaveBeenCalledOnce());
    const [first, second] = house.sent.map(({ input }) => input);
    expect(second).toEqual({ ...first, due: '1970-01-09T06:30' });
    expect(second).toMatchObject({ customer: 'Station kiosk', productId: '2', pieces: '36' });
  });
});

describe('standing orders', () => {
  const standing = [1, 2, 5].map((weekday) => ({
    ...{ id: weekday, customer: 'Station kiosk', productId: 1, weekday, dueMinute: 390, pieces: 90 },
    changes: [],
  }));

  it('are one line for all days on which the same is wanted', async () => {
    const other = { ...standing[0], id: 9, weekday: 6, pieces: 140 } as (typeof standing)[number];
    show(
      <StandingSheet
        open
        onClose={() => undefined}
        book={book({ standing: [...standing, other] })}
        products={NAMES}
      />,
    );
    const list = within(await screen.findByRole('list', { name: 'Every week' }));
    expect(list.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      '90 butter crescent by 06:30, Station kioskMon Tue Fri',
      '140 butter crescent by 06:30, Station kioskSat',
    ]);
  });

  it('are kept for the days that are pressed, and a refusal is told', async () => {
    house.refuse({ message: 'A standing order has a whole number of pieces.' });
    const { user } = show(<StandingSheet open onClose={() => undefined} book={book()} products={NAMES} />);
    await user.click(await screen.findByRole('button', { name: 'Mon' }));
    await user.click(screen.getByRole('button', { name: 'Sat' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('alert')).textContent).toContain('whole number');
    await user.type(screen.getByLabelText('Pieces'), '0');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('status')).textContent).toBe('Saved.');
    expect(house.sent.at(-1)).toEqual({
      command: 'save-standing',
      input: { customer: 'Station kiosk', productId: '1', weekdays: [1], pieces: '0', dueMinute: 390 },
    });
  });
});
