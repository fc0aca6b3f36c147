import type Joi from 'joi';
import type { Pool, PoolConnection } from 'mysql2/promise';
import type { Coded } from '@/core/codes/coded';
import type { Person } from '@/core/bakery/people';
import type { Language } from '@/words/message';

/** What a refused command tells the person: a sentence, the field it belongs to, and what could be done instead. */
export class Refusal extends Error {
  constructor(
    readonly words: Coded | string,
    readonly field: string | null = null,
    readonly offer: Record<string, unknown> | null = null,
  ) {
    super(typeof words === 'string' ? words : words.code);
  }
}

/** What was worked out no longer fits the plan that stands; it is worked out anew. */
export class StaleBasis extends Error {}

/** Who gives a command, and when. */
interface Giver {
  person: Person;
  /** What the house's clock shows. */
  now: number;
  /** The session it comes from; null where no page sent it. */
  sessionId: number | null;
  /** What they read. */
  language: Language;
}

export interface CommandContext extends Giver {
  db: PoolConnection;
  /**
   * Writes down that something of the house was changed: what, as it was, as it is now. Nothing is written where both are
   * the same.
   */
  audit: (subject: Coded, was: object | null, becomes: object | null) => Promise<void>;
}

/** What a search has: connections, but no transaction, so that it holds nothing while it looks. */
export interface SearchContext extends Giver {
  db: Pool;
  /** Somebody who waits, and may be told how far it is or say that it is enough. */
  live?: Live;
}

/** A line to somebody who waits for a long command. */
export interface Live {
  /** The plan's points so far, and how many promises are late in it. */
  onBetter: (points: number, late: number) => void;
  /** How many searches are before this one; 0 when it begins. */
  onQueue: (before: number) => void;
  /** Ends the search with the best so far. */
  signal: AbortSignal;
}

/**
 * One way to change something. `run` is inside a transaction; what it throws leaves nothing behind, and it may run more
 * than once. What takes long goes into `search`, which reads and writes nothing down; `run` then checks what was found
 * against the plan that stands, under its lock, and throws `StaleBasis` where it does not fit any more.
 */
export interface Command<Input, Output, Found = undefined> {
  name: string;
  schema: Joi.ObjectSchema<Input>;
  search?(context: SearchContext, input: Input): Promise<Found>;
  run(context: CommandContext, input: Input, found: Found): Promise<Output>;
  /** The dough that the change feed names. */
  doughOf(input: Input, output: Output): number | null;
  /** It touches nothing that others see: no other tablet is told to look. */
  apart?: true;
  /** Its answer is a secret that is told once: it is not kept, and a repeat is told only that it was done. */
  toldOnce?: true;
  /** The event of the floor that it recorded, if it did. */
  eventOf?(output: Output): string | null;
}

/** Keeps a command's types together where it is written down. */
export function command<Input, Output, Found = undefined>(
  definition: Command<Input, Output, Found>,
): Command<Input, Output, Found> {
  return definition;
}
