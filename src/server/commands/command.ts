import type Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import type { Person } from '@/core/floor/board';

/** What a refused command tells the person: a sentence, the field it belongs to, and what could be done instead. */
export class Refusal extends Error {
  constructor(
    message: string,
    readonly field: string | null = null,
    readonly offer: Record<string, unknown> | null = null,
  ) {
    super(message);
  }
}

export interface CommandContext {
  db: PoolConnection;
  person: Person;
  /** What the house's clock shows. */
  now: number;
  /** Somebody who waits, and may be told how far it is or say that it is enough. */
  live?: Live;
}

/** A line to somebody who waits for a long command. */
export interface Live {
  /** The plan's points so far, and how many promises are late in it. */
  onBetter: (points: number, late: number) => void;
  /** Ends the search with the best so far. */
  signal: AbortSignal;
}

/** One way to change something. `run` is inside a transaction; what it throws leaves nothing behind. */
export interface Command<Input, Output> {
  name: string;
  schema: Joi.ObjectSchema<Input>;
  roles: readonly Person['role'][];
  run(context: CommandContext, input: Input): Promise<Output>;
  /** The dough that the change feed names. */
  doughOf(input: Input, output: Output): number | null;
}

/** Keeps a command's types together where it is written down. */
export function command<Input, Output>(definition: Command<Input, Output>): Command<Input, Output> {
  return definition;
}
