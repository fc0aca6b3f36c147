import { clashes } from '../planning/clashes';
import { dayTime, MINUTE, type Instant } from '../time/local';
import { duration } from '../units/format';
import { floorDough, type BoardDough, type Machine } from './board';
import { misfits } from './misfit';
import { minutesBehind } from './times';
import type { WholePlan } from './whole-plan';
import { CREW } from '../route/expand';

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
 * shorter than they have, and hands or machines that are fewer than planned with.
 */
export function drifts(
  whole: WholePlan,
  machines: readonly Machine[],
  now: Instant,
  lateMatters: number,
): Drift[] {
  return [
    ...whole.doughs.flatMap((dough) => ownDrifts(dough, now, lateMatters)),
    ...shortages(whole, machines, now),
  ];
}

function ownDrifts(dough: BoardDough, now: Instant, lateMatters: number): Drift[] {
  const onFloor = floorDough(dough);
  const behind = minutesBehind(onFloor, now);
  const { id, name } = dough;
  if (behind >= lateMatters)
    return [{ doughId: id, sentence: `${name} is ${duration(behind)} behind`, at: now }];
  const [off] = misfits(onFloor).filter(({ by }) => Math.abs(by) >= lateMatters);
  const step = dough.steps.find(({ key }) => key === off?.key);
  return off ? [{ doughId: id, sentence: `${name}: ${off.sentence}`, at: step?.plannedStart ?? now }] : [];
}

function shortages(
  { problem, present, origin, zone, doughs }: WholePlan,
  machines: readonly Machine[],
  now: Instant,
) {
  const nameOf = (task: string) => doughs.find(({ id }) => task.startsWith(`${id}/`))?.name ?? '';
  return clashes(problem, present).flatMap((clash): Drift[] => {
    if (!('resource' in clash)) return [];
    const from = origin + clash.from * MINUTE;
    if (origin + clash.to * MINUTE <= now) return [];
    const who = [...new Set(clash.tasks.map(nameOf))].join(', ');
    const machine = machines.find(({ id }) => id === clash.resource);
    const what = clash.resource === CREW ? 'Hands' : (machine?.label ?? clash.resource);
    const lack =
      clash.rule === 'setting'
        ? 'two settings too close together'
        : `${clash.over} ${clash.resource === CREW ? '' : `${machine?.unit ?? ''} `}too few`;
    const sentence = `${what}: ${lack.replace('  ', ' ')} at ${dayTime(Math.max(now, from), zone)} (${who})`;
    return [{ doughId: null, sentence, at: Math.max(now, from) }];
  });
}
