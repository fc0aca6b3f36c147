import { cutsShort } from '../forecast/early';
import type { DoughForecast } from '../forecast/forecast';
import { EVENT_KINDS } from '../record/event-kinds';
import type { FloorEventKind } from '../record/events';
import { skillFor } from '../process/skills';
import { isHandsOn } from '../record/state';
import { agenda, type AgendaItem } from '../shopfloor/agenda';
import { ovenLoads } from '../shopfloor/oven-loads';
import { type Instant, MINUTE } from '../time/local';
import type { Board } from '../wire/board';
import type { Person } from '../bakery/people';
import { hiddenOf } from './dough-truth';
import { taskManner } from './manner';
import { beginTaps, doneTaps, looks, outOfOven, type Tap, type Work } from './taps';

/** A tap by somebody, at the time at which it happened. */
export interface CrewTap extends Tap {
  personId: number;
  at: Instant;
}

/** What the crew sees at one look. */
export interface CrewLook {
  board: Board;
  doughs: readonly DoughForecast[];
  now: Instant;
  /** Who is at a tablet themselves: the crew leaves their work to them. */
  seated: ReadonlySet<number>;
  seed: number;
}

/** Work is begun so many minutes before it is planned, where the dough is ready. */
const AHEAD = 3;

/** Where nobody comes after them, whoever has a dough in their hands stays for so many minutes. */
const STAYS = 40;

/** Who of the bakery is there now, and works by themselves. */
export function onShift({ board, now, seated }: CrewLook): Person[] {
  const until = (after: number) =>
    board.presences.filter(({ start, end }) => start <= now && now < end + after * MINUTE);
  const planned = until(0);
  const there = new Set((planned.length > 0 ? planned : until(STAYS)).map(({ personId }) => personId));
  return board.people.filter(({ id, role }) => role !== 'viewer' && there.has(id) && !seated.has(id));
}

const canDo = ({ skills, role }: Person, { step }: AgendaItem): boolean => {
  const skill = skillFor(step.step);
  // A helper ticks what needs no judgement.
  if (role === 'helper' && skill !== null && skill !== 'finish') return false;
  return skill === null || skills === undefined || skills.includes(skill);
};

/** A helper leaves what is judged to bakers. */
const mayTap = ({ role }: Person, kind: FloorEventKind): boolean =>
  role !== 'helper' || EVENT_KINDS[kind].may === 'crew';

/**
 * What the crew taps after one look: work that is done by now, loads that are baked, and for whoever is free the most urgent
 * work that they know how to do. The same look gives the same taps.
 */
export function crewTaps(look: CrewLook): CrewTap[] {
  const { doughs, now, seed } = look;
  const { running, next } = agenda(doughs, now);
  const people = onShift(look);
  const free = new Set(people.map(({ id }) => id));
  const taps: CrewTap[] = [];
  const workOf = workIn(look);
  for (const item of running) {
    const { state, step, dough } = item;
    const begunBy = people.find(({ id }) => id === state.startedBy);
    // Whoever has gone home leaves it to who is there; what a visitor has begun is theirs to end.
    const left = state.startedBy !== null && !look.seated.has(state.startedBy);
    const by = begunBy ?? (left ? people.find((person) => canDo(person, item)) : undefined);
    if (!by || state.startedAt === null) continue;
    free.delete(by.id);
    const { times, saidAfter } = taskManner(by.id, `dough ${dough.id}, ${step.key}`, seed);
    const done = state.startedAt + step.target * times * MINUTE;
    if (now < done + saidAfter * MINUTE) continue;
    const at = saidAfter > 0 ? Math.round(done) : now;
    const own = doneTaps(workOf(item), at).filter(({ body }) => mayTap(by, body.kind));
    taps.push(...own.map((tap) => ({ ...tap, personId: by.id, at })));
  }
  for (const item of bakes(doughs, now)) {
    const by = people.find((person) => canDo(person, item)) ?? people[0];
    if (!by || item.state.startedAt === null) continue;
    const { times } = taskManner(0, `dough ${item.dough.id}, ${item.step.key}`, seed);
    if (now < item.state.startedAt + item.step.target * times * MINUTE) continue;
    taps.push(...outOfOven(workOf(item)).map((tap) => ({ ...tap, personId: by.id, at: now })));
  }
  return [...taps, ...begun(look, next, { people, free, workOf })];
}

/** Bakes under way: somebody takes them out. */
function bakes(doughs: readonly DoughForecast[], now: Instant): AgendaItem[] {
  return ovenLoads(doughs, now).in.flatMap(({ dough, step }) => {
    const state = dough.state.steps.get(step.key);
    return state && step.step.ends === 'tap' && !isHandsOn(step)
      ? [{ dough, step, state, inMinutes: 0 }]
      : [];
  });
}

export function workIn({ board, seed }: CrewLook) {
  const records = new Map(board.doughs.map((dough) => [dough.id, dough]));
  const humid = new Map(board.places.map(({ place, humidity }) => [place, humidity ?? undefined]));
  return ({ dough, step }: Pick<AgendaItem, 'dough' | 'step'>): Work => {
    const record = records.get(dough.id);
    if (!record) throw new Error(`The board has no dough ${dough.id}.`);
    const airOf = (place: string) => board.today[place]?.celsius;
    const humidityOf = (place: string) => humid.get(place);
    return { record, dough, step, airOf, humidityOf, seed, hidden: hiddenOf(dough.id, seed) };
  };
}

/** What those who are free begin with, each with one thing at most. */
function begun(
  { board, doughs, now, seed }: CrewLook,
  next: readonly AgendaItem[],
  {
    people,
    free,
    workOf,
  }: { people: readonly Person[]; free: Set<number>; workOf: ReturnType<typeof workIn> },
): CrewTap[] {
  const inside = ovenLoads(doughs, now).in;
  const claimed = new Map<string, number[]>();
  const taps: CrewTap[] = [];
  for (const item of next) {
    const { dough, step } = item;
    if (step.dueAt > now + AHEAD * MINUTE || cutsShort(dough, step, now)) continue;
    const by = people.find((person) => free.has(person.id) && canDo(person, item));
    if (!by) continue;
    const { noticed } = taskManner(by.id, `dough ${dough.id}, ${step.key}`, seed);
    if (now < Math.max(step.mayStart, step.dueAt - AHEAD * MINUTE) + noticed * MINUTE) continue;
    free.delete(by.id);
    const work = workOf(item);
    const { taps: looked, ready } = looks(work, now);
    const all = ready ? [...looked, ...beginTaps(work, board.decks, inside, claimed)] : looked;
    const own = all.filter(({ body }) => mayTap(by, body.kind));
    for (const { body } of own)
      if (body.kind === 'deck' && body.data.kind === 'decks' && body.data.oven !== undefined)
        claimed.set(body.data.oven, [...(claimed.get(body.data.oven) ?? []), ...body.data.decks]);
    taps.push(...own.map((tap) => ({ ...tap, personId: by.id, at: now })));
  }
  return taps;
}
