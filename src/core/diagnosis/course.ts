import { alongLegs, type Leg } from '../ferment/path';
import type { Profile } from '../ferment/progress';
import type { DoughStep } from '../process/expand';
import { pathTo } from '../process/order';
import { settlingIn } from '../process/settling';
import type { DoughRecord } from '../record/dough';
import { type DoughState, isHandsOn } from '../record/state';
import { type Instant, MINUTE } from '../time/local';
import type { HeardSpan } from './temperatures';

/** One step of a batch as it was: when, and how warm the dough was along it. */
export interface CourseStep {
  step: DoughStep;
  from: Instant;
  to: Instant;
  /** Temperature of the dough itself, °C, by the minute of the step. */
  profile: Profile;
  start: number;
  end: number;
  highest: number;
  lowest: number;
}

/** A stay is cut into at most so many parts, each with the mean of what was heard in it. */
const PARTS = 12;
/** What is worked with follows the room no faster than this, minutes. */
const IN_HAND = 45;

/**
 * The dough of an output along its steps, from the mixer to the last that is over: it follows the air of where it was, as
 * probes heard it or as the route has it, by its own settling; what was measured in it by hand or by a core probe counts
 * from then on.
 */
export function courseOf(
  dough: Pick<DoughRecord, 'steps' | 'links'>,
  state: DoughState,
  lastKey: string,
  heard: readonly HeardSpan[],
): CourseStep[] {
  const course: CourseStep[] = [];
  let celsius: number | null = null;
  for (const step of pathTo(dough, lastKey)) {
    const own = state.steps.get(step.key);
    const from = own?.startedAt ?? null;
    const to = own?.finishedAt ?? null;
    if (!own || from === null || to === null || own.status === 'skipped') continue;
    const begin: number = celsius ?? step.step.gives ?? step.around;
    const measured = own.temperatures.filter(({ at }) => at >= from && at <= to + MINUTE);
    const profile = measuredInto(
      alongLegs(
        begin,
        step.step.kind === 'bake'
          ? []
          : legsOf(
              step,
              { from, to, places: [step.place, own.moved?.place].flatMap((one) => one ?? []) },
              heard,
            ),
      ),
      measured.map(({ celsius: read, at }) => ({ minute: (at - from) / MINUTE, celsius: read })),
    );
    const last = step.step.gives ?? profile.at(-1)?.celsius ?? begin;
    const end = measured.at(-1)?.celsius ?? last;
    const along = [begin, ...profile.map((point) => point.celsius), end];
    course.push({
      ...{ step, from, to, profile, start: profile[0]?.celsius ?? begin, end },
      ...{ highest: Math.max(...along), lowest: Math.min(...along) },
    });
    celsius = end;
  }
  return course;
}

function legsOf(
  step: DoughStep,
  { from, to, places }: { from: Instant; to: Instant; places: readonly string[] },
  heard: readonly HeardSpan[],
): Leg[] {
  const minutes = Math.max(0, to - from) / MINUTE;
  if (minutes === 0) return [];
  const settling = isHandsOn(step) ? Math.max(step.settling, IN_HAND) : settlingIn(step);
  const points = heard
    .filter((stay) => !stay.within && places.includes(stay.probe) && stay.from < to && stay.to > from)
    .flatMap((stay) => stay.points)
    .filter(({ at }) => at >= from && at <= to);
  const length = minutes / PARTS;
  let before = step.around;
  return Array.from({ length: PARTS }, (_, part) => {
    const [begin, end] = [from + part * length * MINUTE, from + (part + 1) * length * MINUTE];
    const own = points.filter(({ at }) => at >= begin && at <= end);
    if (own.length > 0) before = own.reduce((sum, point) => sum + point.celsius, 0) / own.length;
    return { celsius: before, settling, minutes: length };
  });
}

/** A reckoned profile moved to what was measured: from each reading on it is as far off as that was. */
function measuredInto(reckoned: Profile, readings: readonly { minute: number; celsius: number }[]): Profile {
  if (readings.length === 0) return reckoned;
  return reckoned.map(({ minute, celsius }) => {
    const last = readings.findLast((reading) => reading.minute <= minute + 1e-9);
    if (!last) return { minute, celsius };
    return { minute, celsius: celsius + last.celsius - celsiusAt(reckoned, last.minute) };
  });
}

function celsiusAt(profile: Profile, minute: number): number {
  const next = profile.find((point) => point.minute >= minute);
  const before = profile.findLast((point) => point.minute <= minute);
  if (!before || !next) return (before ?? next)?.celsius ?? 0;
  const span = next.minute - before.minute;
  return span === 0
    ? before.celsius
    : before.celsius + ((next.celsius - before.celsius) * (minute - before.minute)) / span;
}
