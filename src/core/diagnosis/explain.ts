import { coded, type Coded } from '../codes/coded';
import type { FaultId } from '../record/marks';
import { CAUSE_IDS, CAUSES, type CauseId, type Telling } from './causes';
import { type Odds, together } from './odds';
import type { BatchTrace } from './trace';

/** A cause as the record has it. */
export interface Explanation {
  cause: CauseId;
  /** How likely it is that this was it, 0 to 1, of all that could be. */
  likely: number;
  /** Faults that were seen and that it shows as. */
  shownAs: FaultId[];
  /** What of the record speaks for it; empty where the record says nothing for it. */
  evidence: Coded[];
  /** A look that nobody has recorded and that would tell; null where there is none. */
  ask: Telling | null;
}

/** A check that found it, and one that found all well. */
const CHECKED = { found: 15, good: 0.2, other: 0.5 };
/** How likely a cause is before anything is looked at, against that there is none; and where a fault was seen. */
const PRIOR = { unseen: 0.02, seen: 0.05 };
/** How readily a fault is seen that a cause does not show as. */
const STRANGE = 0.01;
/** How readily a fault comes of what nobody has thought of. */
const UNKNOWN = 0.03;
/** The record speaks for a cause from here. */
const SPEAKS = 2;
/** Causes less likely than this are not named. */
const NAMED = 0.08;

function checkOdds({ checks }: BatchTrace, telling: Telling | undefined): Odds {
  const own = checks.findLast(({ check }) => check === telling?.check);
  if (!own || !telling) return 1;
  if (own.answer === telling.answer) return CHECKED.found;
  return own.answer === 'good' ? CHECKED.good : CHECKED.other;
}

/** How likely each cause is behind one fault, or, where none was seen, at work at all. */
function likelyFor(fault: FaultId | null, weighed: readonly Weighed[]): ReadonlyMap<CauseId, number> {
  const weights = weighed.map(({ cause, speaks }) => {
    const shows = fault === null ? 1 : (CAUSES[cause].shows[fault] ?? STRANGE);
    return [cause, (fault === null ? PRIOR.unseen : PRIOR.seen) * shows * speaks] as const;
  });
  const unknown = fault === null ? 1 : PRIOR.seen * UNKNOWN;
  const all = weights.reduce((sum, [, weight]) => sum + weight, unknown);
  return new Map(weights.map(([cause, weight]) => [cause, weight / all]));
}

/** A cause with how much traces and checks speak for it. */
interface Weighed {
  cause: CauseId;
  looked: Odds;
  speaks: Odds;
}

/**
 * Plays the record of a batch against every cause: how readily each shows as what was seen, times how much the traces and
 * checks speak for it, against each other and against what nobody has thought of. Faults may have causes of their own; one that is
 * behind several is the likelier for it. Those that are worth naming, the likeliest first.
 *
 * Where nothing was seen, nothing is accused that the record does not prove.
 */
export function explain(seen: readonly FaultId[], trace: BatchTrace): Explanation[] {
  const weighed = CAUSE_IDS.map((cause): Weighed => {
    const { odds, telling } = CAUSES[cause];
    const looked = checkOdds(trace, telling);
    return { cause, looked, speaks: together(odds(trace), looked) };
  });
  const each = (seen.length === 0 ? [null] : seen).map((fault) => likelyFor(fault, weighed));
  return weighed
    .map(({ cause, looked, speaks }): Explanation => {
      const { shows, trace: lineOf, telling, odds } = CAUSES[cause];
      const line = odds(trace) >= SPEAKS ? lineOf(trace) : null;
      return {
        cause,
        likely: 1 - each.reduce((none, likely) => none * (1 - (likely.get(cause) ?? 0)), 1),
        shownAs: seen.filter((fault) => (shows[fault] ?? 0) > STRANGE),
        evidence: [...(line ? [line] : []), ...(looked > 1 && telling ? [foundBy(telling)] : [])],
        ask: telling && looked === 1 && speaks < CHECKED.found ? telling : null,
      };
    })
    .filter(({ likely, shownAs }) => {
      // What does not show as what was seen explains none of it, however badly it was done.
      return likely >= NAMED && (seen.length === 0 || shownAs.length > 0);
    })
    .sort((a, b) => b.likely - a.likely);
}

const foundBy = ({ check, answer }: Telling): Coded => coded('causes.found', { check, answer });
