import type { Clash } from '../solver/clashes';
import { CREW } from '../process/expand';
import { dayTime, MINUTE } from '../time/local';
import type { Machine } from '../bakery/machines';
import type { WholePlan } from './whole-plan';

/** The dough and step of a task of the whole plan; null where it is not in it any more. */
export function stepOf({ doughs, refs }: Pick<WholePlan, 'doughs' | 'refs'>, task: string) {
  const ref = refs.get(task);
  const dough = doughs.find(({ id }) => id === ref?.dough);
  const step = dough?.steps.find(({ key }) => key === ref?.step);
  return dough && step ? { dough, step } : null;
}

/** A broken rule in a sentence: `Sheeter: 1 table too few at Fri 07:10 (Danish 12)`. */
export function clashSentence(
  whole: Pick<WholePlan, 'doughs' | 'refs' | 'origin' | 'zone'>,
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
