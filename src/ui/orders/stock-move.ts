import type { StockKind } from '@/core/process/output-way';

/** What went into stock, or came out (below 0): pieces, or grams of dough; `forDue`: for the order of that time. */
export interface StockMoveInput {
  productId: number;
  kind: StockKind;
  amount: number;
  note?: string;
  forDue?: number;
  discarded?: boolean;
}
