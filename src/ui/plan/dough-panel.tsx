'use client';

import { useWords } from '../kit/words';
import clsx from 'clsx';
import { Pin } from 'lucide-react';
import { useMemo } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { DoughRecord } from '@/core/record/dough';
import type { Person } from '@/core/bakery/people';
import type { Machine } from '@/core/bakery/machines';
import type { RollingHouse } from '@/core/bakery/rolling';
import { cutShort } from '@/core/forecast/cut-sheets';
import { shortMessage } from '@/core/schedule/drift';
import { promisesOf } from '@/core/forecast/promises';
import { stepOf } from '@/core/schedule/supposed';
import type { WholePlan } from '@/core/schedule/whole-plan';
import type { Duty } from '@/core/schedule/rota';
import type { PlanSample } from '@/core/solver/sampling';
import { taskId } from '@/core/process/step-ref';
import { misfits } from '@/core/schedule/misfit';
import { isHandsOn } from '@/core/record/state';
import { clockTime, dayName, dayTime } from '@/core/time/local';
import { duration, weight } from '@/core/units/format';
import { Button } from '../kit/button';
import { FollowDough } from '../rooms/follow-dough';
import { StepMark } from '../thread/step-mark';
import { StepWhy } from './step-why';
import type { MovingHand } from './use-moving';
import { stateWords, whenWords } from './words';

interface Props {
  dough: DoughForecast;
  facts: DoughRecord;
  now: number;
  zone: string;
  people: Person[];
  whole: WholePlan;
  /** Who is to carry the steps out. */
  duties: readonly Duty[];
  /** How sure the plan is; null until it was played through. */
  sampled: PlanSample | null;
  machines: readonly Machine[];
  rolling: RollingHouse;
  /** The step that is looked at. */
  step: string | null;
  onStep: (key: string | null) => void;
  hand: MovingHand;
  mayPlan: boolean;
  onTakeOut: (() => void) | null;
  /** Asks for ways out where a promise is not kept. */
  onWays: (() => void) | null;
}

