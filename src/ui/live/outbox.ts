'use client';

import { createStore, del, entries, set } from 'idb-keyval';
import { useSyncExternalStore } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { Answer } from '@/core/floor/answer';
import type { FloorEvent } from '@/core/floor/events';
import { sessionPerson } from './at-tablet';
import { send } from './command';

/** A command of the floor that is no event of a dough: an alarm taken, words left for the next shift. */
export interface FloorCall {
  /** In the order in which they were made. */
  id: string;
  name: 'take-alarm' | 'write-handover' | 'sign-handover';
  input: Record<string, unknown>;
  personId: number;
  at: number;
}

/**
 * What was recorded and is not known to have arrived: kept in the browser's database, so that it outlives a reload, and
 * sent in the order in which it was recorded. The house takes each id once, so a tap whose answer was lost is not
 * counted twice.
 */
type Waiting = ({ event: FloorEvent } | { call: FloorCall }) & {
  /** It could not be sent when it was recorded, so it is sent with its own time. */
  late: boolean;
};

/** What became of something that was sent. */
export type Outcome = Waiting & { answer: Answer };

const AGAIN = 4000;

const held: { store: ReturnType<typeof createStore> | null } = { store: null };
const store = () => (held.store ??= createStore('hefeteig-outbox', 'events'));

/** How many things wait, by who recorded them. */
let waiting: ReadonlyMap<number, number> = new Map();
/** Nobody answered when something was sent last: the line is down, whatever the feed believes. */
let unanswered = false;
const watchers = new Set<() => void>();
const told = new Set<(outcome: Outcome) => void>();
let flushing: Promise<void> | null = null;
let timer: ReturnType<typeof setTimeout> | null = null;

const idOf = (one: Waiting) => ('event' in one ? one.event.id : one.call.id);
const byWhom = (one: Waiting) => ('event' in one ? one.event.personId : one.call.personId);

/** Everything that waits on this tablet, in the order of the taps: ids are made in that order. */
async function all(): Promise<Waiting[]> {
  const kept = (await entries<string, Waiting>(store()))
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([, one]) => one);
  const counts = new Map<number, number>();
  for (const one of kept) counts.set(byWhom(one), (counts.get(byWhom(one)) ?? 0) + 1);
  const same = counts.size === waiting.size && [...counts].every(([id, n]) => waiting.get(id) === n);
  if (!same) {
    waiting = counts;
    for (const watcher of watchers) watcher();
  }
  return kept;
}

const own = (kept: readonly Waiting[]) => kept.filter((one) => byWhom(one) === sessionPerson());

/** Events that wait on this tablet, in order. */
export async function waitingEvents(): Promise<FloorEvent[]> {
  return (await all()).flatMap((one) => ('event' in one ? [one.event] : []));
}

/** Calls that wait on this tablet, in order. */
export async function waitingCalls(): Promise<FloorCall[]> {
  return (await all()).flatMap((one) => ('call' in one ? [one.call] : []));
}

async function put(one: Waiting): Promise<void> {
  await set(idOf(one), one, store());
  await all();
  await flush();
}

/** Keeps an event until it has arrived, and sends what waits. */
export const keep = (event: FloorEvent): Promise<void> => put({ event, late: false });

/** Keeps a call until it has arrived, and sends what waits. Returns it as it is kept. */
export function keepCall(call: Omit<FloorCall, 'id'>): FloorCall {
  const whole = { ...call, id: uuidv7() };
  void put({ call: whole, late: false });
  return whole;
}

/** Tells of everything that is sent from now on; returns how to stop. */
export function onSent(tell: (outcome: Outcome) => void): () => void {
  told.add(tell);
  return () => told.delete(tell);
}

/**
 * Sends what waits for whoever is signed in, one after the other, as long as somebody answers; what others have recorded
 * waits until they are. One run at a time.
 */
export function flush(): Promise<void> {
  const run = async () => {
    for (;;) {
      const [first] = own(await all());
      if (!first) return;
      if (await sendOne(first)) continue;
      await belate();
      return later();
    }
  };
  // What was kept while another run was at its last event is sent by one more run.
  flushing = (flushing ?? Promise.resolve()).then(run, run);
  return flushing;
}

/** True when somebody has answered, whatever the answer was. */
async function sendOne(one: Waiting): Promise<boolean> {
  const answer = await ('event' in one ? sendEvent(one.event, one.late) : sendCall(one.call, one.late));
  const arrived = answer.ok || (answer.status !== 0 && !(answer.status === 401 && one.late));
  const silent = !answer.ok && answer.status === 0;
  if (silent !== unanswered) {
    unanswered = silent;
    for (const watcher of watchers) watcher();
  }
  if (arrived) {
    await del(idOf(one), store());
    await all();
  }
  if (arrived || answer.status === 401) for (const tell of told) tell({ ...one, answer });
  return arrived;
}

function sendEvent({ id, doughId, stepKey, kind, at, ...more }: FloorEvent, late: boolean): Promise<Answer> {
  // What was not said is left out; the house takes the time of what arrives at once.
  const { celsius, text, undoes, data } = more;
  const said = Object.entries({ celsius, text, undoes, data }).filter(([, value]) => value !== null);
  return send('record-event', {
    ...{ id, doughId, stepKey, kind },
    ...Object.fromEntries(said),
    ...(late ? { at } : {}),
  });
}

const sendCall = ({ name, input, at }: FloorCall, late: boolean): Promise<Answer> =>
  send(name, late ? { ...input, at } : input);

/** What has not arrived by now is sent with the time at which it was recorded. */
async function belate(): Promise<void> {
  for (const one of await all()) if (!one.late) await set(idOf(one), { ...one, late: true }, store());
}

function later(): void {
  timer ??= setTimeout(() => {
    timer = null;
    void flush();
  }, AGAIN);
}

/** Calls `watcher` when something is kept or has gone; returns how to stop. */
export function onWaiting(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

const NONE: ReadonlyMap<number, number> = new Map();

/** How many things wait on this tablet, by who recorded them. */
export function useWaiting(): ReadonlyMap<number, number> {
  return useSyncExternalStore(
    onWaiting,
    () => waiting,
    () => NONE,
  );
}

/** True when what was sent last was not answered. */
export function useUnanswered(): boolean {
  return useSyncExternalStore(
    onWaiting,
    () => unanswered,
    () => false,
  );
}
