import type { Decks } from '../bakery/decks';
import type { Machine } from '../bakery/machines';
import type { StepState } from '../record/step-state';
import type { Instant } from '../time/local';
import type { Today } from './windows';

/** What each core probe last read, °C, by its id. */
export type ProbeReadings = ReadonlyMap<string, { celsius: number; at: Instant }>;

/** The bakery as it is now, as far as a forecast depends on it. */
export interface Conditions {
  places: Today;
  probes: ProbeReadings;
  /** How long bakes take in each oven and on its decks, against what is written; as written in one that is not there. */
  decks: Readonly<Record<string, Pick<Decks, 'whole' | 'each'>>>;
  machines: readonly Pick<Machine, 'id' | 'capacity' | 'outages' | 'slow'>[];
}

/** A bakery of which nothing is known: every wait has the window that its route gives it. */
export const UNKNOWN_CONDITIONS: Conditions = { places: {}, probes: new Map(), decks: {}, machines: [] };

/** Core probes that have read something, by id. */
export function probeReadings(
  probes: readonly { id: string; celsius: number | null; at: Instant }[],
): ProbeReadings {
  return new Map(
    probes.flatMap(({ id, celsius, at }) => (celsius === null ? [] : [[id, { celsius, at }] as const])),
  );
}

/** The last word on how warm a dough is: recorded by somebody, or read by the core probe that is in it now. */
export function lastMeasured(
  { temperatures, coreProbe, status }: Pick<StepState, 'temperatures' | 'coreProbe' | 'status'>,
  probes: ProbeReadings,
): { celsius: number; at: Instant } | null {
  const recorded = temperatures.at(-1) ?? null;
  const read = coreProbe && status === 'running' ? probes.get(coreProbe.id) : undefined;
  if (!coreProbe || !read || read.at < coreProbe.at) return recorded;
  return recorded && recorded.at > read.at ? recorded : read;
}

/** How many times as long a machine takes at a moment: 1 as usual. */
export const slownessAt = ({ slow = [] }: Pick<Machine, 'slow'>, at: Instant): number =>
  slow.reduce((most, { start, end, times }) => (start <= at && at < end ? Math.max(most, times) : most), 1);

/**
 * When a machine next has `amount` of its units working, at `from` or later; `from` itself where it has, or where nobody
 * can say.
 */
export function workingFrom(
  { capacity, outages = [] }: Pick<Machine, 'capacity' | 'outages'>,
  amount: number,
  from: Instant,
): Instant {
  let at = from;
  for (const { start, end, units } of [...outages].sort((a, b) => a.start - b.start)) {
    if (start <= at && at < end && capacity - (units ?? capacity) < amount) at = end;
  }
  return at;
}
