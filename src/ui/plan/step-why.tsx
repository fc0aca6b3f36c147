'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useEffect, useState } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { Machine } from '@/core/bakery/machines';
import { clashMessage, stepOf } from '@/core/schedule/supposed';
import { isHandsOn } from '@/core/record/state';
import type { WholePlan } from '@/core/schedule/whole-plan';
import type { Reach } from '@/core/solver/what-if';
import { taskId } from '@/core/process/step-ref';
import { duration } from '@/core/units/format';
import { Button } from '../kit/button';
import type { MovingHand } from './use-moving';

interface Props {
  dough: DoughForecast;
  step: DoughForecast['steps'][number];
  whole: WholePlan;
  machines: readonly Machine[];
  zone: string;
  hand: MovingHand;
  mayPlan: boolean;
}

/** How far a step could go, what holds it on each side, and how to take it in the hand. */
export function StepWhy({ dough, step, whole, machines, zone, hand, mayPlan }: Props) {
  const say = useWords();

  const [reach, setReach] = useState<{ earlier: Reach; later: Reach } | null>(null);
  const { reach: ask } = hand;
  const task = taskId(dough.id, step.key);
  useEffect(() => {
    let left = false;
    void ask(task).then((found) => {
      if (!left) setReach(found);
    });
    return () => {
      left = true;
    };
  }, [ask, task]);
  const open = dough.state.steps.get(step.key)?.status === 'open' && isHandsOn(step);
  return (
    <div className="mb-2 grid gap-1 border-l-4 border-ink py-1 pl-3 text-[15px]">
      {!open && (
        <p className="text-quiet">
          {isHandsOn(step)
            ? say('plan.begunOrDoneItStays')
            : say('plan.aWaitOfItGives', { windowWords: windowWords(say, step) })}
        </p>
      )}
      {open && !reach && <p className="text-quiet">{say('plan.lookingHowFarItCan')}</p>}
      {open && reach && (
        <>
          {(['earlier', 'later'] as const).map((side) => (
            <p key={side}>
              <b>
                {say('plan.notBeforeAfter', {
                  isSide: side === 'earlier',
                  time: say.dayTime(whole.origin + reach[side].start * 60_000, zone),
                })}
              </b>{' '}
              {holdWords(say, reach[side], side, { dough, step, whole, machines })}
            </p>
          ))}
          {mayPlan && (
            <div className="mt-1 flex flex-wrap gap-2">
              <Button onClick={() => hand.begin(dough.id, step.key)}>{say('plan.moveIt')}</Button>
              <Button onClick={() => void hand.pin(dough.id, step.key, !step.pinned)}>
                {step.pinned ? say('plan.letItGo') : say('plan.fixItHere')}
              </Button>
            </div>
          )}
        </>
      )}
    </div>
  );
}

function windowWords(say: Say, { min, max }: { min: number; max: number }): string {
  return min === max ? duration(min) : say('plan.fromTo', { min: duration(min), max: duration(max) });
}

/** What is in the way of a step beyond its reach, in a sentence. */
function holdWords(
  say: Say,
  { stop, moved }: Reach,
  side: 'earlier' | 'later',
  { dough, step, whole, machines }: Omit<Props, 'hand' | 'mayPlan' | 'zone'>,
): string {
  if ('clash' in stop) return `${say.coded(clashMessage(whole, machines, stop.clash, dough.id))}.`;
  if ('late' in stop) {
    const late = stepOf(whole, stop.late);
    return say('plan.wouldBeLate', { label: late ? say.coded(late.step.label) : say('plan.theBake') });
  }
  if ('far' in stop) return say('plan.nothingNearIsInThe');
  const wait = tightWait(dough, step, side, moved);
  if (wait)
    return say('plan.wouldBeShorterLongerThan', {
      label: say.inLine(say.coded(wait.label)),
      isShort: wait.short,
      duration: duration(wait.limit),
    });
  return side === 'earlier' ? say('plan.itWouldHaveBegunAlready') : say('plan.nobodyIsThereOrThe');
}

/** The wait of the dough that is at its limit when the step is as far as it can go. */
function tightWait(
  dough: DoughForecast,
  step: Props['step'],
  side: 'earlier' | 'later',
  moved: Reach['moved'],
) {
  const waits = dough.steps
    .filter((one) => !isHandsOn(one) && one.min < one.max)
    .map((one) => {
      const [start, end] = moved[taskId(dough.id, one.key)] ?? [];
      const length =
        start === undefined || end === undefined ? (one.plannedEnd - one.plannedStart) / 60_000 : end - start;
      const before = one.plannedStart < step.plannedStart;
      return { ...one, length, before };
    });
  // Earlier squeezes what lies before it and stretches what lies after; later the other way round.
  const found = waits
    .filter(({ before, length, min, max }) =>
      before === (side === 'earlier') ? length <= min + 10 : length >= max - 10,
    )
    .sort(
      (a, b) => Math.abs(a.plannedStart - step.plannedStart) - Math.abs(b.plannedStart - step.plannedStart),
    )[0];
  if (!found) return null;
  const short = found.before === (side === 'earlier');
  return { label: found.label, short, limit: short ? found.min : found.max };
}
