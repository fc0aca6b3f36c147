import type { Marked } from './marks';
import type { MixChange } from '../formula/actual';
import type { Fold } from '../lamination/stack';
import type { Verdict } from '../learning/verdicts';
import type { Instant } from '../time/local';

/** What can happen to a step on the floor. `undo` takes another event back; an undo can itself be undone. */
export const FLOOR_EVENT_KINDS = [
  ...(['start', 'finish', 'skip', 'temperature', 'note', 'undo'] as const),
  /** How a rise looked; whether a levain, sponge or yeast is alive; what went into the bowl and how warm it was. */
  ...(['verdict', 'alive', 'conditions', 'mix'] as const),
  /** Folds given to a block; a check by hand; pieces weighed; trimmings and what became of them. */
  ...(['turn', 'check', 'weigh', 'scrap'] as const),
  /** Pieces counted after the bake. */
  'count',
  /** Marks and faults of a finished output. */
  'marks',
  /** Somebody says that they will do a step. */
  'take',
  /** A probe's needle put into a dough that waits, or taken out; a dough that waits put somewhere else. */
  ...(['needle', 'move'] as const),
  /** On which decks of the oven a load is. */
  'deck',
] as const;
export type FloorEventKind = (typeof FLOOR_EVENT_KINDS)[number];

/** Is it alive: ready, look again in some minutes, start anew, or yeast added. */
export interface AliveAnswer {
  kind: 'alive';
  answer: 'ready' | 'wait' | 'anew' | 'add-yeast';
  sign: string | null;
  /** `wait`: look again after these. */
  minutes?: number;
  /** `add-yeast`: grams of the formula's yeast, or of instant where it has none. */
  grams?: number;
}

/** Temperatures at the bowl, °C, and the ice that went in, kg: one bowl of them. */
export interface MixConditions {
  kind: 'conditions';
  flour: number;
  room: number;
  liquid: number;
  iceKg: number;
}

/** Folds that were really given during a turn, to one block (counted from 1) or to all. */
export interface Turned {
  kind: 'turned';
  block: number | null;
  folds: Fold[];
  /** How many of the scheme's next turns were given at the same go. */
  covers: number;
  /** It was the last block: the turn is over with it. One fact, so that neither half of it can be lost. */
  ends: boolean;
}

/** Butter bent in the hand, a dough that was pressed, rolled or drawn thin: what it did, and when to look again. */
export interface HandCheck {
  kind: 'checked';
  check: 'bend' | 'spring' | 'bake' | 'window';
  answer: 'good' | 'snaps' | 'smears' | 'springs' | 'butter-shows' | 'longer' | 'tears';
  /** Minutes until the next look, where it was not good. */
  minutes: number;
}

/** Some divided pieces on the scale together. */
export interface PiecesWeighed {
  kind: 'pieces';
  count: number;
  grams: number;
}

export const SCRAP_USES = ['loaf', 'swirls', 'share', 'waste'] as const;
/** Rolled loaf, tin swirls, a share of the next dough, or waste. */
export type ScrapUse = (typeof SCRAP_USES)[number];

/** Trimmings of a dough, and what they are for. */
export interface Scrap {
  kind: 'scrap';
  grams: number;
  how: 'weighed' | 'estimated';
  use: ScrapUse;
}

/** Trimmings of an earlier dough that went into this one. */
export interface ScrapTaken {
  kind: 'scrap-taken';
  from: number;
  grams: number;
}

/** Pieces that came out good, as seconds and as waste. */
export interface Counted {
  kind: 'counted';
  good: number;
  second: number;
  waste: number;
}

/** A needle is in the dough from now on; null: none is any more. */
export interface NeedleIn {
  kind: 'needle';
  needle: string | null;
}

/** Where a dough that waits stands from now on: the place of the house, and which of its shelves, counted from 1. */
export interface Moved {
  kind: 'moved';
  place: string;
  shelf?: number;
}

/** A load is on these decks of the oven, counted from 1. */
export interface OnDecks {
  kind: 'decks';
  decks: number[];
}

/** What the floor records for itself; a state keeps it in order. */
export type FloorRecord = Turned | HandCheck | PiecesWeighed | Scrap | ScrapTaken | Counted | Marked;

/** What an event carries beyond who, when and where; by its own kind. */
export type EventData =
  | { kind: 'verdict'; verdict: Verdict }
  | AliveAnswer
  | MixConditions
  | MixChange
  | NeedleIn
  | Moved
  | OnDecks
  | FloorRecord;

/**
 * One fact: who, when, what. `id` is made where it was recorded, so that sending it twice changes nothing; ids of one
 * tablet sort by when they were made, which tells the order of what happened in one moment.
 */
export interface FloorEvent {
  id: string;
  doughId: number;
  /** Null for a note on the whole dough. */
  stepKey: string | null;
  kind: FloorEventKind;
  at: Instant;
  personId: number;
  celsius: number | null;
  /** The words of a note, or the reason of a skip. */
  text: string | null;
  undoes: string | null;
  data: EventData | null;
  /** When the server received what had waited on a tablet; left out for what arrived at once. */
  receivedAt?: Instant;
}

/**
 * The events that count, in the order in which they happened: repeats once, what was undone left out.
 * The order of arrival does not matter: events are ordered by time, at one and the same moment an undo after what it
 * undoes, and then by id; an undo reaches only events before it in that order.
 */
export function effectiveEvents(events: readonly FloorEvent[]): FloorEvent[] {
  const unique = [...new Map(events.map((event) => [event.id, event])).values()];
  const byId = new Map(unique.map((event) => [event.id, event]));
  const ordered = unique
    .map((event) => ({ event, depth: undoDepth(event, byId) }))
    .sort((a, b) => a.event.at - b.event.at || a.depth - b.depth || (a.event.id < b.event.id ? -1 : 1))
    .map(({ event }) => event);
  const undone = new Set<string>();
  const counting: FloorEvent[] = [];
  for (const event of ordered.reverse()) {
    if (undone.has(event.id)) continue;
    if (event.kind === 'undo' && event.undoes !== null) undone.add(event.undoes);
    else counting.push(event);
  }
  return counting.reverse();
}

/**
 * The latest event of a person that counts and can be taken back. Of several at one moment it is the one recorded
 * last, so `events` come in the order of recording.
 */
export function lastUndoable(events: readonly FloorEvent[], personId: number): FloorEvent | null {
  const counting = new Set(effectiveEvents(events).map(({ id }) => id));
  const own = events.filter((event) => event.personId === personId && counting.has(event.id));
  return own.reduce<FloorEvent | null>((last, event) => (last && last.at > event.at ? last : event), null);
}

/** 0 for what happened, 1 for an undo of it, 2 for an undo of that undo, and so on; circles end. */
function undoDepth(event: FloorEvent, byId: ReadonlyMap<string, FloorEvent>): number {
  const seen = new Set<string>();
  let depth = 0;
  for (let at: FloorEvent | undefined = event; at?.kind === 'undo' && !seen.has(at.id); depth++) {
    seen.add(at.id);
    at = at.undoes === null ? undefined : byId.get(at.undoes);
  }
  return depth;
}
