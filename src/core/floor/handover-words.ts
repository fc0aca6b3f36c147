import type { Instant } from '../time/local';

/** What one shift says to the next, and who has signed that they read it. */
export interface HandoverWords {
  id: number;
  at: Instant;
  by: string;
  words: string;
  readBy: string[];
}
