import { coded, type Coded } from '../codes/coded';
import { CUTTABLE } from '../cutting/solve';
import { clashes } from '../solver/clashes';
import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';
import type { DoughRecord } from '../record/dough';
import type { Machine } from '../bakery/machines';
import type { RollingHouse } from '../bakery/rolling';
import { cutShort, type CutShort } from '../forecast/cut-sheets';
import { windowMisses } from './window-misses';
import { clashMessage } from './supposed';
import { minutesBehind } from '../forecast/times';
import type { WholePlan } from './whole-plan';

/** Where the day has left the plan. */
export interface Drift {
  /** The dough it is about; null where hands or a machine are short. */
  doughId: number | null;
  message: Coded;
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
    message: coded('drift.ofDough', { dough: dough.name, message: shortMessage(short) }),
    at: sheet?.plannedStart ?? now,
  }));
}

/** What a dough's sheets do not give, and what can be done: "9 of 120 cannot be cut (butter crescent) …". */
export function shortMessage({ output: { pieces, product }, missing, thinner }: CutShort): Coded {
  const fewer = coded('drift.ofCannotBeCut', { missing, pieces, product: product.toLowerCase() });
  return thinner >= CUTTABLE.least
    ? coded('drift.rolledToMmAllOf', { fewer, thinner: { mm: thinner } })
    : coded('drift.promiseFewerOrAddTo', { fewer });
}

function ownDrifts(dough: DoughForecast, now: Instant, lateMatters: number): Drift[] {
  const behind = minutesBehind(dough, now);
  const { id, name } = dough;
  if (behind >= lateMatters)
    return [
      { doughId: id, message: coded('drift.isBehind', { name, duration: { minutes: behind } }), at: now },
    ];
  const [off] = windowMisses(dough).filter(({ by }) => Math.abs(by) >= lateMatters);
  const step = dough.steps.find(({ key }) => key === off?.key);
  return off
    ? [
        {
          doughId: id,
          message: coded('drift.ofDough', { dough: name, message: off.message }),
          at: step?.plannedStart ?? now,
        },
      ]
    : [];
}

function shortages(whole: WholePlan, machines: readonly Machine[], now: Instant): Drift[] {
  const { problem, present, origin } = whole;
  return clashes(problem, present)
    .filter((clash) => 'resource' in clash && origin + clash.to * MINUTE > now)
    .map((clash) => ({
      doughId: null,
      message: clashMessage(whole, machines, clash),
      at: 'resource' in clash ? Math.max(now, origin + clash.from * MINUTE) : now,
    }));
}
