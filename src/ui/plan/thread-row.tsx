'use client';

import { knotWords } from '../thread/knot-words';
import { useWords } from '../kit/words';
import clsx from 'clsx';
import { useMemo, type PointerEvent } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { OutputRecord } from '@/core/record/dough';
import { minutesBehind } from '@/core/forecast/times';
import { drawThread, xOf, type DrawnThread, type TimeScale } from '../thread/geometry';
import { NowLine } from '../thread/ground';
import { ThreadGives, ThreadKnots, ThreadLines } from '../thread/thread';
import { LastTimes } from './last-times';
import { namePlace } from './name-place';
import { useDrag, type Grip } from './use-drag';
import type { MovingHand } from './use-moving';
import { movable, outputWords, stateWords } from './words';

/** Height of a thread's row, px. */
export const ROW = 60;

interface Props {
  dough: DoughForecast;
  outputs: OutputRecord[];
  scale: TimeScale;
  now: number;
  zone: string;
  picked: boolean;
  onPick: () => void;
  /** As it would be with what is in the planner's hand; the dough itself where nothing of it moves. */
  ghost: DoughForecast;
  /** Null for who may not plan. */
  hand: MovingHand | null;
}

/** How near a knot a finger or pointer takes it, px. */
const GRIP = 14;

/** One dough's thread over the bakery's days. Its name stands where the thread has not begun yet. */
export function ThreadRow({ dough, ghost, outputs, scale, now, zone, picked, onPick, hand }: Props) {
  const say = useWords();
  const thread = useMemo(
    () => drawThread(dough, scale, ROW - 6, { leastGive: 180, words: knotWords(say) }),
    [dough, scale, say],
  );
  const supposed = useMemo(
    () =>
      ghost === dough ? null : drawThread(ghost, scale, ROW - 6, { leastGive: 180, words: knotWords(say) }),
    [ghost, dough, scale, say],
  );
  const drag = useDrag(scale, hand, gripAt(dough, thread, scale));
  const words = stateWords(say, dough, now);
  const begins = Math.min(...dough.steps.map((step) => step.plannedStart));
  const dues = [...new Set(outputs.map(({ dueAt }) => dueAt))].sort((a, b) => a - b);
  const lastDue = Math.max(...dues);
  const x = xOf(scale, lastDue);
  const name = namePlace(xOf(scale, begins), x, scale.width);
  return (
    <button
      onClick={onPick}
      {...drag}
      aria-pressed={picked}
      aria-label={say('plan.due', {
        name: dough.name,
        outputWords: outputWords(say, { outputs }),
        time: say.dayTime(lastDue, zone),
        part: words ? `, ${words}` : '',
      })}
      className={clsx('relative block w-full touch-pan-y text-left', picked && 'bg-butter-wash/70')}
      style={{ height: ROW }}
    >
      <svg width={scale.width} height={ROW} className="absolute inset-0" aria-hidden>
        <path d={`M0 ${ROW - 0.5}H${scale.width}`} stroke="var(--hairline)" strokeWidth={0.7} />
        <g transform="translate(0 3)">
          <ThreadGives thread={supposed ?? thread} />
          {supposed && <ThreadLines thread={thread} faint />}
          <ThreadLines thread={supposed ?? thread} />
          {dues.map((due) => (
            <path
              key={due}
              d={`M${xOf(scale, due)} 2V${ROW - 6}`}
              stroke="var(--ink)"
              strokeWidth={due === lastDue ? 2 : 1}
            />
          ))}
          <ThreadKnots thread={supposed ?? thread} />
        </g>
        <text x={x + 5} y={ROW - 8} className="fill-ink font-label text-[14px] font-semibold">
          {say.dayTime(lastDue, zone)}
        </text>
        <LastTimes {...{ dough, scale, x, zone }} y={ROW - 8} />
        <NowLine scale={scale} now={now} height={ROW} />
      </svg>
      <span
        className={clsx(
          'absolute top-[3px] block max-w-[190px] leading-tight',
          name.overThread && 'rounded bg-flour/85 px-1',
        )}
        style={{ left: name.left }}
        aria-hidden
      >
        <span className="flex min-w-0 items-baseline gap-2 whitespace-nowrap">
          <span className="text-[16px] font-semibold">{dough.name}</span>
          {words && (
            <span
              className={clsx(
                'min-w-0 truncate text-[13px]',
                minutesBehind(dough, now) > 0 ? 'font-bold text-warn' : 'text-quiet',
              )}
            >
              {words}
            </span>
          )}
        </span>
        <span className="block truncate text-[13px] text-quiet">{outputWords(say, { outputs })}</span>
      </span>
    </button>
  );
}

/** The knot under the pointer, or the whole thread between its knots. */
function gripAt(dough: DoughForecast, thread: DrawnThread, scale: TimeScale) {
  return (event: PointerEvent<HTMLButtonElement>): Grip | null => {
    const box = event.currentTarget.getBoundingClientRect();
    const [x, y] = [event.clientX - box.left, event.clientY - box.top - 3];
    const open = movable(dough);
    const near = thread.knots
      .filter(({ key }) => open.some((step) => step.key === key))
      .map((knot) => ({ key: knot.key, far: Math.hypot(knot.x - x, knot.y - y) }))
      .sort((a, b) => a.far - b.far)[0];
    const knot = near && near.far <= GRIP ? open.find(({ key }) => key === near.key) : undefined;
    const [first, last] = [open[0], open.at(-1)];
    if (!first || !last) return null;
    const onThread = x > xOf(scale, first.plannedStart) && x < xOf(scale, last.plannedEnd);
    const step = knot ?? (onThread ? first : undefined);
    return step ? { doughId: dough.id, key: step.key, whole: !knot, start: step.plannedStart } : null;
  };
}
