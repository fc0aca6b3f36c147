'use client';

import { createStore, del, entries, set } from 'idb-keyval';
import { useSyncExternalStore } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { type Answer, type Fate, fateOf, isOpen } from '@/core/wire/answer';
import type { FloorEvent } from '@/core/record/events';
import { ask } from './ask';
import { recordedBy, type Recorder } from './at-tablet';
import { noAnswer } from './command';
import { sayHere } from './say-here';
import { oneTabAtATime, pauseBefore } from './pace';
import { putAside } from './refused';

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
export type Waiting = ({ event: FloorEvent } | { call: FloorCall }) & {
  /** It could not be sent when it was recorded, so it is sent with its own time. */
  late: boolean;
  /** The session in which it was recorded, or by whose PIN it was confirmed since; 0: nobody's yet. */
  sessionId: number;
  /** What it is, for whoever has to confirm it or reads why it was refused: "Crescent 39, mix: started". */
  about: string;
  /** Since when the house itself has answered, each time, that it cannot do it, by this tablet's clock. */
  failing?: number;
};

/** What became of something that was sent. */
export type Outcome = Waiting & { answer: Answer };

/**
 * After how long, ms, something that the house reads and cannot do lets others go first: those of other doughs, so that
 * of each dough the order is kept. Longer than a house is away for a restart or a repair: until then all wait in order.
 */
const HOLDS_UP = 10 * 60_000;

const held: { store: ReturnType<typeof createStore> | null } = { store: null };
const store = () => (held.store ??= createStore('hefeteig-outbox', 'events'));

/** How many things wait, by who recorded them. */
let waiting: ReadonlyMap<number, number> = new Map();
/** What was sent last was not answered as the house answers: the line is down, whatever the feed believes. */
let unanswered = false;
/** Somebody else is signed in on this tablet than this page was made for. */
let elsewhere = false;
/** Tries in a row that came to nothing. */
let failures = 0;
const watchers = new Set<() => void>();
const told = new Set<(outcome: Outcome) => void>();
let flushing: Promise<void> | null = null;
let timer: ReturnType<typeof setTimeout> | null = null;

export const idOf = (one: Waiting) => ('event' in one ? one.event.id : one.call.id);
export const byWhom = (one: Waiting) => ('event' in one ? one.event.personId : one.call.personId);
/** What keeps its order: the taps of one dough, and all calls of one kind. */
const orderOf = (one: Waiting) => ('event' in one ? one.event.doughId : one.call.name);
export const whenOf = (one: Waiting) => ('event' in one ? one.event.at : one.call.at);

const changed = () => {
  for (const watcher of watchers) watcher();
};

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
    changed();
  }
  return kept;
}

/**
 * What may be sent now: recorded in the session of this page, or confirmed in it. What came before it and still waits for
 * the same person's PIN goes first, so that a step is not ended before it was begun.
 */
function own(kept: readonly Waiting[]): Waiting[] {
  const session = recordedBy();
  const theirs = kept.filter((one) => byWhom(one) === session?.personId);
  const unconfirmed = theirs.findIndex((one) => one.sessionId !== session?.sessionId);
  return unconfirmed < 0 ? theirs : theirs.slice(0, unconfirmed);
}

/** Events that wait on this tablet, in order. */
export async function waitingEvents(): Promise<FloorEvent[]> {
  return (await all()).flatMap((one) => ('event' in one ? [one.event] : []));
}

/** Calls that wait on this tablet, in order. */
export async function waitingCalls(): Promise<FloorCall[]> {
  return (await all()).flatMap((one) => ('call' in one ? [one.call] : []));
}

/** What waits for somebody's PIN: recorded under their name, in no session that is open on this page. */
export async function unconfirmedOf(personId: number): Promise<Waiting[]> {
  const session = recordedBy();
  return (await all()).filter(
    (one) =>
      byWhom(one) === personId && (session?.personId !== personId || one.sessionId !== session.sessionId),
  );
}

/**
 * Somebody has given their PIN: what waits under their name is sent in that session from now on, but for what they say
 * is not theirs.
 */
export async function confirm(
  personId: number,
  sessionId: number,
  notTheirs: readonly string[],
): Promise<void> {
  for (const one of await all()) {
    if (byWhom(one) !== personId || one.sessionId === sessionId) continue;
    if (notTheirs.includes(idOf(one))) {
      await aside(one, sayHere('live.notConfirmed'));
      await del(idOf(one), store());
    } else await set(idOf(one), { ...one, sessionId, late: true }, store());
  }
  await all();
}

const aside = (one: Waiting, message: string): Promise<void> =>
  putAside({ id: idOf(one), personId: byWhom(one), at: whenOf(one), about: one.about, message });

async function put(one: Waiting): Promise<void> {
  await set(idOf(one), one, store());
  await all();
  await flush();
}

/** The session of this page, where it is of whoever recorded something; 0 for somebody who went on by name. */
function sessionOf(personId: number): number {
  const session = recordedBy();
  return session?.personId === personId ? session.sessionId : 0;
}

