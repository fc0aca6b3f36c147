'use client';

import { createStore, del, entries, set } from 'idb-keyval';
import { useSyncExternalStore } from 'react';
import type { Answer } from '@/core/floor/answer';
import type { FloorEvent } from '@/core/floor/events';
import { send } from './command';

/**
 * What was recorded and is not known to have arrived: kept in the browser's database, so that it outlives a reload, and
 * sent in the order in which it was recorded. The house takes each id once, so a tap whose answer was lost is not
 * counted twice.
 */
interface Waiting {
  event: FloorEvent;
  /** It could not be sent when it was recorded, so it is sent with its own time. */
  late: boolean;
}

/** What became of one event that was sent. */
export type Outcome = { event: FloorEvent; late: boolean; answer: Answer };

const AGAIN = 4000;

const held: { store: ReturnType<typeof createStore> | null } = { store: null };
const store = () => (held.store ??= createStore('hefeteig-outbox', 'events'));

let waiting = 0;
/** Nobody answered when something was sent last: the line is down, whatever the feed believes. */
let unanswered = false;
const watchers = new Set<() => void>();
const told = new Set<(outcome: Outcome) => void>();
let flushing: Promise<void> | null = null;
let timer: ReturnType<typeof setTimeout> | null = null;

function count(now: number): void {
  waiting = now;
  for (const watcher of watchers) watcher();
}

/** Ids are made in the order of the taps, so the keys are in that order too. */
async function all(personId: number): Promise<Waiting[]> {
  const kept = await entries<string, Waiting>(store());
  count(kept.length);
  return kept
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([, one]) => one)
    .filter(({ event }) => event.personId === personId);
}

/** Events of a person that wait on this tablet, in order. */
export async function waitingOf(personId: number): Promise<FloorEvent[]> {
  return (await all(personId)).map(({ event }) => event);
}

/** Keeps an event until it has arrived, and sends what waits. */
export async function keep(event: FloorEvent): Promise<void> {
  await set(event.id, { event, late: false } satisfies Waiting, store());
  count(waiting + 1);
  await flush(event.personId);
}

/** Tells of everything that is sent from now on; returns how to stop. */
export function onSent(tell: (outcome: Outcome) => void): () => void {
  told.add(tell);
  return () => told.delete(tell);
}

/** Sends what waits for a person, one after the other, as long as somebody answers. One run at a time. */
export function flush(personId: number): Promise<void> {
  const run = async () => {
    for (;;) {
      const [first] = await all(personId);
      if (!first) return;
      if (await sendOne(first)) continue;
      await belate(personId);
      return later(personId);
    }
  };
  // What was kept while another run was at its last event is sent by one more run.
  flushing = (flushing ?? Promise.resolve()).then(run, run);
  return flushing;
}

/** True when somebody has answered, whatever the answer was. */
async function sendOne({ event, late }: Waiting): Promise<boolean> {
  const { id, doughId, stepKey, kind, at, celsius, text, undoes, data } = event;
  // What was not said is left out; the house takes the time of what arrives at once.
  const said = Object.entries({ celsius, text, undoes, data }).filter(([, value]) => value !== null);
  const answer = await send('record-event', {
    id,
    doughId,
    stepKey,
    kind,
    ...Object.fromEntries(said),
    ...(late ? { at } : {}),
  });
  const arrived = answer.ok || (answer.status !== 0 && !(answer.status === 401 && late));
  unanswered = !answer.ok && answer.status === 0;
  if (arrived) await del(event.id, store());
  if (arrived || answer.status === 401) for (const tell of told) tell({ event, late, answer });
  return arrived;
}

/** What has not arrived by now is sent with the time at which it was recorded. */
async function belate(personId: number): Promise<void> {
  for (const { event, late } of await all(personId))
    if (!late) await set(event.id, { event, late: true } satisfies Waiting, store());
}

function later(personId: number): void {
  timer ??= setTimeout(() => {
    timer = null;
    void flush(personId);
  }, AGAIN);
}

function watch(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** How many events wait on this tablet. */
export function useWaiting(): number {
  return useSyncExternalStore(
    watch,
    () => waiting,
    () => 0,
  );
}

/** True when what was sent last was not answered. */
export function useUnanswered(): boolean {
  return useSyncExternalStore(
    watch,
    () => unanswered,
    () => false,
  );
}
