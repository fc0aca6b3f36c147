import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { MIN } from '../../../test-support/floor';
import { show, telling } from '../../../test-support/view';
import type { Outcome } from '@/core/demand/delivered';
import type { Shortage, Told } from '@/core/demand/short';
import { PastOrdersView } from './past-view';
import { ShortList } from './short-list';

const NAMES: [number, string][] = [
  [1, 'Butter crescent'],
  [2, 'Plum danish'],
];
const order = {
  source: { kind: 'single' as const, id: 4 },
  customer: 'Choir',
  productId: 1,
  dueAt: 390 * MIN,
  pieces: 30,
};
const shortage = (more: Partial<Shortage> = {}): Shortage => ({
  ...{ order, missing: 12, missingBy: 580 * MIN, late: 0, lateUntil: null, instead: [] },
  ...more,
});

describe('orders that go short', () => {
  const list = (short: Shortage[], told: Told[] = [], onTell = telling()) => (
    <ShortList {...{ short, told, onTell }} products={new Map(NAMES)} zone="UTC" />
  );
  const line = () => screen.getByRole('listitem').textContent;

  it('are not there where all is delivered', () => {
    show(list([]));
    expect(screen.queryByRole('region')).toBeNull();
  });

  it('say who gets how many fewer, when the rest could come, and what they could have instead', () => {
    const { again } = show(list([shortage({ instead: [{ productId: 2, pieces: 8 }] })]));
    expect(line()).toContain('Choir, Thu 06:30');
    expect(line()).toContain('12 of 30 Butter crescent short, earliest Thu 09:40.');
    expect(line()).toContain('Available instead: 8 Plum danish.');
    again(list([shortage({ missing: 0, late: 30, lateUntil: 460 * MIN })]));
    expect(line()).toContain('30 of 30 Butter crescent late, ready Thu 07:40.');
    expect(line()).not.toContain('missing');
  });

  it('are ticked off when the customer knows, and open again when it has become worse', async () => {
    const told = telling();
    const { user, again } = show(list([shortage()], [], told));
    expect(screen.getByRole('heading').textContent).toBe('1 customer to inform');
    await user.click(screen.getByRole('button', { name: 'Informed Choir' }));
    const source = { kind: 'single', id: 4, day: '1970-01-01' } as const;
    expect(told.mock.calls[0]?.[0]).toEqual({ source, missing: 12, late: 0, lateUntil: null, told: true });
    const known = { source, missing: 12, late: 0, lateUntil: null, by: 'Ida', at: 300 * MIN };
    again(list([shortage()], [known], told));
    expect(screen.getByRole('heading').textContent).toBe('Short orders: all customers informed');
    expect(line()).toContain('Informed 05:00, Ida');
    await user.click(screen.getByRole('button', { name: 'Not informed' }));
    expect(told.mock.calls[1]?.[0]).toMatchObject({ told: false });
    again(list([shortage({ missing: 13 })], [known], told));
    expect(screen.getByRole('button', { name: 'Informed Choir' })).toBeTruthy();
  });
});

describe('past orders', () => {
  const outcome = (more: Partial<Outcome> = {}): Outcome => ({
    ...{
      order: { ...order, source: { kind: 'single', id: 4 } },
      onTime: 30,
      late: 0,
      lateAt: null,
      short: 0,
    },
    isUnrecorded: false,
    ...more,
  });

  it('show by day what was delivered, late and short', () => {
    show(
      <PastOrdersView
        outcomes={[
          outcome({ onTime: 10, late: 8, lateAt: 470 * MIN, short: 12 }),
          outcome({
            order: { ...order, source: { kind: 'single', id: 5 }, customer: 'Shop' },
            isUnrecorded: true,
          }),
        ]}
        products={NAMES}
        zone="UTC"
      />,
    );
    const day = screen.getByRole('region', { name: 'Thursday' });
    expect(day.textContent).toContain('60 ordered, 40 on time, 8 late, 12 short');
    const [, first, second] = within(day).getAllByRole('row');
    expect(first?.textContent).toBe('06:30ChoirButter crescent30108 until 07:5012');
    expect(second?.textContent).toBe('06:30ShopButter crescent not recorded3030––');
  });

  it('say where there are none', () => {
    show(<PastOrdersView outcomes={[]} products={NAMES} zone="UTC" />);
    expect(screen.getByText('No orders in the last 7 days.')).toBeTruthy();
  });
});
