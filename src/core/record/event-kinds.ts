import { MINUTE, type Instant } from '../time/local';
import type { EventData, EventOf, FloorEvent, FloorEventKind } from './events';
import type { StepState } from './step-state';

/** Kinds of data that an event of a kind can carry; none for one that carries none. */
type DataKinds<Kind extends FloorEventKind> =
  EventOf<Kind> extends { data: infer Data } ? (Data extends { kind: infer Name } ? Name : never) : never;

/** What a kind of event means: who may record it, what data it carries, and what it folds to. */
interface EventKind<Kind extends FloorEventKind> {
  /** `crew`: also a helper, who ticks, measures and takes back, and does not judge or leave out. */
  may: 'crew' | 'bakers';
  data: readonly DataKinds<Kind>[];
  /** It says that work began or ended, or takes that back: a plan that was worked out before does not know of it. */
  moves?: true;
  fold: (state: StepState, event: EventOf<Kind>) => void;
}

/** The one table of all kinds of events. */
export const EVENT_KINDS: { readonly [Kind in FloorEventKind]: EventKind<Kind> } = {
  take: {
    ...{ may: 'crew', data: [] },
    fold: (state, { personId }) => void (state.takenBy = personId),
  },
  start: {
    ...{ may: 'crew', data: [], moves: true },
    fold(state, { at, personId, receivedAt }) {
      if (state.startedAt !== null) return;
      state.enteredAt = receivedAt ?? null;
      state.startedAt = at;
      state.startedBy = personId;
      if (state.status === 'open') state.status = 'running';
    },
  },
  finish: {
    ...{ may: 'crew', data: [], moves: true },
    fold(state, { at, personId, receivedAt }) {
      if (state.finishedAt !== null) return;
      state.enteredAt = receivedAt ?? null;
      finish(state, at, personId);
    },
  },
  skip: {
    ...{ may: 'bakers', data: [], moves: true },
    fold(state, { at, personId, text }) {
      if (state.status === 'done' || state.status === 'skipped') return;
      state.status = 'skipped';
      state.finishedAt = at;
      state.finishedBy = personId;
      state.skipReason = text;
    },
  },
  note: {
    ...{ may: 'crew', data: [] },
    fold: (state, { text, at, personId }) => void state.notes.push({ text, at, personId }),
  },
  temperature: {
    ...{ may: 'crew', data: [] },
    fold(state, { celsius, at, personId, receivedAt }) {
      state.temperatures.push({
        ...{ celsius, at, personId },
        ...(receivedAt === undefined ? {} : { receivedAt }),
      });
    },
  },
  // What it takes back is not folded at all (`effectiveEvents`).
  undo: { ...{ may: 'crew', data: [], moves: true }, fold: () => undefined },
  verdict: {
    ...{ may: 'bakers', data: ['verdict'] },
    fold: (state, { data, at, personId }) => void (state.verdict = { verdict: data.verdict, at, personId }),
  },
  alive: {
    ...{ may: 'bakers', data: ['alive'] },
    fold(state, { data, at, personId }) {
      state.alive.push({ ...data, at, personId });
      state.notBefore = data.answer === 'wait' ? at + (data.minutes ?? 0) * MINUTE : null;
      // Begun anew, a wait counts from then.
      if (data.answer === 'anew') state.startedAt = at;
    },
  },
  conditions: {
    ...{ may: 'bakers', data: ['conditions'] },
    fold: (state, { data }) => void (state.conditions = data),
  },
  mix: {
    ...{ may: 'bakers', data: ['weighed', 'adjusted', 'swapped'] },
    fold: (state, { data }) => void state.changes.push(data),
  },
  // A turn of several blocks is finished by the folds of its last block.
  turn: {
    ...{ may: 'crew', data: ['turned'], moves: true },
    fold(state, event) {
      keep(state, event);
      if (event.data.ends && state.finishedAt === null) finish(state, event.at, event.personId);
    },
  },
  check: {
    ...{ may: 'bakers', data: ['checked'] },
    fold(state, event) {
      const { data, at } = event;
      keep(state, event);
      state.notBefore = data.answer === 'good' ? null : at + data.minutes * MINUTE;
    },
  },
  weigh: { ...{ may: 'crew', data: ['pieces'] }, fold: keep },
  scrap: { ...{ may: 'bakers', data: ['scrap', 'scrap-taken'] }, fold: keep },
  count: { ...{ may: 'crew', data: ['counted'] }, fold: keep },
  marks: { ...{ may: 'bakers', data: ['marked'] }, fold: keep },
  probe: {
    ...{ may: 'crew', data: ['probed'] },
    fold: (state, { data, at }) =>
      void (state.coreProbe = data.probe === null ? null : { id: data.probe, at }),
  },
  move: {
    ...{ may: 'crew', data: ['moved'] },
    fold(state, { data, at }) {
      // On another shelf of the same place it is as warm as before, and has been there for as long.
      const since = state.moved?.place === data.place ? state.moved.at : at;
      state.moved = { place: data.place, shelf: data.shelf ?? null, at: since };
    },
  },
  deck: {
    ...{ may: 'crew', data: ['decks'] },
    fold: (state, { data }) =>
      Object.assign(state, {
        decks: data.decks.length > 0 ? data.decks : null,
        oven: data.oven ?? state.oven,
      }),
  },
  // How many are in the freezer counts for the output, not for the step (`frozen.ts`).
  bag: { ...{ may: 'crew', data: ['frozen'], moves: true }, fold: () => undefined },
  // These two are of no step, and end the steps of what is over (`losses.ts`).
  lost: { ...{ may: 'bakers', data: ['lost'], moves: true }, fold: () => undefined },
  close: { ...{ may: 'bakers', data: [], moves: true }, fold: () => undefined },
};

/** All kinds, in the order of the table. */
export const FLOOR_EVENT_KINDS = Object.keys(EVENT_KINDS) as FloorEventKind[];

/** Kinds that a plan worked out before does not know of. */
export const MOVING_KINDS = FLOOR_EVENT_KINDS.filter((kind) => EVENT_KINDS[kind].moves);

/** Kinds of data that events of a kind can carry. */
export const dataOf = (kind: FloorEventKind): readonly EventData['kind'][] => EVENT_KINDS[kind].data;

/** Folds one event into the state of its step. */
export function foldEvent(state: StepState, event: FloorEvent): void {
  // The entry of a kind folds events of that kind, which the compiler does not follow through the look-up.
  const { fold } = EVENT_KINDS[event.kind] as { fold: (state: StepState, event: FloorEvent) => void };
  fold(state, event);
}

function finish(state: StepState, at: Instant, personId: number): void {
  state.finishedAt = at;
  state.finishedBy = personId;
  state.status = 'done';
}

/** Keeps what the floor records for itself, in the order in which it happened. */
function keep(
  state: StepState,
  { data, at, personId }: EventOf<'turn' | 'check' | 'weigh' | 'scrap' | 'count' | 'marks'>,
): void {
  state.records.push({ data, at, personId });
}
