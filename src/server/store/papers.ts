import { forecastDough } from '@/core/forecast/forecast';
import { isHandsOn } from '@/core/record/state';
import { CREW, type DoughStep } from '@/core/process/expand';
import { taskId } from '@/core/process/step-ref';
import { rota } from '@/core/schedule/rota';
import { addLocalDays } from '@/core/time/local';
import { conditionsOf } from '@/core/wire/board';
import type { DeliveryLine, MiseLine, Paper, PaperKind, ProductionLine } from '@/core/exchange/papers';
import { amountsOf } from './amounts';
import { orderBook } from './orders';
import { productNames } from './product-list';
import { sharedBoard } from './shared-board';
import type { Db } from '../db/rows';

/** Days back from which doughs are looked at. */
const BACK = 2;

interface Day {
  from: number;
  to: number;
}

/** The local day that begins at `from`. */
const dayFrom = (from: number, zone: string): Day => ({ from, to: addLocalDays(from, 1, zone) });

/** A list of a day, as the plan and the floor have it now: what is done already is left out. */
export async function paperOf(
  db: Db,
  kind: PaperKind,
  { from, now, zone }: { from: number; now: number; zone: string },
): Promise<Paper> {
  const day = dayFrom(from, zone);
  switch (kind) {
    case 'production':
      return { kind, lines: await productionLines(db, day, now) };
    case 'mise-en-place':
      return { kind, lines: await miseLines(db, day, now) };
    case 'deliveries':
      return { kind, lines: await deliveryLines(db, day, now) };
  }
}

async function workOf(db: Db, { from, to }: Day, now: number) {
  const board = await sharedBoard(db, now, BACK);
  const bakery = conditionsOf(board);
  const labels = new Map(board.machines.map(({ id, label }) => [id, label]));
  const stationOf = ({ uses }: Pick<DoughStep, 'uses'>): string | null =>
    uses.flatMap(({ resource }) => (resource === CREW ? [] : (labels.get(resource) ?? [])))[0] ?? null;
  const work = board.doughs.flatMap((record) => {
    const dough = forecastDough(record, bakery, now);
    return dough.steps
      .filter((step) => isHandsOn(step) && (step.status === 'open' || step.status === 'running'))
      .filter(({ start }) => start >= from && start < to)
      .map((step) => ({ record, step, station: stationOf(step) }));
  });
  return { board, work: work.sort((a, b) => a.step.start - b.step.start) };
}

async function productionLines(db: Db, day: Day, now: number): Promise<ProductionLine[]> {
  const { board, work } = await workOf(db, day, now);
  const duties = new Map(
    rota(board.doughs, board.people, board.presences).map(({ task, personIds }) => [task, personIds]),
  );
  const nameOf = (id: number) => board.people.find((person) => person.id === id)?.name ?? '';
  return work.map(({ record, step, station }) => ({
    ...{
      station,
      start: step.start,
      end: step.end,
      step: step.label,
      dough: record.name,
      doughId: record.id,
    },
    ...{ pieces: step.load?.pieces ?? null, trays: step.load?.trays ?? null },
    celsius: step.uses.find(({ setting }) => setting !== undefined)?.setting ?? null,
    people: (duties.get(taskId(record.id, step.key)) ?? []).map(nameOf),
  }));
}

/** What is weighed out for the work between two moments. */
export async function miseLines(db: Db, day: Day, now: number): Promise<MiseLine[]> {
  const { work } = await workOf(db, day, now);
  const doughs = [...new Set(work.map(({ record }) => record))];
  const amounts = await amountsOf(db, doughs);
  return work.flatMap(({ record, step, station }) => {
    const own = amounts.get(record.id);
    return (own?.steps[step.key] ?? []).flatMap(({ what, lines }) =>
      lines.map(({ ingredient, grams }): MiseLine => ({
        ...{ at: step.start, station, dough: record.name, step: step.label, what, grams },
        ingredient: own?.names[ingredient] ?? ingredient,
        isCold: own?.cold.includes(ingredient) ?? false,
      })),
    );
  });
}

async function deliveryLines(db: Db, { from, to }: Day, now: number): Promise<DeliveryLine[]> {
  const [book, names] = await Promise.all([orderBook(db, now), productNames(db)]);
  const nameOf = new Map(names);
  return book.demand
    .filter(({ dueAt }) => dueAt >= from && dueAt < to)
    .map((order): DeliveryLine => {
      const { customer, dueAt, productId, pieces } = order;
      const short = book.short.find(
        (one) =>
          one.order.dueAt === dueAt &&
          one.order.source.kind === order.source.kind &&
          one.order.source.id === order.source.id,
      );
      return {
        ...{ customer, at: dueAt, product: nameOf.get(productId) ?? '', pieces },
        ...{ short: short?.missing ?? 0, late: short?.late ?? 0 },
        from: [...new Set(order.from.map(({ dough }) => dough))],
      };
    })
    .sort(
      (a, b) => a.customer.localeCompare(b.customer) || a.at - b.at || a.product.localeCompare(b.product),
    );
}
