import type { Words } from '../codes/coded';
import type { Amounts } from '../process/step-amounts';
import type { Instant } from '../time/local';

export const PAPERS = ['production', 'mise-en-place', 'deliveries'] as const;
/** Lists of a day that are printed for when tablets are away. */
export type PaperKind = (typeof PAPERS)[number];

/** A hands-on step of the day. */
export interface ProductionLine {
  /** The machine or bench at which it is done; null: by hand. */
  station: string | null;
  start: Instant;
  end: Instant;
  step: Words;
  dough: string;
  doughId: number;
  pieces: number | null;
  trays: number | null;
  /** The setting of its oven or proofer, °C. */
  celsius: number | null;
  /** Who does it by the rota. */
  people: string[];
}

/** Something that has to be weighed out, or brought, before a step. */
export interface MiseLine {
  at: Instant;
  station: string | null;
  dough: string;
  step: Words;
  what: Amounts['what'];
  ingredient: string;
  /** Null where it is not weighed. */
  grams: number | null;
  isCold: boolean;
}

/** What a customer gets. */
export interface DeliveryLine {
  customer: string;
  at: Instant;
  product: string;
  pieces: number;
  /** Pieces that are not there, or late. */
  short: number;
  late: number;
  from: string[];
}

/** A printed list with its lines. */
export type Paper =
  | { kind: 'production'; lines: ProductionLine[] }
  | { kind: 'mise-en-place'; lines: MiseLine[] }
  | { kind: 'deliveries'; lines: DeliveryLine[] };
