import type { OrderBook } from './book';
import type { OrderWithSources } from './cover';
import { dayOf } from './orders';

/** A day's orders in a few numbers. */
export interface DayGlance {
  pieces: number;
  customers: number;
  /** Pieces that come in time. */
  served: number;
  /** Pieces that a dough makes too late. */
  late: number;
  /** Pieces that no dough makes yet. */
  open: number;
}

/**
 * What is ordered of each day, and how much of it comes in time; by the day as "2026-11-19".
 *
 * @example
 * glances(book, 'UTC').get('2026-11-19'); // { pieces: 148, customers: 3, served: 100, late: 48, open: 0 }
 */
export function glances(
  { demand, short }: Pick<OrderBook, 'demand' | 'short'>,
  zone: string,
): Map<string, DayGlance> {
  const lateOf = ({ source, dueAt }: OrderWithSources) =>
    short.find(
      ({ order }) =>
        order.source.kind === source.kind && order.source.id === source.id && order.dueAt === dueAt,
    )?.late ?? 0;
  const days = new Set(demand.map(({ dueAt }) => dayOf(dueAt, zone)));
  return new Map(
    [...days].map((day) => [
      day,
      glance(
        demand.filter(({ dueAt }) => dayOf(dueAt, zone) === day),
        lateOf,
      ),
    ]),
  );
}

function glance(wanted: readonly OrderWithSources[], lateOf: (want: OrderWithSources) => number): DayGlance {
  const sum = (of: (want: OrderWithSources) => number) => wanted.reduce((total, want) => total + of(want), 0);
  const [pieces, open, late] = [sum((want) => want.pieces), sum((want) => want.open), sum(lateOf)];
  const customers = new Set(wanted.map(({ customer }) => customer)).size;
  return { pieces, customers, open, late, served: pieces - open - late };
}