/**
 * Keeps an event until it has arrived, and sends what waits.
 *
 * @param late - it happened earlier than now, so its own time is sent with it
 */
export const keep = (event: FloorEvent, about = '', late = false): Promise<void> =>
  put({ event, late, sessionId: sessionOf(event.personId), about });

/** Keeps a call until it has arrived, and sends what waits. Returns it as it is kept. */
export function keepCall(call: Omit<FloorCall, 'id'>, about = ''): FloorCall {
  const whole = { ...call, id: uuidv7() };
  void put({ call: whole, late: false, sessionId: sessionOf(call.personId), about });
  return whole;
}

/** Tells of everything that is sent from now on; returns how to stop. */
export function onSent(tell: (outcome: Outcome) => void): () => void {
  told.add(tell);
  return () => told.delete(tell);
}

/**
 * Sends what waits for whoever is signed in, one after the other, and lets go of each when it is stored or refused for
 * good. What others have recorded waits until they are here. One run at a time, in all tabs of the tablet together.
 */
export function flush(): Promise<void> {
  const run = () => oneTabAtATime('hefeteig-outbox', sendAll);
  // What was kept while another run was at its last event is sent by one more run.
  flushing = (flushing ?? Promise.resolve()).then(run, run);
  return flushing;
}

async function sendAll(): Promise<void> {
  const heldUp = new Set<ReturnType<typeof orderOf>>();
  for (;;) {
    const first = own(await all()).find((one) => !heldUp.has(orderOf(one)));
    if (!first) return heldUp.size > 0 ? later() : settle();
    const fate = await sendOne(first);
    if (fate === 'stored' || fate === 'refused') continue;
    await belate();
    const now = Date.now();
    if (fate === 'failed' && !first.failing)
      await set(idOf(first), { ...first, late: true, failing: now }, store());
    if (fate !== 'failed' || now - (first.failing ?? now) < HOLDS_UP) return later();
    heldUp.add(orderOf(first));
  }
}

/** Nothing of this page waits, whoever has sent it: there is nothing that nobody answers. */
function settle(): void {
  failures = 0;
  if (!unanswered) return;
  unanswered = false;
  changed();
}

async function sendOne(one: Waiting): Promise<Fate> {
  const body = await ('event' in one ? sendEvent(one) : sendCall(one));
  const fate = fateOf(body, idOf(one));
  const answer = isOpen(fate) ? noAnswer() : (body as Answer);
  failures = isOpen(fate) ? failures + 1 : 0;
  const signs = [isOpen(fate), !answer.ok && answer.status === 409] as const;
  if (signs[0] !== unanswered || signs[1] !== elsewhere) {
    [unanswered, elsewhere] = signs;
    changed();
  }
  if (fate === 'refused' && !answer.ok) await aside(one, answer.message);
  if (fate === 'stored' || fate === 'refused') {
    await del(idOf(one), store());
    await all();
  }
  if (!isOpen(fate)) for (const tell of told) tell({ ...one, answer });
  return fate;
}

function sendEvent(one: Extract<Waiting, { event: FloorEvent }>): Promise<unknown> {
  const { id, doughId, stepKey, kind, at, celsius, text, undoes, data } = one.event;
  // What was not said is left out; the house takes the time of what arrives at once.
  const said = Object.entries({ celsius, text, undoes, data }).filter(([, value]) => value !== null);
  const body = {
    ...{ id, doughId, stepKey, kind },
    ...Object.fromEntries(said),
    ...(one.late ? { at } : {}),
  };
  return ask('/api/commands/record-event', { body, key: id, by: recorder(one) });
}

function sendCall(one: Extract<Waiting, { call: FloorCall }>): Promise<unknown> {
  const { id, name, input, at } = one.call;
  const body = one.late ? { ...input, at } : input;
  return ask(`/api/commands/${name}`, { body, key: id, by: recorder(one) });
}

const recorder = (one: Waiting) => ({ personId: byWhom(one), sessionId: one.sessionId });

/** Tells who is signed in on this tablet now: somebody else, where another tab has let them in. */
export function seeSession({ personId, sessionId }: Recorder): void {
  const own = recordedBy();
  const other = own !== null && (own.personId !== personId || own.sessionId !== sessionId);
  if (other === elsewhere) return;
  elsewhere = other;
  changed();
}

/** What has not arrived by now is sent with the time at which it was recorded. */
async function belate(): Promise<void> {
  for (const one of await all()) if (!one.late) await set(idOf(one), { ...one, late: true }, store());
}

function later(): void {
  timer ??= setTimeout(() => {
    timer = null;
    void flush();
  }, pauseBefore(failures));
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

/** True when the house has said that somebody else is signed in on this tablet. */
export function useElsewhere(): boolean {
  return useSyncExternalStore(
    onWaiting,
    () => elsewhere,
    () => false,
  );
}
