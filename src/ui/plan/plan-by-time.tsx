'use client';

import { useMemo } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import { taskId } from '@/core/process/step-ref';
import { isHandsOn } from '@/core/record/state';
import type { Duty } from '@/core/schedule/rota';
import type { Board } from '@/core/wire/board';
import { useWords } from '../kit/words';

interface Props {
  doughs: readonly DoughForecast[];
  /** The time that is shown. */
  span: { from: number; to: number };
  now: number;
  zone: string;
  /** Who does what. */
  duties: readonly Duty[];
  people: Board['people'];
}

/** Longest list that anybody listens to. */
const LISTED = 80;

/** The plan as it is heard: the work that is still to do in the time shown, by when it begins. */
export function PlanByTime({ doughs, span, now, zone, duties, people }: Props) {
  const say = useWords();
  const doers = useMemo(() => new Map(duties.map(({ task, personIds }) => [task, personIds])), [duties]);
  const namesOf = (ids: readonly number[]) =>
    ids.flatMap((id) => people.find((one) => one.id === id)?.name ?? []).join(', ');
  const work = useMemo(
    () =>
      doughs
        .flatMap((dough) => dough.steps.map((step) => ({ dough, step })))
        .filter(({ dough, step }) => {
          const status = dough.state.steps.get(step.key)?.status ?? 'open';
          const isOpen = status === 'open' || status === 'running';
          return isOpen && isHandsOn(step) && step.end > Math.max(now, span.from) && step.start < span.to;
        })
        .sort((a, b) => a.step.start - b.step.start)
        .slice(0, LISTED),
    [doughs, span.from, span.to, now],
  );
  return (
    <section aria-label={say('plan.byTime')} className="sr-only">
      <ol>
        {work.map(({ dough, step }) => {
          const who = namesOf(doers.get(taskId(dough.id, step.key)) ?? []);
          return (
            <li key={`${dough.id}/${step.key}`}>
              {say('plan.workAt', {
                ...{ time: say.dayTime(step.start, zone), dough: dough.name, who, hasWho: who !== '' },
                step: say.inLine(say.coded(step.label)),
              })}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
