import { placeOf } from '@/core/bakery/machines';
import type { PlaceKind } from '@/core/heat/places';
import { butterWindow, type ButterWindow } from '@/core/lamination/butter-window';
import { freezerShortCut, restAnswer } from '@/core/lamination/rest';
import { fractionOf } from '@/core/lamination/scheme';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { clockTime, MINUTE } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { type ReaderUnits, showCelsius } from '@/core/units/reader';
import type { Board } from '@/core/wire/board';
import type { Say } from '@/words/say';
import { butterWords } from '../lamination/butter-words';
import { lastMeasured } from './rest-words';

/** Film of air around what rests, W/m²K: a retarder's still air, a freezer's, a room's. */
const STILL = 10;
const FREEZER = 12;
const ROOM = 9;
const air = (celsius: number, film: number) => ({ celsius, top: film, bottom: film });

/** A rest on the bench view: its step, the places, and the reader. */
export interface Rest {
  item: AgendaItem;
  places: readonly { place: string; celsius: number }[];
  rooms: Board['rooms'];
  now: number;
  zone: string;
  units: ReaderUnits;
}

/** What a rest is like inside by now, and what is soft of it for how long; nothing soft where it is no butter. */
export interface RestLines {
  lines: string[];
  soft: number | null;
}

/** What tempering butter is like by now. */
export function butterLines(say: Say, rest: Rest): RestLines {
  const { item, now, zone, units } = rest;
  const [room, cold] = [celsiusOf(rest, 'room', 22), celsiusOf(rest, 'retarder', 4)];
  const window = butterWindow({
    ...{ mm: thicknessOf(item), start: cold, fat: 'butter-82' },
    history: [{ ...air(room, ROOM), minutes: minutesSince(rest) }],
    ...{ room: air(room, ROOM), cold: air(cold, STILL) },
  });
  const own = { ...window, ...butterBy(window, readyIn(rest)) };
  return {
    lines: butterWords(say, own, { now, zone, room: showCelsius(room, units) }),
    soft: window.coldFor,
  };
}

/** What a resting block is like by now: core and skin, when it is rested, and what a while in the freezer would save. */
export function blockLines(say: Say, rest: Rest): RestLines {
  const { item, units, zone } = rest;
  const { dough, step } = item;
  const work = dough.lamination;
  const target = step.step.until ?? 7;
  const block = {
    mm: thicknessOf(item),
    fatFraction: work ? fractionOf(work.scheme.scheme, work.weights) : 0,
    celsius: lastMeasured(dough, step),
  };
  const inside = restAnswer(block, air(step.around, STILL), minutesSince(rest), target);
  const minutes = readyIn(rest);
  const core = minutes === 0 ? Math.min(inside.core, target) : Math.max(inside.core, target);
  const shown = (celsius: number) => showCelsius(celsius, units);
  const lines = [say('bench.coreAboutSkin', { celsius: shown(core), celsius2: shown(inside.surface) })];
  if (minutes === null)
    lines.push(say('bench.doesNotComeTo', { celsius: shown(step.around), target: shown(target) }));
  else if (minutes > 0)
    lines.push(say('bench.restedFrom', { celsius: shown(target), time: clockTime(soonest(item), zone) }));
  if (minutes !== 0) lines.push(...freezerLines(say, rest, { ...block, celsius: inside.core }, target));
  return { lines, soft: null };
}

function freezerLines(
  say: Say,
  rest: Rest,
  block: Parameters<typeof freezerShortCut>[0],
  target: number,
): string[] {
  const freezer = air(celsiusOf(rest, 'freezer', -18), FREEZER);
  const cut = freezerShortCut(block, freezer, air(celsiusOf(rest, 'room', 22), ROOM), target);
  if (!cut) return [];
  const skin = showCelsius(cut.skin, rest.units);
  const price = cut.cracks
    ? say('bench.theSkinIsAtBy', { celsius: skin, duration: duration(cut.evenOut) })
    : say('bench.skinAt', { celsius: skin });
  return [say('bench.freezerShortCut', { duration: duration(cut.minutes), price })];
}

/** A window of butter that goes by its wait: pliable from when the wait is over, and not before. */
function butterBy({ state }: ButterWindow, minutes: number | null): Pick<ButterWindow, 'state' | 'readyIn'> {
  if (state === 'soft') return { state, readyIn: minutes };
  return { state: minutes === 0 ? 'pliable' : 'warming', readyIn: minutes };
}

// The card has one clock: when it is ready is what its window says, as everywhere else.
const soonest = ({ step }: AgendaItem) => step.ready?.earliest ?? step.start;

function readyIn({ item, now }: Rest): number | null {
  return item.step.never ? null : Math.max(0, Math.ceil((soonest(item) - now) / MINUTE));
}

const minutesSince = ({ item, now }: Rest) => Math.max(0, (now - (item.state.startedAt ?? now)) / MINUTE);

const thicknessOf = ({ step }: AgendaItem) => step.step.piece?.mm ?? 24;

function celsiusOf({ rooms, places }: Rest, kind: PlaceKind, usual: number): number {
  const id = placeOf(kind, rooms);
  return places.find(({ place }) => place === id)?.celsius ?? usual;
}
