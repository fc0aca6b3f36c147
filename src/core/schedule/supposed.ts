import type { Clash } from '../solver/clashes';
import type { Times } from '../solver/problem';
import { CREW } from '../process/expand';
import { taskId } from '../process/step-ref';
import { dayTime, MINUTE } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';
import type { Machine } from '../bakery/machines';
import type { WholePlan } from './whole-plan';

/** A dough as it would be with new times for some of its steps. */
export function withTimes<D extends Pick<DoughForecast, 'id' | 'steps'>>(
  dough: D,
  moved: Times,
  origin: number,
): D {
  const steps = dough.steps.map((step) => {
    const [start, end] = moved[taskId(dough.id, step.key)] ?? [];
    if (start === undefined || end === undefined) return step;
    return { ...step, plannedStart: origin + start * MINUTE, plannedEnd: origin + end * MINUTE };
  });
  return { ...dough, steps };
}

/** The dough and step of a task of the whole plan. */
export function stepOf({ doughs }: Pick<WholePlan, 'doughs'>, task: string) {
  const dough = doughs.find(({ id }) => task.startsWith(taskId(id, '')));
  const key = dough ? task.slice(taskId(dough.id, '').length) : '';
  const step = dough?.steps.find((one) => one.key === key);
  return dough && step ? { dough, step } : null;
}

/** A broken rule in a sentence: `Sheeter: 1 table too few at Fri 07:10 (Danish 12)`. */
export function clashSentence(
  whole: Pick<WholePlan, 'doughs' | 'origin' | 'zone'>,
  machines: readonly Machine[],
  clash: Clash,
  own?: number,
): string {
  const { origin, zone } = whole;
  const names = (tasks: readonly string[]) => {
    const doughs = tasks.flatMap((task) => stepOf(whole, task)?.dough ?? []);
    return [...new Set(doughs.filter(({ id }) => id !== own).map(({ name }) => name))].join(', ');
  };
  if (!('resource' in clash)) {
    const label = stepOf(whole, 'task' in clash ? clash.task : clash.to)?.step.label ?? 'A step';
    return `${label} would break its own wait`;
  }
  const machine = machines.find(({ id }) => id === clash.resource);
  const others = names(clash.tasks);
  const who = others === '' ? '' : ` (${others})`;
  const at = dayTime(origin + clash.from * MINUTE, zone);
  const label = clash.resource === CREW ? 'Hands' : (machine?.label ?? clash.resource);
  if (clash.rule === 'setting') return `${label}: two settings too close together at ${at}${who}`;
  const unit = clash.resource === CREW ? '' : ` ${machine?.unit ?? ''}`;
  return `${label}: ${clash.over}${unit} too few at ${at}${who}`;
}
