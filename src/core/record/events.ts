import type { BatchMarks } from './marks';
import type { MixChange } from '../formula/actual';
import type { Fold } from '../lamination/stack';
import type { Verdict } from '../learning/verdicts';
import type { Instant } from '../time/local';

/** How a rise looked. */
export interface RiseVerdict {
  kind: 'verdict';
  verdict: Verdict;
}

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
export interface FoldRecord {
  kind: 'turned';
  block: number | null;
  folds: Fold[];
  /** How many of the scheme's next turns were given at the same go. */
  covers: number;
  /** It was the last block: the turn is over with it. One fact, so that neither half of it can be lost. */
  ends: boolean;
}

/** What can be found at each check by hand, beside that all is well. */
export const CHECK_ANSWERS = {
  bend: ['snaps', 'smears'],
  spring: ['springs', 'butter-shows'],
  bake: ['longer'],
  window: ['tears'],
  /** Flour brushed off before a fold. */
  flour: ['floury'],
  /** The final sheet against the ruler. */
  sheet: ['uneven', 'shrank'],
  /** How pieces were rolled up. */
  roll: ['tight', 'loose', 'open-seam'],
  /** How they were filled. */
  fill: ['overfilled', 'unsealed'],
  cover: ['uncovered'],
  wash: ['missed', 'heavy'],
  /** Whether the oven bakes all spots alike. */
  spots: ['hot-spot'],
} as const;
export type CheckName = keyof typeof CHECK_ANSWERS;
export type CheckAnswer = 'good' | (typeof CHECK_ANSWERS)[CheckName][number];

/** Butter bent in the hand, a dough that was pressed, rolled or drawn thin: what it did, and when to look again. */
export interface HandCheck {
  kind: 'checked';
  check: CheckName;
  answer: CheckAnswer;
  /** Minutes until the next look, where it was not good. */
  minutes: number;
}

/** Some divided pieces on the scale together. */
export interface PieceWeight {
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
export interface TrimmingsReuse {
  kind: 'scrap-taken';
  from: number;
  grams: number;
}

/** Pieces that came out good, as seconds and as waste. */
export interface PieceCount {
  kind: 'counted';
  good: number;
  second: number;
  waste: number;
}

/** A core probe is in the dough from now on; null: none is any more. */
export interface ProbePlacement {
  kind: 'probed';
  probe: string | null;
}

/** Where a dough that waits stands from now on: the place of the house, and which of its shelves, counted from 1. */
export interface PlaceChange {
  kind: 'moved';
  place: string;
  shelf?: number;
}

/**
 * A load is on these decks of an oven, counted from 1; of the planned one where none is named. Without decks it is in that
 * oven, and nobody has said where.
 */
export interface DeckChoice {
  kind: 'decks';
  oven?: string;
  decks: number[];
}

/** Shaped pieces that went into the freezer, whatever was planned: so many of this step's load, and where they are. */
export interface PiecesFrozen {
  kind: 'frozen';
  pieces: number;
  /** Which trays, bag or shelf, in the words of whoever put them there. */
  where?: string;
}

/** What was lost or spoilt: the whole dough (`output` null), all pieces of an output (`pieces` null), or some of them. */
export interface LossRecord {
  kind: 'lost';
  output: number | null;
  pieces: number | null;
}

/** What the floor records for itself; a state keeps it in order. */
export type FloorRecord =
  FoldRecord | HandCheck | PieceWeight | Scrap | TrimmingsReuse | PieceCount | BatchMarks;

/** What an event carries in its data; by its own kind. */
export type EventData =
  | RiseVerdict
  | AliveAnswer
  | MixConditions
  | MixChange
  | ProbePlacement
  | PlaceChange
  | DeckChoice
  | LossRecord
  | PiecesFrozen
  | FloorRecord;

/**
 * What each kind of event carries beyond who, when and where. A new kind begins here: the compiler then names what else has
 * to know of it (`EVENT_KINDS`, its schema at the door, its words).
 */
interface Payloads {
  take: object;
  start: object;
  finish: object;
  /** Why it is left out. */
  skip: { text: string };
  note: { text: string };
  temperature: { celsius: number };
  /** Takes another event back; an undo can itself be undone. */
  undo: { undoes: string };
  verdict: { data: RiseVerdict };
  alive: { data: AliveAnswer };
  conditions: { data: MixConditions };
  mix: { data: MixChange };
  turn: { data: FoldRecord };
  check: { data: HandCheck };
  weigh: { data: PieceWeight };
  scrap: { data: Scrap | TrimmingsReuse };
  count: { data: PieceCount };
  marks: { data: BatchMarks };
  probe: { data: ProbePlacement };
  move: { data: PlaceChange };
  deck: { data: DeckChoice };
  /** Of the whole dough, not of a step; with why. */
  lost: { text: string; data: LossRecord };
  /** Of the whole dough: what is open of it is over, and nobody recorded how it went. */
  close: object;
  bag: { data: PiecesFrozen };
}

export type FloorEventKind = keyof Payloads;

/** What is recorded, without who, when and where. */
export type EventBody = { [Kind in FloorEventKind]: { kind: Kind } & Payloads[Kind] }[FloorEventKind];

/** What is recorded of a step; of the whole dough where `stepKey` is null. */
export type Recording = EventBody & { doughId: number; stepKey: string | null };

interface EventHead {
  /**
   * Made where it was recorded, so that sending it twice changes nothing; ids of one tablet sort by when they were made,
   * which tells the order of what happened in one moment.
   */
  id: string;
  doughId: number;
  /** Null for what is recorded of the whole dough: a note, a loss. */
  stepKey: string | null;
  at: Instant;
  personId: number;
  /** When the server received what had waited on a tablet; left out for what arrived at once. */
  receivedAt?: Instant;
}

/** What an event has in its place that does not carry it. */
interface CarriesNothing {
  celsius: null;
  text: null;
  undoes: null;
  data: null;
}

/** A fact of one kind: who, when, what. */
export type EventOf<Kind extends FloorEventKind> = EventHead & {
  kind: Kind;
} & Omit<CarriesNothing, keyof Payloads[Kind]> &
  Payloads[Kind];

/** One fact: who, when, what. */
export type FloorEvent = { [Kind in FloorEventKind]: EventOf<Kind> }[FloorEventKind];

/** An event as it lies in a row of the log. */
export interface FlatEvent extends EventHead {
  kind: FloorEventKind;
  celsius: number | null;
  text: string | null;
  undoes: string | null;
  data: EventData | null;
}

/** Reads a row as an event of its kind: what it carries was checked before it was recorded. */
export const eventOf = (row: FlatEvent): FloorEvent => row as FloorEvent;
