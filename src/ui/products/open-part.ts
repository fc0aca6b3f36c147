import type { ThreadStep } from '@/core/process/threads';

/** Which of a product's two routes: that of the whole dough, or that of its pieces. */
export type RoutePart = 'dough' | 'output';
/** What is open over the page. */
export type OpenPart =
  | { sheet: 'piece' | 'dressing' | 'rises' }
  | { sheet: 'step'; part: RoutePart; at: ThreadStep }
  | { sheet: 'add'; part: RoutePart; after: string | null }
  | { sheet: 'branch'; part: RoutePart; joins: string }
  | null;
