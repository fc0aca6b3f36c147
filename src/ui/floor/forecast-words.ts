import type { Say } from '@/words/say';
import type { Cause } from '@/core/forecast/cause';
import type { DoughForecast, StepForecast } from '@/core/forecast/forecast';
import { clockTime } from '@/core/time/local';

/** A shift that is smaller than this nobody need know of, ms. */
const WORTH_SAYING = 5 * 60_000;

const verdicts = (say: Say) =>
  ({ under: say('floor.notReady'), right: say('floor.ready'), over: say('floor.overproofed') }) as const;

/** Why a step is not as planned: `proof not ready at 05:28`. Empty where its own lateness says it. */
export function causeWords(say: Say, { code, key }: Cause, dough: DoughForecast, zone: string): string {
  const step = dough.steps.find((one) => one.key === key);
  const state = dough.state.steps.get(key);
  if (!step || !state) return '';
  const name = say.inLine(say.coded(step.label));
  const at = (time: number | null | undefined) =>
    typeof time === 'number' ? say('floor.at', { time: clockTime(time, zone) }) : '';
  switch (code) {
    case 'overdue':
      return '';
    case 'late':
      return say('floor.wasLate', { name });
    case 'early':
      return say('floor.wasEarly', { name });
    case 'look':
      return state.verdict
        ? say('floor.looked', {
            name,
            verdict: verdicts(say)[state.verdict.verdict],
            at: at(state.verdict.at),
          })
        : name;
    case 'check':
      return say('floor.notReady2', {
        name,
        at: at(state.records.findLast(({ data }) => data.kind === 'checked')?.at),
      });
    case 'alive':
      return say('floor.notReady2', { name, at: at(state.alive.at(-1)?.at) });
    case 'place':
      return say('floor.moved', { name, at: at(state.moved?.at) });
    case 'temperature':
      return say('floor.doughTemperature', { name });
    case 'yeast':
      return say('floor.yeastAdded');
    case 'climate':
      return say('floor.roomTemperatureToday', { name });
    case 'machine':
      return say('floor.ovenMachineOut', { isKind: step.step.kind === 'load' });
  }
}

/** Where a step can no longer be as planned: `planned 05:38, proof not ready at 05:28`; null where it can. */
export function plannedWords(
  say: Say,
  step: StepForecast,
  dough: DoughForecast,
  zone: string,
): string | null {
  if (Math.abs(step.dueAt - step.plannedStart) < WORTH_SAYING) return null;
  const why = step.cause ? causeWords(say, step.cause, dough, zone) : '';
  return say('floor.planned', {
    time: clockTime(step.plannedStart, zone),
    value: why === '' ? '' : `, ${why}`,
  });
}
