'use client';

import clsx from 'clsx';
import { useMemo } from 'react';
import type { FloorDough } from '@/core/floor/agenda';
import type { BoardOutput } from '@/core/floor/board';
import { minutesBehind } from '@/core/floor/times';
import { dayTime } from '@/core/time/local';
import { drawThread, xOf, type TimeScale } from '../thread/geometry';
import { NowLine } from '../thread/ground';
import { ThreadGives, ThreadKnots, ThreadLines } from '../thread/thread';
import { namePlace } from './name-place';
import { outputWords, stateWords } from './words';

/** Height of a thread's row, px. */
export const ROW = 60;

interface Props {
  dough: FloorDough;
  outputs: BoardOutput[];
  scale: TimeScale;
  now: number;
  zone: string;
  picked: boolean;
  onPick: () => void;
}

/** One dough's thread over the bakery's days. Its name stands where the thread has not begun yet. */
export function ThreadRow({ dough, outputs, scale, now, zone, picked, onPick }: Props) {
  const thread = useMemo(
    () => drawThread(dough, scale, ROW - 6, now, { leastGive: 180 }),
    [dough, scale, now],
  );
  const words = stateWords(dough, now);
  const begins = Math.min(...dough.steps.map((step) => step.plannedStart));
  const dues = [...new Set(outputs.map(({ dueAt }) => dueAt))].sort((a, b) => a - b);
  const lastDue = Math.max(...dues);
  const x = xOf(scale, lastDue);
  const name = namePlace(xOf(scale, begins), x, scale.width);
  return (
    <button
      onClick={onPick}
      aria-pressed={picked}
      aria-label={`${dough.name}, ${outputWords({ outputs })}, due ${dayTime(lastDue, zone)}${words && `, ${words}`}`}
      className={clsx('relative block w-full text-left', picked && 'bg-butter-wash/70')}
      style={{ height: ROW }}
    >
      <svg width={scale.width} height={ROW} className="absolute inset-0" aria-hidden>
        <path d={`M0 ${ROW - 0.5}H${scale.width}`} stroke="var(--hairline)" strokeWidth={0.7} />
        <g transform="translate(0 3)">
          <ThreadGives thread={thread} />
          <ThreadLines thread={thread} />
          {dues.map((due) => (
            <path
              key={due}
              d={`M${xOf(scale, due)} 2V${ROW - 6}`}
              stroke="var(--ink)"
              strokeWidth={due === lastDue ? 2 : 1}
            />
          ))}
          <ThreadKnots thread={thread} />
        </g>
        <text x={x + 5} y={ROW - 10} className="fill-ink font-label text-[14px] font-semibold">
          {dayTime(lastDue, zone)}
        </text>
        <NowLine scale={scale} now={now} height={ROW} />
      </svg>
      <span
        className={clsx(
          'absolute top-2 block max-w-[190px] leading-tight',
          name.overThread && 'rounded bg-flour/85 px-1',
        )}
        style={{ left: name.left }}
        aria-hidden
      >
        <span className="block text-[16px] font-semibold">{dough.name}</span>
        <span className="block truncate text-[13px] text-quiet">{outputWords({ outputs })}</span>
        {words && (
          <span
            className={clsx(
              'block text-[13px]',
              minutesBehind(dough, now) > 0 ? 'font-bold text-warn' : 'text-quiet',
            )}
          >
            {words}
          </span>
        )}
      </span>
    </button>
  );
}
