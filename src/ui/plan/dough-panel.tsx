'use client';

import { guided } from '../first-steps/guided';
import { useWords } from '../kit/words';
import { useMemo } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import { cutShort } from '@/core/forecast/cut-sheets';
import { shortMessage } from '@/core/schedule/drift';
import { promisesOf, type PromiseState } from '@/core/forecast/promises';
import { stepOf } from '@/core/schedule/supposed';
import type { PlanSample } from '@/core/solver/sampling';
import { taskId } from '@/core/process/step-ref';
import { windowMisses } from '@/core/schedule/window-misses';
import { isHandsOn } from '@/core/record/state';
import { duration } from '@/core/units/format';
import { Button } from '../kit/button';
import { FollowDough } from '../rooms/follow-dough';
import { outputWord, stateWords, whenWords } from './words';
import type { DoughPanelProps } from './dough-panel-props';
import { PanelStep } from './panel-step';
import type { CutShort } from '@/core/forecast/cut-sheets';

/** The picked dough: what it becomes, what comes next, and its steps with planned and real times. */
export function DoughPanel(props: DoughPanelProps) {
  const say = useWords();
  const { dough, facts, now, zone, whole, rolling, onTakeOut, onWays } = props;
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
    return found?.dough.id === dough.id ? [say.inLine(say.coded(found.step.label))] : [];
  });
  const off = windowMisses(dough);
  return (
    <aside
      {...guided('plan-panel')}
      aria-label={dough.name}
      className="flex min-w-0 flex-col border-l border-hairline lg:h-[calc(100dvh-4rem)]"
    >
      <div className="border-b border-hairline p-4">
        <h2 className="text-2xl font-bold">{dough.name}</h2>
        {promises.map((promise) => (
          <PanelPromise key={promise.output.id} promise={promise} zone={zone} />
        ))}
        {watch.length > 0 && <p className="text-[15px]">{say('plan.watch', { watch: watch.join(', ') })}</p>}
        {onWays && promises.some(({ late }) => late > 0) && (
          <Button look="act" className="mt-1" onClick={onWays}>
            {say('plan.waysOut')}
          </Button>
        )}
        <p className="text-[15px] text-quiet">
          {say('plan.ofDough', { weight: say.shown({ kg: facts.kg }), part: words ? `, ${words}` : '' })}
        </p>
        {next && (
          <p className="mt-2 border-l-4 border-butter pl-3">
            <span className="block text-lg font-semibold">{say.coded(next.label)}</span>
            {say.dayTime(next.start, zone)}, {whenWords(say, { inMinutes: (next.dueAt - now) / 60_000 })}
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
        {steps.map((step, nth) => (
          <PanelStep key={step.key} step={step} before={steps[nth - 1] ?? null} panel={props} />
        ))}
      </ol>
    </aside>
  );
}

interface PanelPromiseProps {
  promise: PromiseState & { sure: number | null; missing: CutShort | undefined };
  zone: string;
}

/** What is promised from the dough, and whether it is kept. */
function PanelPromise({ promise, zone }: PanelPromiseProps) {
  const say = useWords();
  const { output, late, stale, sure, missing } = promise;
  return (
    <div>
      <p className="flex justify-between gap-2">
        <span>{outputWord(say, output)}</span>
        <span className="text-quiet">{say.dayTime(output.dueAt, zone)}</span>
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
        <p className="text-right text-warn">{say('plan.stalerThanFresh', { duration: duration(stale) })}</p>
      )}
    </div>
  );
}

/** The share of plays in which all loads of an output are on time; null where it was not played. */
function surenessOf(sampled: PlanSample | null, dough: DoughForecast, outputId: number): number | null {
  const own = (sampled?.outputs ?? []).filter(({ task }) =>
    task.startsWith(taskId(dough.id, `${outputId}.`)),
  );
  return own.length === 0 ? null : Math.min(...own.map(({ onTime }) => onTime));
}
