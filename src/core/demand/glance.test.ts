import { describe, expect, it } from 'vitest';
import type { OrderWithSources } from './cover';
import { glances } from './glance';
import type { Shortage } from './short';

const HOUR = 3_600_000;
const order = (id: number, hour: number, more: Partial<OrderWithSources> = {}): OrderWithSources => ({
  ...{ source: { kind: 'single', id }, customer: 'Shop', productId: 1, dueAt: hour * HOUR },
  ...{ pieces: 40, open: 0, from: [], thawed: 0 },
  ...more,
});
const late = (of: OrderWithSources, pieces: number): Shortage => ({
  ...{ order: of, missing: 0, missingBy: null, late: pieces, lateUntil: of.dueAt + HOUR, instead: [] },
});

describe('a day of orders at a glance', () => {
  it('adds up to what is ordered: in time, late, without a dough', () => {
    const orders = [order(1, 6), order(2, 8, { customer: 'Café' }), order(3, 9, { open: 15 })];
    const days = glances({ demand: orders, short: [late(orders[1] as OrderWithSources, 10)] }, 'UTC');
    expect(days.get('1970-01-01')).toEqual({ pieces: 120, customers: 2, served: 95, late: 10, open: 15 });
  });

  it('goes by the day where the bakery is', () => {
    const days = glances({ demand: [order(1, 23)], short: [] }, 'Europe/Berlin');
    expect([...days.keys()]).toEqual(['1970-01-02']);
  });

  it('counts what is late of that very order and of no other', () => {
    const orders = [order(1, 6), order(1, 30)];
    const days = glances({ demand: orders, short: [late(orders[0] as OrderWithSources, 40)] }, 'UTC');
    expect(days.get('1970-01-01')?.late).toBe(40);
    expect(days.get('1970-01-02')?.late).toBe(0);
  });

  it('has no day without an order', () => {
    expect(glances({ demand: [], short: [] }, 'UTC').size).toBe(0);
  });
});
