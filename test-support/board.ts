import { NO_CALLS, type Board } from '@/core/wire/board';
import { ROLLING } from './rolling';

const right = { ratio: 1, spread: 0.1, bakes: 0 };

/** A board of a bakery that has nothing yet, and what a test gives it. */
export const boardOf = (more: Partial<Board> = {}): Board => ({
  house: { name: 'Backhaus Lindenried', zone: 'UTC' },
  ...{ people: [], machines: [], presences: [], places: [], coreProbes: [], doughs: [], today: {} },
  ...{ rolling: ROLLING, scale: null, calls: NO_CALLS },
  rooms: [],
  decks: { oven: { count: 1, perDeck: 9, whole: right, each: [right] } },
  ...more,
});
