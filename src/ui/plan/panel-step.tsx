'use client';

import type { DoughPanelProps } from './dough-panel-props';
import { useWords } from '../kit/words';
import clsx from 'clsx';
import { Pin } from 'lucide-react';
import type { StepForecast } from '@/core/forecast/forecast';
import { taskId } from '@/core/process/step-ref';
import { isHandsOn } from '@/core/record/state';
import { clockTime } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { StepMark } from '../thread/step-mark';
import { StepWhy } from './step-why';

interface Props {
  step: StepForecast;
  /** The step above it in the list. */
  before: StepForecast | null;
  panel: DoughPanelProps;
}

/** A step of the dough: when, by whom, and on request why then. */
export function PanelStep({ step, before, panel }: Props) {
  const { dough, zone, people } = panel;
  const say = useWords();

  const state = dough.state.steps.get(step.key);
  const { start, end } = step;
  const name = say.dayName(start, zone);
  const newDay = !before || say.dayName(before.start, zone) !== name;
  const nameOf = (of: number | null | undefined) => people.find(({ id }) => id === of)?.name;
  const planned = panel.duties.find(({ task }) => task === taskId(dough.id, step.key))?.personIds ?? [];
  const did = nameOf(state?.startedBy ?? state?.finishedBy);
  const by = did ?? planned.map(nameOf).join(', ');
  const off = Math.abs(Math.round((start - step.plannedStart) / 60_000));
  return (
    <li>
      {newDay && <p className="mt-2 font-label text-[15px] font-semibold text-quiet">{name}</p>}
      <button
        className={clsx(
          'flex min-h-6 w-full items-baseline gap-2 py-0.5 text-left text-[15px]',
          state?.status === 'skipped' && 'line-through',
        )}
        aria-expanded={panel.step === step.key}
        onClick={() => panel.onStep(panel.step === step.key ? null : step.key)}
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
      {panel.step === step.key && <StepWhy {...panel} step={step} />}
    </li>
  );
}
