import type { OrderWithSources, Supply } from './cover';
import type { FromFreezer, Stock } from './stock';
import type { Shortage, Told } from './short';
import type { StandingOrder } from './orders';
import type { Maker, Making, ProposedDough } from './propose';

/** What is kept for later: pieces, or grams of dough; how much of it planned batches use, and which products it can become. */
export interface Kept extends Pick<Stock, 'kind' | 'amount' | 'lots'> {
  name: string;
  /** A product that it was put away as. */
  productId: number;
  promised: number;
  makes: number[];
}

/** Everything that the orders page shows. */
export interface OrderBook {
  customers: string[];
  standing: StandingOrder[];
  /** What is to be ready in the coming days, and which dough makes it. */
  demand: OrderWithSources[];
  /** Orders that cannot be delivered as they were taken, and what their customers were told of it. */
  short: Shortage[];
  told: Told[];
  /** Pieces that doughs in the plan make beyond what is ordered. */
  left: Supply[];
  closed: { day: string; note: string }[];
  stock: Kept[];
  taken: FromFreezer[];
  proposals: ProposedDough[];
  makers: Maker[];
  making: Making;
  /** No planner is there, and the house lets bakers take orders then. */
  bakersTakeOrders: boolean;
}
