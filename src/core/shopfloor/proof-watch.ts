import type { Machine } from '../bakery/machines';
import { type Instant, MINUTE } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';
import { riseSpread } from '../forecast/judgement';
import { agenda, type AgendaItem } from './agenda';
import { ovenLoads } from './oven-loads';

/** A dough, or a load of one, that rests or rises, and what it waits for. */
export interface WatchedWait extends AgendaItem {
  since: Instant;
  /** Ready between these times, best at `best`; `look` is when somebody should look next. */
  soonest: Instant;
  best: Instant;
  latest: Instant;
  look: Instant;
  /** One standard deviation of its best time, minutes; null where it does not rise, or was found ready. */
  spread: number | null;
  /** How far it is: 0 begun, 1 at its best, more when beyond. */
  share: number;
  /** The bake that it goes to, if it goes to an oven next, and when that oven has room for it at that setting. */
  bake: {
    oven: string;
    setting: number;
    trays: number;
    minutes: number;
    planned: Instant;
    free: Instant;
  } | null;
}

/** What an oven takes at once, and how long it needs for another setting, minutes. */
export type Oven = Pick<Machine, 'id' | 'capacity' | 'changeover'>;

/** Minutes before something is ready at which it is looked at: closer together as it comes near. */
const LOOKS = [60, 30, 15, 7, 0];

/** When it has to be seen to: at its best, and once that is past, before it is too late. */
const wanted = ({ best, latest }: WatchedWait, now: Instant) => (now < best ? best : latest);

/** Everything that rests or rises now, what has to be seen to first on top. */
export function proofWatch(
  doughs: readonly DoughForecast[],
  ovens: readonly Oven[],
  now: Instant,
): WatchedWait[] {
  return agenda(doughs, now)
    .waiting.filter(({ step }) => step.step.ends !== 'tap')
    .flatMap((item) => {
      const { dough, step } = item;
      if (!step.ready) return [];
      const { start: since, ready } = step;
      const { earliest: soonest, best, latest, at } = ready;
      const left = (at - now) / MINUTE;
      const next = LOOKS.find((minutes) => minutes < left) ?? 0;
      return {
        ...{ ...item, since, soonest, best, latest },
        look: Math.max(now, at - next * MINUTE),
        spread: spreadOf(item, best),
        share: best > since ? (now - since) / (best - since) : 1,
        bake:
          step.step.kind === 'proof' && step.outputId !== null
            ? bakeAfter(doughs, dough, { step, ovens, now })
            : null,
      };
    })
    .sort((a, b) => wanted(a, now) - wanted(b, now) || (a.step.key < b.step.key ? -1 : 1));
}

/** How sure the best time of a rise is, by the last look at it. */
function spreadOf({ step, state }: AgendaItem, best: Instant): number | null {
  const { verdict } = state;
  if (!step.risen || best <= step.start || (verdict && verdict.verdict !== 'under')) return null;
  const notYet = verdict ? (verdict.at - step.start) / MINUTE : null;
  return riseSpread((best - step.start) / MINUTE, notYet);
}

interface OvenAt {
  step: DoughForecast['steps'][number];
  ovens: readonly Oven[];
  now: Instant;
}

function bakeAfter(
  doughs: readonly DoughForecast[],
  dough: DoughForecast,
  { step, ovens, now }: OvenAt,
): WatchedWait['bake'] {
  const bake = dough.steps.find(
    (other) =>
      other.step.kind === 'bake' && other.outputId === step.outputId && other.load?.nth === step.load?.nth,
  );
  const use = bake?.uses.find(({ setting }) => setting !== undefined);
  const oven = ovens.find(({ id }) => id === use?.resource);
  if (!bake || !use || !oven) return null;
  const planned = bake.start;
  return {
    ...{ oven: oven.id, setting: use.setting as number, trays: use.amount, minutes: bake.target, planned },
    free: ovenFree(doughs, use as { setting: number; amount: number }, oven, now),
  };
}

/** From when on an oven has room for some trays at a setting, by what is in it now. */
function ovenFree(
  doughs: readonly DoughForecast[],
  { setting, amount }: { setting: number; amount: number },
  { id, capacity, changeover }: Oven,
  now: Instant,
): Instant {
  const inside = ovenLoads(doughs, now)
    .in.filter(({ oven }) => oven === id)
    .map((load) => ({ ...load, end: Math.max(now, load.step.end) }))
    .sort((a, b) => a.end - b.end);
  let held = inside.reduce((sum, { trays }) => sum + trays, 0);
  let free = now;
  for (const load of inside) {
    const other = load.setting !== setting;
    if (!other && held + amount <= capacity) continue;
    held -= load.trays;
    free = Math.max(free, load.end + (other ? changeover * MINUTE : 0));
  }
  return free;
}
