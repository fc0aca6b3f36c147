import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';
import { isStale } from './agenda';

/** One load in the oven or on its way there. */
export interface OvenLoad {
  dough: DoughForecast;
  step: DoughForecast['steps'][number];
  /** The oven that it is in or goes into. */
  oven: string;
  setting: number;
  trays: number;
  status: 'in' | 'coming' | 'out';
  /** In since, or goes in at. */
  start: Instant;
  /** When trays are turned round and swapped: at half time, unless the product says otherwise; null never. */
  turn: Instant | null;
  /** Done at the earliest look: as planned, or later where somebody wanted it longer. */
  done: Instant;
  /** Phases of its program with their own ends; one where the route says nothing more. */
  phases: { celsius: number; until: Instant; steam: boolean; vent: boolean }[];
}

/** How far ahead loads are shown, hours, and for how long after they came out. */
const AHEAD = 12;
const KEPT = 2;

/** Loads in the oven, the first to come out on top, then those to come, and those that came out and are not counted yet. */
export function ovenLoads(
  doughs: readonly DoughForecast[],
  now: Instant,
): Record<OvenLoad['status'], OvenLoad[]> {
  const loads: Record<OvenLoad['status'], OvenLoad[]> = { in: [], coming: [], out: [] };
  for (const dough of doughs) {
    for (const step of dough.steps) {
      const use =
        step.step.kind === 'bake' ? step.uses.find(({ setting }) => setting !== undefined) : undefined;
      const state = dough.state.steps.get(step.key);
      if (!use || use.setting === undefined || !state || state.status === 'skipped') continue;
      const oven = state.oven ?? use.resource;
      const { start, end } = step;
      const status = state.status === 'running' ? 'in' : state.status === 'done' ? 'out' : 'coming';
      if (status === 'coming' && isStale(step.plannedStart, now)) continue;
      if (status === 'in' && isStale(step.ready?.latest ?? end, now)) continue;
      if (status === 'coming' && start > now + AHEAD * 60 * MINUTE) continue;
      if (status === 'out' && end < now - KEPT * 60 * MINUTE) continue;
      loads[status].push({
        ...{ dough, step, oven, setting: use.setting, trays: use.amount, status, start },
        turn: turnOf(step, start),
        done: status === 'out' ? end : (step.ready?.at ?? start + step.target * MINUTE),
        phases: phasesOf(step, use.setting, start),
      });
    }
  }
  loads.in.sort((a, b) => a.done - b.done);
  loads.coming.sort((a, b) => a.start - b.start);
  loads.out.sort((a, b) => b.done - a.done);
  return loads;
}

function turnOf({ step, target }: DoughForecast['steps'][number], start: Instant): Instant | null {
  const { turnTrays = Math.round(target / 2) } = step;
  return turnTrays > 0 ? start + turnTrays * MINUTE : null;
}

function phasesOf(
  { step, target }: DoughForecast['steps'][number],
  setting: number,
  start: Instant,
): OvenLoad['phases'] {
  const program = step.program ?? [{ celsius: setting, minutes: target }];
  let until = start;
  return program.map(({ celsius, minutes, steam, vent }, nth) => {
    // The last one lasts as long as the bake does.
    until = nth === program.length - 1 ? start + target * MINUTE : until + minutes * MINUTE;
    return { celsius, until, steam: steam === true, vent: vent === true };
  });
}
