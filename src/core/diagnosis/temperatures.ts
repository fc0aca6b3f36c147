import type { Words } from '../codes/coded';
import type { CurvePoint } from '../climate/curve';
import { stateOf, type DoughRecord } from '../record/dough';
import { effectiveEvents } from '../record/undo';
import type { FloorEvent } from '../record/events';
import { isHandsOn } from '../record/state';
import type { Instant } from '../time/local';

/** A time in which a probe speaks of a batch: a core probe from within it, a place's probe from around it. */
export interface ProbeSpan {
  /** The place, or the core probe, by its id. */
  probe: string;
  within: boolean;
  /** The wait that it was, as the route calls it. */
  step: Words;
  /** In the oven, where it is so hot that nothing else would be seen beside it. */
  baking: boolean;
  from: Instant;
  to: Instant;
}

/** What was read off a thermometer that somebody held. */
export interface HandReading {
  step: Words;
  baking: boolean;
  celsius: number;
  at: Instant;
  /** When the house heard of it, where it had waited on a tablet. */
  receivedAt?: Instant;
}

/** What was heard in a stay. */
export interface HeardSpan extends ProbeSpan {
  label: string;
  points: CurvePoint[];
}

/**
 * Which probe spoke of a batch when, in order of time: where it waited, step by step, as somebody said or as the route has
 * it, and the core probes that were in it. A wait that is not over is heard until `now`.
 */
export function probeSpans(dough: DoughRecord, now: Instant): ProbeSpan[] {
  const events = effectiveEvents(dough.events);
  const { steps } = dough;
  const state = stateOf(dough);
  return steps
    .filter((step) => !isHandsOn(step))
    .flatMap((step) => {
      const { startedAt, finishedAt } = state.steps.get(step.key) ?? { startedAt: null, finishedAt: null };
      if (startedAt === null) return [];
      const own = events.filter(({ stepKey }) => stepKey === step.key);
      // What was said before the wait began holds from its beginning.
      const since = (change: Change) => ({ ...change, at: Math.max(change.at, startedAt) });
      const around = [{ probe: step.place ?? null, at: startedAt }, ...own.flatMap(placeOf).map(since)];
      const coreProbes = own.flatMap(coreProbeOf).map(since);
      const end = finishedAt ?? now;
      const what = { step: step.label, baking: step.step.kind === 'bake' };
      return [
        ...spans(around, end).map((span) => ({ ...span, ...what, within: false })),
        ...spans(coreProbes, end).map((span) => ({ ...span, ...what, within: true })),
      ];
    })
    .sort((a, b) => a.from - b.from || Number(a.within) - Number(b.within));
}

/** From some moment on this probe speaks; null: none does. */
interface Change {
  probe: string | null;
  at: Instant;
}

const placeOf = ({ data, at }: FloorEvent): Change[] =>
  data?.kind === 'moved' ? [{ probe: data.place, at }] : [];

const coreProbeOf = ({ data, at }: FloorEvent): Change[] =>
  data?.kind === 'probed' ? [{ probe: data.probe, at }] : [];

/** The time for which each probe speaks, one after the other; being put on another shelf of one place is no change. */
function spans(changes: readonly Change[], end: Instant): Pick<ProbeSpan, 'probe' | 'from' | 'to'>[] {
  const real = changes.filter(({ probe }, i) => i === 0 || probe !== changes[i - 1]?.probe);
  return real.flatMap(({ probe, at }, i) => {
    const to = Math.min(real[i + 1]?.at ?? end, end);
    return probe !== null && to > at ? [{ probe, from: at, to }] : [];
  });
}

/** A stay in numbers: first, lowest, highest and last of what was heard, °C; null where nothing was. */
export function spanFigures(
  points: readonly CurvePoint[],
): { first: number; lowest: number; highest: number; last: number } | null {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return null;
  return {
    first: first.celsius,
    lowest: Math.min(...points.map(({ lowest }) => lowest)),
    highest: Math.max(...points.map(({ highest }) => highest)),
    last: last.celsius,
  };
}

/** What was read by hand off a thermometer, in order of time. */
export function readByHand(dough: DoughRecord): HandReading[] {
  const { steps } = dough;
  const state = stateOf(dough);
  return steps
    .flatMap(({ key, label, step }) =>
      (state.steps.get(key)?.temperatures ?? []).map(({ celsius, at, receivedAt }) => {
        const late = receivedAt === undefined ? {} : { receivedAt };
        return { step: label, baking: step.kind === 'bake', celsius, at, ...late };
      }),
    )
    .sort((a, b) => a.at - b.at);
}
