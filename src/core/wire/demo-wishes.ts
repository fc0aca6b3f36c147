import type { Instant } from '../time/local';

/** What a visitor of the demo has asked of its stand-ins. */
export interface DemoWishes {
  /** Its bakers work by themselves. */
  crew: boolean;
  /** A place whose door is left open until then; null where none is. */
  door: { place: string; until: Instant } | null;
}

/** What a visitor can break in the demo. */
export const DEMO_BREAKS = ['oven', 'person', 'door'] as const;
export type DemoBreak = (typeof DEMO_BREAKS)[number];
