import { coded, type Coded } from '../codes/coded';
import { MINUTE, type Instant } from '../time/local';

/** By when something cooked has to be how cold: minutes from when it was last at `from` or above, °C. */
export interface CoolingRule {
  from: number;
  stages: readonly { to: number; within: number }[];
}

/**
 * Limits for cooked fillings with milk and egg, of which a house follows one: from 65 to 10 °C within 2 h, or from 57 to
 * 21 °C within 2 h and to 5 °C within 4 h more. The local code goes before both.
 */
export const COOLING_RULES: readonly CoolingRule[] = [
  { from: 65, stages: [{ to: 10, within: 120 }] },
  {
    from: 57,
    stages: [
      { to: 21, within: 120 },
      { to: 5, within: 360 },
    ],
  },
];

/** How far a cooling is. */
export interface Cooling {
  /** What it has to come to next and by when; null when it is cold. */
  next: { to: number; by: Instant } | null;
  /** The limit that was passed, where measurements show it: it must not be used. */
  passed: { to: number; by: Instant } | null;
  /** Nobody has measured it, though the time is over. */
  unmeasured: boolean;
  /** When the house last heard of a measurement of it that had waited on a tablet; null where all came at once. */
  enteredLate: Instant | null;
}

/** Judges a cooling by what was measured. Without a measurement nothing is said to be cold, nor to have failed. */
export function cooling(
  rule: CoolingRule,
  since: Instant,
  readings: readonly { celsius: number; at: Instant; receivedAt?: Instant }[],
  now: Instant,
): Cooling {
  const inOrder = [...readings].sort((a, b) => a.at - b.at);
  const begun = inOrder.findLast((reading) => reading.celsius >= rule.from)?.at ?? since;
  const late = inOrder.flatMap(({ at, receivedAt }) =>
    at >= begun && receivedAt !== undefined ? receivedAt : [],
  );
  const enteredLate = late.length === 0 ? null : Math.max(...late);
  for (const { to, within } of rule.stages) {
    const by = begun + within * MINUTE;
    const cold = inOrder.find((reading) => reading.at >= begun && reading.celsius <= to);
    if (cold && cold.at <= by) continue;
    const over = now > by;
    const measured = inOrder.length > 0;
    return {
      next: over && measured ? null : { to, by },
      passed: over && measured ? { to, by } : null,
      unmeasured: over && !measured,
      enteredLate,
    };
  }
  return { next: null, passed: null, unmeasured: false, enteredLate };
}

/** What a cooling comes to, for the bench; and whether its record was entered late. */
export function coolingMessage(cooled: Cooling, zone: string): Coded {
  const { enteredLate } = cooled;
  const judged = judgedMessage(cooled, zone);
  return enteredLate === null
    ? judged
    : coded('alarms.judgedButEnteredLate', { judged, time: { clock: enteredLate, zone } });
}

function judgedMessage({ next, passed, unmeasured }: Cooling, zone: string): Coded {
  if (passed)
    return coded('alarms.stopItWasNotAt', {
      celsius: { celsius: passed.to },
      time: { clock: passed.by, zone },
    });
  if (unmeasured && next)
    return coded('alarms.itShouldHaveBeenAt', {
      celsius: { celsius: next.to },
      time: { clock: next.by, zone },
    });
  if (next)
    return coded('alarms.atOrColderByMeasure', {
      celsius: { celsius: next.to },
      time: { clock: next.by, zone },
    });
  return coded('alarms.coldInTimeKeepIt', { celsius: { celsius: 5 } });
}
