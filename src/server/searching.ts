import { coded } from '@/core/codes/coded';
import { setTimeout as pause } from 'node:timers/promises';
import { v4 as uuidv4 } from 'uuid';
import { Refusal, type SearchContext } from './commands/command';
import { type Db } from './db/rows';
import { log } from './log';
import { PlannerLost } from './planner';
import { endLease, keepLease, searcher, takeLease } from './store/search-lease';

/** Searches that may wait in one process, and how long they wait, ms: longer where somebody is told how far it is. */
const MOST_WAITING = 12;
const PATIENCE = { told: 150_000, untold: 15_000 };
const RENEW_EVERY = 4_000;
const ASK_EVERY = 200;

interface Waiting {
  begin: () => void;
  onMove: (before: number) => void;
}

/** Who searches in this process, and who waits for it. */
interface Line {
  busy: boolean;
  waiting: Waiting[];
}
const held = globalThis as { hefeteigSearches?: Line };
const line = (): Line => (held.hefeteigSearches ??= { busy: false, waiting: [] });

/**
 * Runs a search: one per house at a time, in the order in which they were asked for, the others wait. It holds no
 * transaction, lock or connection while it runs or waits.
 *
 * @throws {Refusal} where too many wait, where it takes too long to come to it, and where the planner was lost
 */
export async function searching<T>(
  context: Pick<SearchContext, 'db' | 'person' | 'live'>,
  work: () => Promise<T>,
): Promise<T> {
  const { live, db, person } = context;
  const until = Date.now() + (live ? PATIENCE.told : PATIENCE.untold);
  await turn(live?.onQueue, until);
  const holder = uuidv4();
  let renewal: NodeJS.Timeout | undefined;
  try {
    await lease(db, holder, { person: person.name, until, onQueue: live?.onQueue });
    renewal = setInterval(() => {
      renew(db, holder).catch((error: unknown) => log.warn({ err: error }, 'search lease not renewed'));
    }, RENEW_EVERY);
    live?.onQueue(0);
    return await work();
  } catch (error) {
    if (error instanceof PlannerLost)
      throw new Refusal(coded('refusals.thePlannerWasInterruptedNothingChanged'));
    throw error;
  } finally {
    clearInterval(renewal);
    // Where that fails it ends by itself, some seconds later.
    await release(db, holder).catch((error: unknown) =>
      log.warn({ err: error }, 'search lease not released'),
    );
    next();
  }
}

const tooLong = (who?: string) =>
  new Refusal(
    coded('refusals.tryAgainInAMomentNothing', {
      part: who
        ? coded('refusals.isHavingAPlanWorkedOut', { who })
        : coded('refusals.otherPlansAreBeingWorkedOut'),
    }),
  );

/** Waits until this process has no search before this one. */
async function turn(onQueue: ((before: number) => void) | undefined, until: number): Promise<void> {
  const own = line();
  if (!own.busy) {
    own.busy = true;
    return;
  }
  if (own.waiting.length >= MOST_WAITING) throw tooLong();
  await new Promise<void>((resolve, reject) => {
    const waiting: Waiting = {
      begin: () => {
        clearTimeout(timer);
        resolve();
      },
      onMove: (before) => onQueue?.(before),
    };
    const timer = setTimeout(() => {
      own.waiting = own.waiting.filter((one) => one !== waiting);
      reject(tooLong());
    }, until - Date.now());
    own.waiting.push(waiting);
    waiting.onMove(own.waiting.length);
  });
}

/** Lets the next one of this process begin. */
function next(): void {
  const own = line();
  const first = own.waiting.shift();
  own.waiting.forEach(({ onMove }, i) => onMove(i + 1));
  if (first) first.begin();
  else own.busy = false;
}

/** Waits until no other process of the house searches. */
async function lease(
  db: Db,
  holder: string,
  {
    person,
    until,
    onQueue,
  }: { person: string; until: number; onQueue: ((before: number) => void) | undefined },
): Promise<void> {
  for (;;) {
    const { touched } = await takeLease(db, holder, person);
    if (touched === 1) return;
    onQueue?.(1);
    if (Date.now() > until) {
      const other = await searcher(db);
      throw tooLong(other?.person);
    }
    await pause(ASK_EVERY);
  }
}

async function renew(db: Db, holder: string): Promise<void> {
  await keepLease(db, holder);
}

async function release(db: Db, holder: string): Promise<void> {
  await endLease(db, holder);
}
