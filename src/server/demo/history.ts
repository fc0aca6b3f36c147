import { randomUUID } from 'node:crypto';
import type { BatchMarks } from '@/core/record/marks';
import { isHandsOn } from '@/core/record/state';
import { eventOf, type FlatEvent, type FloorEvent } from '@/core/record/events';
import { seeded, type Random } from '@/core/solver/random';
import type { ExpandedDough, DoughStep } from '@/core/process/expand';
import { MINUTE, type Instant } from '@/core/time/local';
import type { Presence } from '@/core/time/shifts';

type TimedStep = DoughStep & { start: Instant; end: Instant };

const TEMPERATURES: Record<string, number> = {
  mix: 24,
  'lock-in': 5.4,
  'turn-2': 6.8,
  shape: 14,
  bake: 95.5,
};
const NOTES: Record<string, string> = {
  mix: 'flour 19 °C, water 14 °C',
  'turn-2': 'sprang back a little, rested 5 min on the bench',
  sheet: 'a little butter at one seam, dusted',
};

/** How a cooked filling cooled: minutes, °C. */
const COOLED = [
  [2, 71],
  [50, 24],
  [95, 8.4],
] as const;

/** A batch is counted and judged when it has cooled and somebody has time. */
const JUDGED_AFTER = 6 * 60 * MINUTE;
const JUDGEMENT: BatchMarks = {
  kind: 'marked',
  marks: { rise: 3, crumb: 4, colour: 3, shape: 4, taste: 5 },
  seen: ['flat', 'pale', 'patchy'],
};

/** Events as the floor would have recorded them up to `now`: near the plan, never quite on it. */
export function history(
  dough: { id: number; expanded: ExpandedDough; steps: readonly TimedStep[] },
  there: readonly Presence[],
  now: Instant,
): FloorEvent[] {
  const random = seeded(dough.id * 97);
  const events: FloorEvent[] = [];
  const freeFrom = new Map<string, Instant>();
  const record = (step: TimedStep, kind: FloorEvent['kind'], at: Instant, more: Partial<FlatEvent> = {}) => {
    // Somebody who began a step ends it, also when the shift is over.
    const begun =
      events.findLast((event) => event.stepKey === step.key && event.kind === 'start')?.personId ?? null;
    // A probe goes on measuring for whoever set it.
    const set = kind === 'temperature' ? (events.at(-1)?.personId ?? null) : null;
    const personId = personAt(there, at, random) ?? begun ?? set;
    if (personId === null || at > now) return false;
    const blank = { celsius: null, text: null, undoes: null, data: null };
    const own = { id: randomUUID(), doughId: dough.id, stepKey: step.key, kind, at, personId };
    events.push(eventOf({ ...blank, ...own, ...more }));
    return true;
  };
  for (const step of [...dough.steps].sort((a, b) => a.start - b.start || a.end - b.end)) {
    const before = dough.expanded.links.filter((link) => link.to === step.key).map((link) => link.from);
    const reached = Math.max(step.start - 3 * MINUTE, ...before.map((key) => freeFrom.get(key) ?? Infinity));
    if (before.length > 0 && !Number.isFinite(reached)) continue;
    const slip = random.below(7) * MINUTE;
    const started = Math.max(
      reached,
      before.length === 0 ? step.start + slip : step.start - 2 * MINUTE + slip,
    );
    if (!isHandsOn(step) && step.step.ends !== 'tap') {
      if (reached <= now) freeFrom.set(step.key, reached);
      if (step.step.cools)
        for (const [minutes, celsius] of COOLED)
          record(step, 'temperature', reached + minutes * MINUTE, { celsius });
      continue;
    }
    const [begun, done] = isHandsOn(step)
      ? [started, started + (step.target + random.below(4)) * MINUTE]
      : [reached, step.end + slip];
    if (isHandsOn(step) && !record(step, 'start', begun)) continue;
    if (done > now || !record(step, 'finish', done)) continue;
    freeFrom.set(step.key, done);
    const kind = step.step.id;
    const celsius = TEMPERATURES[kind];
    if (celsius !== undefined)
      record(step, 'temperature', done, { celsius: celsius + (random.below(9) - 4) / 10 });
    const note = NOTES[kind];
    if (note && random.below(3) === 0) record(step, 'note', done, { text: note });
    if (done > now - JUDGED_AFTER) continue;
    if (step.step.kind === 'bake' && step.load)
      record(step, 'count', done + 20 * MINUTE, {
        data: { kind: 'counted', good: step.load.pieces - 1, second: 1, waste: 0 },
      });
    const isLast = step.outputId !== null && dough.expanded.links.every(({ from }) => from !== step.key);
    if (isLast) record(step, 'marks', done + 30 * MINUTE, { data: JUDGEMENT });
  }
  return events;
}

function personAt(there: readonly Presence[], at: Instant, random: Random): number | null {
  const present = there.filter(({ start, end }) => start <= at && at <= end);
  return present[random.below(Math.max(1, present.length))]?.personId ?? null;
}
