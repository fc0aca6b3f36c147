import type { OrderWithSources, Supply } from './cover';
import type { FromFreezer } from './frozen';
import type { StandingOrder } from './orders';
import type { Maker, Making, ProposedDough } from './propose';

/** Everything that the orders page shows. */
export interface OrderBook {
  customers: string[];
  standing: StandingOrder[];
  /** What is to be ready in the coming days, and which dough makes it. */
  demand: OrderWithSources[];
  /** Pieces that doughs in the plan make beyond what is ordered. */
  left: Supply[];
  closed: { day: string; note: string }[];
  stock: { productId: number; pieces: number; promised: number }[];
  taken: FromFreezer[];
  proposals: ProposedDough[];
  makers: Maker[];
  making: Making;
}