/** The picked dough: what it becomes, what comes next, and its steps with planned and real times. */
export function DoughPanel(props: Props) {
  const say = useWords();
  const { dough, facts, now, zone, people, whole, machines, rolling, hand, mayPlan, onTakeOut, onWays } =
    props;
  const steps = [...dough.steps].sort((a, b) => a.start - b.start);
  const next = steps.find((step) => isHandsOn(step) && dough.state.steps.get(step.key)?.status === 'open');
  const words = stateWords(say, dough, now);
  const short = useMemo(() => cutShort(dough, facts.outputs, rolling), [dough, facts, rolling]);
  const promises = (dough.state.finished ? [] : promisesOf(dough, facts)).map((promise) => {
    const missing = short.find(({ output }) => output.id === promise.output.id);
    // What cannot be cut is not on time in any play.
    const sure = missing ? 0 : surenessOf(props.sampled, dough, promise.output.id);
    return { ...promise, sure, missing };
  });
  const watch = (props.sampled?.watch ?? []).flatMap(({ task }) => {
    const found = stepOf(whole, task);
    return found?.dough.id === dough.id ? [say.coded(found.step.label).toLowerCase()] : [];
  });
  const off = misfits(dough);
  return (
    <aside
      aria-label={dough.name}
      className="flex min-w-0 flex-col border-l border-hairline lg:h-[calc(100dvh-4rem)]"
    >
      <div className="border-b border-hairline p-4">
        <h2 className="text-2xl font-bold">{dough.name}</h2>
        {promises.map(({ output: { id, pieces, product, dueAt }, late, stale, sure, missing }) => (
          <div key={id}>
            <p className="flex justify-between gap-2">
              <span>
                {pieces} {product.toLowerCase()}
              </span>
              <span className="text-quiet">{dayTime(dueAt, zone)}</span>
            </p>
            {sure !== null && (
              <p className="text-right text-[15px] text-quiet">
                {say('plan.onTimeInOf100', { value: Math.round(100 * sure) })}
              </p>
            )}
            {missing && <p className="font-bold text-warn">{say.coded(shortMessage(missing))}</p>}
            {late > 0 && (
              <p className="text-right font-bold text-warn">
                {say('plan.readyLate', { duration: duration(late) })}
              </p>
            )}
            {stale > 0 && (
              <p className="text-right text-warn">
                {say('plan.stalerThanFresh', { duration: duration(stale) })}
              </p>
            )}
          </div>
        ))}
        {watch.length > 0 && <p className="text-[15px]">{say('plan.watch', { watch: watch.join(', ') })}</p>}
        {onWays && promises.some(({ late }) => late > 0) && (
          <Button look="act" className="mt-1" onClick={onWays}>
            {say('plan.waysOut')}
          </Button>
        )}
        <p className="text-[15px] text-quiet">
          {say('plan.ofDough', { weight: weight(facts.kg), part: words ? `, ${words}` : '' })}
        </p>
        {next && (
          <p className="mt-2 border-l-4 border-butter pl-3">
            <span className="block text-lg font-semibold">{say.coded(next.label)}</span>
            {dayTime(next.start, zone)}, {whenWords(say, { inMinutes: (next.dueAt - now) / 60_000 })}
          </p>
        )}
        {off.length > 0 && (
          <div className="mt-2">
            {off.slice(0, 3).map(({ key, message }) => (
              <p key={key} className="text-[15px] text-warn">
                {say.coded(message)}
              </p>
            ))}
            <FollowDough id={dough.id} name={dough.name} />
          </div>
        )}
        <div className="mt-3 flex gap-2">
          <a
            href={`/dough/${dough.id}`}
            className="grid min-h-9 place-items-center rounded border border-edge bg-flour px-3 text-[15px]"
          >
            {say('plan.openDough')}
          </a>
          {onTakeOut && <Button onClick={onTakeOut}>{say('plan.takeOut')}</Button>}
        </div>
      </div>
      <ol className="min-h-0 flex-1 overflow-y-auto px-4 py-2" tabIndex={0} aria-label={say('plan.steps')}>
        {steps.map((step, nth) => {
          const state = dough.state.steps.get(step.key);
          const { start, end } = step;
          const name = dayName(start, zone);
          const before = steps[nth - 1];
          const newDay = !before || dayName(before.start, zone) !== name;
          const nameOf = (of: number | null | undefined) => people.find(({ id }) => id === of)?.name;
          const planned =
            props.duties.find(({ task }) => task === taskId(dough.id, step.key))?.personIds ?? [];
          const did = nameOf(state?.startedBy ?? state?.finishedBy);
          const by = did ?? planned.map(nameOf).join(', ');
          const off = Math.abs(Math.round((start - step.plannedStart) / 60_000));
          return (
            <li key={step.key}>
              {newDay && <p className="mt-2 font-label text-[15px] font-semibold text-quiet">{name}</p>}
              <button
                className={clsx(
                  'flex min-h-6 w-full items-baseline gap-2 py-0.5 text-left text-[15px]',
                  state?.status === 'skipped' && 'line-through',
                )}
                aria-expanded={props.step === step.key}
                onClick={() => props.onStep(props.step === step.key ? null : step.key)}
              >
                <span className="w-11 shrink-0 text-right font-label text-[16px] font-medium">
                  {clockTime(start, zone)}
                </span>
                <StepMark hands={isHandsOn(step)} status={state?.status ?? 'open'} celsius={step.around} />
                <span className={clsx('min-w-0 flex-1', isHandsOn(step) ? 'font-semibold' : 'text-quiet')}>
                  {say.coded(step.label)}
                  {step.pinned && <Pin aria-label={say('plan.fixed')} size={13} className="ml-1 inline" />}
                  {by && isHandsOn(step) && <span className="font-normal text-quiet"> {by}</span>}
                </span>
                <span className="shrink-0 text-right font-label text-[14px] text-quiet">
                  {off !== 0 && isHandsOn(step)
                    ? say('plan.planned', { time: clockTime(step.plannedStart, zone) })
                    : duration((end - start) / 60_000)}
                </span>
              </button>
              {props.step === step.key && (
                <StepWhy {...{ dough, step, whole, machines, zone, hand, mayPlan }} />
              )}
            </li>
          );
        })}
      </ol>
    </aside>
  );
}

/** The share of plays in which all loads of an output are on time; null where it was not played. */
function surenessOf(sampled: PlanSample | null, dough: DoughForecast, outputId: number): number | null {
  const own = (sampled?.outputs ?? []).filter(({ task }) =>
    task.startsWith(taskId(dough.id, `${outputId}.`)),
  );
  return own.length === 0 ? null : Math.min(...own.map(({ onTime }) => onTime));
}
