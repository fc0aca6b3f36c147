import { unitWords } from '../bakery/machine-words';
import { coded, type Coded } from '../codes/coded';
import type { Clash } from '../solver/clashes';
import { CREW } from '../process/expand';
import { MINUTE } from '../time/local';
import type { Machine } from '../bakery/machines';
import type { WholePlan } from './whole-plan';

/** The dough and step of a task of the whole plan; null where it is not in it any more. */
export function stepOf({ doughs, refs }: Pick<WholePlan, 'doughs' | 'refs'>, task: string) {
  const ref = refs.get(task);
  const dough = doughs.find(({ id }) => id === ref?.dough);
  const step = dough?.steps.find(({ key }) => key === ref?.step);
  return dough && step ? { dough, step } : null;
}

/** A broken rule: `Sheeter: 1 table too few at Fri 07:10 (Danish 12)`. */
export function clashMessage(
  whole: Pick<WholePlan, 'doughs' | 'refs' | 'origin' | 'zone'>,
  machines: readonly Machine[],
  clash: Clash,
  own?: number,
): Coded {
  const { origin, zone } = whole;
  const names = (tasks: readonly string[]) => {
    const doughs = tasks.flatMap((task) => stepOf(whole, task)?.dough ?? []);
    return [...new Set(doughs.filter(({ id }) => id !== own).map(({ name }) => name))];
  };
  if (!('resource' in clash)) {
    const label = stepOf(whole, 'task' in clash ? clash.task : clash.to)?.step.label ?? coded('drift.aStep');
    return coded('drift.wouldBreakItsOwnWait', { label });
  }
  const machine = machines.find(({ id }) => id === clash.resource);
  const others = names(clash.tasks);
  const at = { dayTime: origin + clash.from * MINUTE, zone };
  const of = (message: Coded) =>
    others.length === 0 ? message : coded('drift.withOthers', { message, others });
  const label = machine?.label ?? clash.resource;
  if (clash.rule === 'setting') return of(coded('drift.twoSettingsTooCloseTogether', { label, at }));
  return clash.resource === CREW
    ? of(coded('drift.handsTooFewAt', { over: clash.over, at }))
    : of(
        coded('drift.tooFewAt', {
          label,
          over: clash.over,
          unit: machine ? unitWords(machine.kind, clash.over) : '',
          at,
        }),
      );
}
