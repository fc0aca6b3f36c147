import { CUTTABLE } from '../cutting/solve';
import { clashes } from '../solver/clashes';
import { MINUTE, type Instant } from '../time/local';
import { duration } from '../units/format';
import type { DoughForecast } from '../forecast/forecast';
import type { DoughRecord } from '../record/dough';
import type { Machine } from '../bakery/machines';
import type { RollingHouse } from '../bakery/rolling';
import { cutShort, type CutShort } from '../forecast/cut-sheets';
import { misfits } from './misfit';
import { clashSentence } from './supposed';
import { minutesBehind } from '../forecast/times';
import type { WholePlan } from './whole-plan';

/** Where the day has left the plan. */
export interface Drift {
  /** The dough it is about; null where hands or a machine are short. */
  doughId: number | null;
  sentence: string;
  /** When it matters. */
  at: Instant;
}

/**
 * What makes the plan need mending: doughs that are behind it by more than `lateMatters` minutes, waits that take longer or
 * shorter than they have, doughs that were mixed or folded to less than their pieces, and hands or machines that are fewer
 * than planned with.
 */
export function drifts(
  whole: WholePlan,
  { machines, rolling }: { machines: readonly Machine[]; rolling: RollingHouse },
  now: Instant,
  lateMatters: number,
): Drift[] {
  return [
    ...whole.floor.flatMap((dough) => ownDrifts(dough, now, lateMatters)),
    ...whole.floor.flatMap((dough) => tooSmall(dough, whole.doughs, rolling, now)),
    ...shortages(whole, machines, now),
  ];
}

function tooSmall(
  dough: DoughForecast,
  facts: readonly DoughRecord[],
  rolling: RollingHouse,
  now: Instant,
): Drift[] {
  const outputs = facts.find(({ id }) => id === dough.id)?.outputs ?? [];
  const sheet = dough.steps.find(({ step }) => step.kind === 'sheet');
  return cutShort(dough, outputs, rolling).map((short) => ({
    doughId: dough.id,
    sentence: `${dough.name}: ${shortSentence(short)}`,
    at: sheet?.plannedStart ?? now,
  }));
}

/** What a dough's sheets do not give, and what can be done: "9 of 120 cannot be cut (butter crescent) …". */
export function shortSentence({ output: { pieces, product }, missing, thinner }: CutShort): string {
  const fewer = `${missing} of ${pieces} cannot be cut (${product.toLowerCase()})`;
  return thinner >= CUTTABLE.least
    ? `${fewer}. Rolled to ${thinner} mm, all of them come out, each a little lighter; or promise fewer.`
    : `${fewer}: promise fewer, or add to them from the freezer.`;
}

function ownDrifts(dough: DoughForecast, now: Instant, lateMatters: number): Drift[] {
  const behind = minutesBehind(dough, now);
  const { id, name } = dough;
  if (behind >= lateMatters)
    return [{ doughId: id, sentence: `${name} is ${duration(behind)} behind`, at: now }];
  const [off] = misfits(dough).filter(({ by }) => Math.abs(by) >= lateMatters);
  const step = dough.steps.find(({ key }) => key === off?.key);
  return off ? [{ doughId: id, sentence: `${name}: ${off.sentence}`, at: step?.plannedStart ?? now }] : [];
}

function shortages(whole: WholePlan, machines: readonly Machine[], now: Instant): Drift[] {
  const { problem, present, origin } = whole;
  return clashes(problem, present)
    .filter((clash) => 'resource' in clash && origin + clash.to * MINUTE > now)
    .map((clash) => ({
      doughId: null,
      sentence: clashSentence(whole, machines, clash),
      at: 'resource' in clash ? Math.max(now, origin + clash.from * MINUTE) : now,
    }));
}
