'use client';

import { useWords } from '../kit/words';
import { Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import type { FromFreezer } from '@/core/demand/stock';
import type { OrderWithSources } from '@/core/demand/cover';
import { type DayGlance as DayGlanceOf, glances } from '@/core/demand/glance';
import { dayOf } from '@/core/demand/orders';
import type { Person } from '@/core/bakery/people';
import { formatLocal, type Instant, parseLocal } from '@/core/time/local';
import { Button } from '../kit/button';
import { send } from '../live/command';
import { AddOrder } from './add-order';
import { DayGlance } from './day-glance';
import { DemandRow } from './demand-row';
import { Proposals } from './proposals';
import { ReadOrders } from './read-orders';
import { ShortList } from './short-list';
import { StandingSheet } from './standing-sheet';
import { StockPanel } from './stock';

type SheetName = 'order' | 'standing' | 'read' | null;

/** What is to be ready in the coming days, what of it no dough makes yet, and the doughs that would. */
export function OrdersView({
  book,
  zone,
  now,
  person,
  adding = false,
}: {
  book: OrderBook;
  zone: string;
  now: Instant;
  person: Person;
  /** Somebody comes to take a rush order. */
  adding?: boolean;
}) {
  const say = useWords();
  const router = useRouter();
  const [sheet, setSheet] = useState<SheetName>(adding ? 'order' : null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const mayPlan = person.role === 'planner';
  const products = useMemo(
    () => new Map(book.makers.map(({ productId, name }) => [productId, name])),
    [book.makers],
  );
  const days = useMemo(() => byDay(book, zone), [book, zone]);
  const glance = useMemo(() => glances(book, zone), [book, zone]);
  const act = async (command: string, input: unknown) => {
    const answer = await send(command, input);
    setTrouble(answer.ok ? null : answer.message);
    router.refresh();
    return answer;
  };
  const closeSheet = () => {
    setSheet(null);
    router.refresh();
  };
  return (
    <main className="grid flex-1 content-start lg:min-h-0 lg:grid-cols-[1fr_27rem]">
      <h1 className="sr-only">{say('orders.orders')}</h1>
      <section
        aria-label={say('orders.whatIsWanted')}
        className="min-w-0 px-4 pb-6 lg:h-[calc(100dvh-4rem)] lg:overflow-y-auto"
      >
        <OrdersBar {...{ book, mayPlan }} onSheet={setSheet} />
        {trouble && (
          <p role="alert" className="mb-2 border-l-4 border-warn pl-3 text-lg text-warn">
            {trouble}
          </p>
        )}
        <ShortList
          short={book.short}
          told={book.told}
          {...{ products, zone }}
          onTell={(input) => void act('mark-told', input)}
        />
        {days.map((one) => (
          <OrdersDay
            key={one.day}
            {...{ one, book, products, zone }}
            glance={glance.get(one.day)}
            act={mayPlan ? act : null}
          />
        ))}
      </section>
      <aside className="min-w-0 border-l border-hairline p-4 lg:h-[calc(100dvh-4rem)] lg:overflow-y-auto">
        <Proposals book={book} zone={zone} mayPlan={mayPlan} onPlanned={() => router.refresh()} />
        <StockPanel
          {...{ book, products, zone, now }}
          onMove={(input) => act('move-stock', input)}
          onPlan={mayPlan ? (batch) => void act('add-dough', bakeOf(batch, zone)) : null}
        />
      </aside>
      <AddOrder open={sheet === 'order'} onClose={closeSheet} book={book} />
      <StandingSheet open={sheet === 'standing'} onClose={closeSheet} book={book} products={products} />
      <ReadOrders open={sheet === 'read'} onClose={closeSheet} book={book} zone={zone} />
    </main>
  );
}

/** What is open of all orders, and where else to look or enter some. */
function OrdersBar({
  book,
  mayPlan,
  onSheet,
}: {
  book: OrderBook;
  mayPlan: boolean;
  onSheet: (sheet: SheetName) => void;
}) {
  const say = useWords();
  return (
    <div className="flex flex-wrap items-center gap-2 py-2">
      <p className="text-lg" role="status">
        {openPieces(book) === 0
          ? say('orders.doughsArePlannedForEverything')
          : say('orders.piecesHaveNoDoughYet', { open: openPieces(book) })}
      </p>
      <span className="ml-auto" />
      <a href="/papers/deliveries" className="px-3 text-[15px] text-quiet underline-offset-4 hover:underline">
        {say('orders.deliveries')}
      </a>
      <a href="/orders/past" className="px-3 text-[15px] text-quiet underline-offset-4 hover:underline">
        {say('orders.pastOrders')}
      </a>
      {mayPlan && (
        <>
          <Button look="quiet" onClick={() => onSheet('read')}>
            {say('orders.readAFile')}
          </Button>
          <Button onClick={() => onSheet('standing')}>{say('orders.standingOrders')}</Button>
        </>
      )}
      {(mayPlan || book.bakersTakeOrders) && (
        <Button look="act" className="flex items-center gap-1" onClick={() => onSheet('order')}>
          <Plus aria-hidden size={18} />
          {say('orders.addOrder2')}
        </Button>
      )}
    </div>
  );
}

/** One day: what is wanted of it, whether it is closed. `act` is null for whoever only looks. */
function OrdersDay({
  one: { day, at, closed, demand },
  glance,
  book,
  products,
  zone,
  act,
}: {
  one: ReturnType<typeof byDay>[number];
  glance: DayGlanceOf | undefined;
  book: OrderBook;
  products: ReadonlyMap<number, string>;
  zone: string;
  act: ((command: string, input: unknown) => Promise<unknown>) | null;
}) {
  const say = useWords();
  return (
    <section aria-label={say.longDayName(at, zone)} className="mb-4">
      <div className="flex items-baseline gap-3 border-b border-edge">
        <h2 className="text-xl font-semibold">
          {say.longDayName(at, zone)} <span className="font-normal text-quiet">{say.dayMonth(at, zone)}</span>
        </h2>
        {closed !== null && <span>{say('orders.closed', { part: closed ? `: ${closed}` : '' })}</span>}
        {act && (
          <Button
            look="quiet"
            className="ml-auto"
            onClick={() => void act('close-day', { day, closed: closed === null })}
          >
            {closed === null ? say('orders.closeTheDay') : say('orders.openTheDay')}
          </Button>
        )}
      </div>
      {glance && <DayGlance glance={glance} />}
      {demand.length === 0 && <p className="py-1 text-quiet">{say('orders.nothingIsWanted')}</p>}
      <ul>
        {demand.map((want) => (
          <DemandRow
            key={`${want.source.kind}${want.source.id}`}
            want={want}
            product={products.get(want.productId) ?? ''}
            frozen={frozenFor(book, want)}
            zone={zone}
            onChange={act ? (pieces) => void act(...changeOf(want, pieces)) : null}
          />
        ))}
      </ul>
    </section>
  );
}

const openPieces = ({ demand }: OrderBook) => demand.reduce((sum, { open }) => sum + open, 0);

/** A batch that bakes pieces from the freezer for the order of that time. */
const bakeOf = ({ productId, pieces, dueAt }: FromFreezer, zone: string) => ({
  clientId: crypto.randomUUID(),
  outputs: [{ productId, pieces, due: formatLocal(dueAt, zone), way: 'from-freezer' }],
});

/** The command that gives an order another number on its day. */
function changeOf({ source }: OrderWithSources, pieces: number): [string, unknown] {
  return source.kind === 'single'
    ? ['change-order', { id: source.id, pieces }]
    : [
        'change-standing',
        { id: source.id, day: source.day, pieces: pieces === source.usual ? null : pieces },
      ];
}

function frozenFor({ taken }: OrderBook, want: OrderWithSources): number {
  if (want.open === 0) return 0;
  return taken
    .filter(({ productId, dueAt }) => productId === want.productId && dueAt === want.dueAt)
    .reduce((sum, { pieces }) => sum + pieces, 0);
}

function byDay({ demand, closed }: OrderBook, zone: string) {
  const days = [
    ...new Set([...demand.map(({ dueAt }) => dayOf(dueAt, zone)), ...closed.map(({ day }) => day)]),
  ].sort();
  return days.map((day) => ({
    day,
    at: parseLocal(`${day}T12:00`, zone) ?? 0,
    closed: closed.find((one) => one.day === day)?.note ?? null,
    demand: demand.filter(({ dueAt }) => dayOf(dueAt, zone) === day),
  }));
}
