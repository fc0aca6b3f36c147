import type { Cause } from '@/core/forecast/cause';
import type { DoughForecast, StepForecast } from '@/core/forecast/forecast';
import { clockTime } from '@/core/time/local';

/** A shift that is smaller than this nobody need know of, ms. */
const WORTH_SAYING = 5 * 60_000;

const VERDICTS = { under: 'not ready', right: 'ready', over: 'overproofed' } as const;

/** Why a step is not as planned: `proof not ready at 05:28`. Empty where its own lateness says it. */
export function causeWords({ code, key }: Cause, dough: DoughForecast, zone: string): string {
  const step = dough.steps.find((one) => one.key === key);
  const state = dough.state.steps.get(key);
  if (!step || !state) return '';
  const name = step.label.toLowerCase();
  const at = (time: number | null | undefined) =>
    typeof time === 'number' ? ` at ${clockTime(time, zone)}` : '';
  switch (code) {
    case 'overdue':
      return '';
    case 'late':
      return `${name} was late`;
    case 'early':
      return `${name} was early`;
    case 'look':
      return state.verdict ? `${name} ${VERDICTS[state.verdict.verdict]}${at(state.verdict.at)}` : name;
    case 'check':
      return `${name} not ready${at(state.records.findLast(({ data }) => data.kind === 'checked')?.at)}`;
    case 'alive':
      return `${name} not ready${at(state.alive.at(-1)?.at)}`;
    case 'place':
      return `${name} moved${at(state.moved?.at)}`;
    case 'temperature':
      return `${name}: dough temperature`;
    case 'yeast':
      return 'yeast added';
    case 'climate':
      return `${name}: room temperature today`;
    case 'machine':
      return `${step.step.kind === 'load' ? 'oven' : 'machine'} out`;
  }
}

/** Where a step can no longer be as planned: `planned 05:38, proof not ready at 05:28`; null where it can. */
export function plannedWords(step: StepForecast, dough: DoughForecast, zone: string): string | null {
  if (Math.abs(step.dueAt - step.plannedStart) < WORTH_SAYING) return null;
  const why = step.cause ? causeWords(step.cause, dough, zone) : '';
  return `planned ${clockTime(step.plannedStart, zone)}${why === '' ? '' : `, ${why}`}`;
}
