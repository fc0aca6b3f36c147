'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import clsx from 'clsx';
import type { DoughForecast, StepForecast } from '@/core/forecast/forecast';
import type { Person } from '@/core/bakery/people';
import { isHandsOn } from '@/core/record/state';
import { clockTime } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { checkWords } from '../bench/rest-words';
import { useCelsius } from '../live/units';
import { StepMark } from '../thread/step-mark';
import { TableHead } from '../kit/table-head';
import type { StepState } from '@/core/record/step-state';

interface Props {
  dough: DoughForecast;
  slack: Map<string, { from: number; to: number }> | null;
  people: Person[];
  zone: string;
  now: number;
}

/** Expected at another time than it is planned. */
const isShifted = ({ start, plannedStart }: DoughForecast['steps'][number]) =>
  Math.abs(start - plannedStart) >= 60_000;

const headings = (say: Say) => [
  say('dough.step'),
  say('dough.planned'),
  say('dough.real'),
  say('dough.window'),
  say('dough.mayStart'),
  say('dough.who'),
  say('dough.readingsAndNotes'),
];

/** Every step: planned beside real, its window, and between what times it may start. */
export function StepTable({ dough, slack, people, zone }: Props) {
  const say = useWords();
  const celsius = useCelsius();
  const name = (id: number | null) => people.find((person) => person.id === id)?.name ?? '';
  const steps = [...dough.steps].sort(
    (a, b) => a.plannedStart - b.plannedStart || a.plannedEnd - b.plannedEnd,
  );
  return (
    <div
      className="relative overflow-x-auto"
      tabIndex={0}
      role="group"
      aria-label={say('dough.stepsOfThisDough')}
    >
      <table className="mt-4 w-full min-w-[56rem] border-collapse text-left text-[16px]">
        <TableHead headings={headings(say)} />
        <tbody>
          {steps.map((step) => (
            <StepRow
              key={step.key}
              step={step}
              dough={dough}
              slack={slack}
              name={name}
              zone={zone}
              celsius={celsius}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface StepRowProps {
  step: StepForecast;
  dough: DoughForecast;
  slack: Map<string, { from: number; to: number }> | null;
  name: (id: number | null) => string;
  zone: string;
  celsius: (celsius: number) => string;
}

/** A step: planned, recorded, how long, how far it may move, and who. */
function StepRow({ step, dough, slack, name, zone, celsius }: StepRowProps) {
  const say = useWords();

  const state = dough.state.steps.get(step.key);
  const startedAt = state?.startedAt ?? null;
  const finishedAt = state?.finishedAt ?? null;
  const may = slack?.get(step.key);
  const off = startedAt !== null ? Math.round((startedAt - step.plannedStart) / 60_000) : 0;
  const who = [...new Set([name(state?.startedBy ?? null), name(state?.finishedBy ?? null)])].filter(Boolean);
  return (
    <tr className="border-b border-hairline align-baseline">
      <th
        scope="row"
        className={clsx('py-1 pr-4', isHandsOn(step) ? 'font-semibold' : 'font-normal text-quiet')}
      >
        <span className={clsx('flex items-center gap-2', state?.status === 'skipped' && 'line-through')}>
          <StepMark hands={isHandsOn(step)} status={state?.status ?? 'open'} celsius={step.around} />
          {say.coded(step.label)}
        </span>
      </th>
      <td className="pr-4 whitespace-nowrap">
        {say('dough.to', {
          dayName: say.dayName(step.plannedStart, zone),
          time: clockTime(step.plannedStart, zone),
          time2: clockTime(step.plannedEnd, zone),
        })}
      </td>
      <Happened
        startedAt={startedAt}
        zone={zone}
        finishedAt={finishedAt}
        state={state}
        step={step}
        off={off}
      />
      <td className="pr-4 whitespace-nowrap text-quiet">
        {step.min === step.max
          ? duration(step.min)
          : say('dough.toBest', {
              duration: duration(step.min),
              duration2: duration(step.max),
              duration3: duration(step.target),
            })}
      </td>
      <td className="pr-4 whitespace-nowrap">
        {may && state?.status === 'open'
          ? may.to - may.from < 60_000
            ? say.dayTime(may.from, zone)
            : say('dough.to3', { time: say.dayTime(may.from, zone), time2: say.dayTime(may.to, zone) })
          : ''}
      </td>
      <td className="pr-4">{who.join(', ')}</td>
      <td>
        {[
          ...(state?.temperatures ?? []).map(
            (reading) =>
              celsius(reading.celsius) +
              (reading.receivedAt === undefined
                ? ''
                : say('dough.enteredLate', { time: say.dayTime(reading.receivedAt, zone) })),
          ),
          ...(state?.notes ?? []).map(({ text }) => `“${text}”`),
          ...(state?.records ?? []).flatMap(({ data }) =>
            data.kind === 'checked' ? [checkWords(say, data)] : [],
          ),
          say.coded(state?.skipReason ?? ''),
        ]
          .filter(Boolean)
          .join(', ')}
      </td>
    </tr>
  );
}

interface HappenedProps {
  startedAt: number | null;
  zone: string;
  finishedAt: number | null;
  state: StepState | undefined;
  step: StepForecast;
  off: number;
}

/** What was recorded of a step, beside the plan. */
function Happened({ startedAt, zone, finishedAt, state, step, off }: HappenedProps) {
  const say = useWords();
  return (
    <td className="pr-4 whitespace-nowrap">
      {say.rich('dough.skipped', {
        startedAt: () => startedAt !== null && clockTime(startedAt, zone),
        hasStartedAt: startedAt !== null,
        part:
          finishedAt !== null
            ? say('dough.to2', { time: clockTime(finishedAt, zone) })
            : say('dough.underWay'),
        hasStatus: state?.status === 'skipped',
        startedAt2: () =>
          startedAt === null &&
          state?.status === 'open' &&
          isShifted(step) && (
            <span className="text-quiet">
              {say('dough.expected', { time: say.dayTime(step.start, zone) })}
            </span>
          ),
        startedAt3: () =>
          startedAt !== null &&
          off !== 0 &&
          isHandsOn(step) && (
            <span className="ml-2 text-[14px] text-quiet">
              {say('dough.laterEarlier', { duration: duration(off), isOff: off > 0 })}
            </span>
          ),
      })}
    </td>
  );
}
