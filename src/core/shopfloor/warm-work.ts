import type { DoughForecast, StepForecast } from '../forecast/forecast';
import { during, type PlaceNow, type Today } from '../forecast/windows';
import { fractionOf } from '../lamination/scheme';
import { firmFor, chillTo, type RolledSheet, warmestRoom } from '../lamination/warm-room';
import { MINUTE, type Instant } from '../time/local';

/** What helps where a room is too warm to roll in, with what it costs. */
export type WarmWay =
  /** So many minutes in the freezer before; the butter then stays firm for so long. */
  | { kind: 'freezer'; minutes: number; then: number }
  /** So many parts, one on the table while the others are in the cold; a part takes so long. */
  | { kind: 'parts'; parts: number; minutes: number }
  /** From then on the room is cool enough. */
  | { kind: 'later'; at: Instant; celsius: number };

/** Lamination in a room that is too warm for its butter. */
export interface WarmWork {
  /** What the room has, or is expected to have, while it is rolled, °C. */
  room: number;
  /** The warmest room in which this dough can be rolled while its butter is firm, °C. */
  limit: number;
  /** Minutes that its butter stays firm there, and that the work takes. */
  firm: number;
  work: number;
  ways: WarmWay[];
}

/** As cold as a block should come to the table out of the freezer, °C: colder it breaks. */
const FROM_FREEZER = 3;
/** What comes to the table out of the cold, where nothing else is known, °C. */
const OUT_OF_COLD = 6;
/** So far ahead a cooler hour is looked for, hours. */
const LATER = 18;

/** Lock-in and turns: what of lamination is rolled, and what leads to it directly. */
const ROLLED = ['lock-in', 'turn'] as const;
const BEFORE = ['butter', 'temper'] as const;

/** The first place of a kind. */
const placeOf = (today: Today, ...kinds: PlaceNow['kind'][]): PlaceNow | undefined =>
  Object.values(today).find(({ kind }) => kinds.includes(kind));

/**
 * Whether the room is too warm for what a step rolls, or for the lock-in that it leads to; null where it is not, or where the
 * step rolls nothing. How warm is too warm follows from the fat, the sheet and how long the work takes.
 */
export function warmWork(
  dough: Pick<DoughForecast, 'lamination' | 'steps'>,
  step: StepForecast,
  today: Today,
  now: Instant,
): WarmWork | null {
  const work = dough.lamination;
  const rolled = (BEFORE as readonly string[]).includes(step.step.kind)
    ? dough.steps.find(({ step: other }) => other.kind === 'lock-in')
    : (ROLLED as readonly string[]).includes(step.step.kind)
      ? step
      : undefined;
  // Where it is rolled; a flour store is a room as well.
  const own = rolled?.place === undefined ? undefined : today[rolled.place];
  const room = own?.kind === 'room' ? own : placeOf(today, 'room');
  if (!work || !rolled || !room || rolled.status === 'done' || rolled.status === 'skipped') return null;
  const onTable = minutesOnTable(dough.steps, rolled);
  const minutes = Math.max(1, onTable / work.blocks);
  const start = Math.max(now, rolled.start);
  const celsius = during(room, start, onTable);
  const sheet: RolledSheet = {
    mm: rolled.step.given?.mm ?? work.scheme.scheme.turns[0]?.mm ?? 8,
    fatFraction: fractionOf(work.scheme.scheme, work.weights),
    celsius: Math.min(rolled.celsius.start, OUT_OF_COLD),
    fat: work.fat,
    work: minutes,
  };
  const firm = firmFor(sheet, celsius);
  if (firm === null || firm >= minutes) return null;
  const limit = warmestRoom(sheet);
  return {
    ...{ room: celsius, limit, firm: Math.floor(firm), work: Math.round(minutes) },
    ways: waysOut(sheet, celsius, { today, room, limit, start, minutes: onTable }),
  };
}

/** At the lock-in a block is several times as thick as a sheet, and takes up so much less heat in a minute. */
const THICK = 0.5;

/** Minutes of work from a step until the dough is in the cold again, as minutes of a thin sheet: lock-in and first turn go on without a rest. */
function minutesOnTable(steps: readonly StepForecast[], first: StepForecast): number {
  let minutes = 0;
  for (const { step, target } of steps.slice(steps.indexOf(first))) {
    if (!(ROLLED as readonly string[]).includes(step.kind)) break;
    minutes += step.kind === 'lock-in' ? THICK * target : target;
  }
  return minutes;
}

function waysOut(
  sheet: RolledSheet,
  celsius: number,
  at: { today: Today; room: PlaceNow; limit: number; start: Instant; minutes: number },
): WarmWay[] {
  const ways: WarmWay[] = [];
  const freezer = placeOf(at.today, 'freezer', 'blast');
  const chill = freezer && chillTo(sheet, FROM_FREEZER, freezer.celsius);
  const then = Math.floor(firmFor({ ...sheet, celsius: FROM_FREEZER }, celsius) ?? sheet.work);
  if (chill && then > sheet.work * WORTH) ways.push({ kind: 'freezer', minutes: chill, then });
  const parts = Math.ceil(sheet.work / Math.max(1, firmFor(sheet, celsius) ?? 1));
  if (parts <= MOST_PARTS) ways.push({ kind: 'parts', parts, minutes: Math.ceil(sheet.work / parts) });
  for (let hour = 1; hour <= LATER; hour++) {
    const from = at.start + hour * 60 * MINUTE;
    const cooler = during(at.room, from, at.minutes);
    if (cooler > at.limit) continue;
    ways.push({ kind: 'later', at: from, celsius: cooler });
    break;
  }
  return ways;
}

/** The freezer helps where it gains most of the work: the rest is done quicker. */
const WORTH = 0.8;
/** More parts than this nobody carries to and fro. */
const MOST_PARTS = 4;
