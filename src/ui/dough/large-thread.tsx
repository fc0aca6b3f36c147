'use client';

import { knotWords } from '../thread/knot-words';
import { useWords } from '../kit/words';
import { useMemo } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import { useCelsius } from '../live/units';
import { useWidth } from '../kit/use-width';
import { drawThread, xOf, type TimeScale } from '../thread/geometry';
import { Floor, Ground, NowLine } from '../thread/ground';
import { temperatureHeight } from '../thread/temperature';
import { ThreadGives, ThreadKnots, ThreadLines } from '../thread/thread';

const HEIGHT = 210;
const MARKS = [-18, 4, 12, 22, 28, 185];
const HOUR = 3_600_000;

interface Props {
  dough: DoughForecast;
  dues: number[];
  staffed: { start: number; end: number }[];
  now: number;
  zone: string;
}

/** What a due time needs beside its line, px. */
const DUE = 80;
const isNearEnd = (scale: TimeScale, at: number) => xOf(scale, at) + DUE > scale.width;

/** The thread of one dough over its whole life: the plan dashed behind, what happened in colour. */
export function LargeThread({ dough, dues, staffed, now, zone }: Props) {
  const say = useWords();
  const shown = useCelsius();
  const { ref, width } = useWidth<HTMLDivElement>(1200);
  const scale: TimeScale = useMemo(() => {
    const times = dough.steps.flatMap(({ start, end }) => [start, end]);
    const from = Math.min(...times) - 2 * HOUR;
    return { from, to: Math.max(...times, ...dues) + 4 * HOUR, width };
  }, [dough, dues, width]);
  const real = useMemo(
    () => drawThread(dough, scale, HEIGHT, { leastGive: 180, words: knotWords(say) }),
    [dough, scale, say],
  );
  const plan = useMemo(() => drawThread(dough, scale, HEIGHT, { planned: true }), [dough, scale]);
  return (
    // Until its width is known it is drawn as for a desk; a phone must not be widened by that.
    <figure ref={ref} className="overflow-x-clip">
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={say('dough.threadOfPlannedAndReal', { name: dough.name })}
        className="block"
      >
        <Ground scale={scale} staffed={staffed} zone={zone} height={HEIGHT} />
        {MARKS.map((celsius) => {
          const y = (1 - temperatureHeight(celsius)) * (HEIGHT - 8) + 4;
          return (
            <g key={celsius}>
              <path d={`M0 ${y}H${width}`} stroke="var(--hairline)" strokeWidth={0.6} />
              <text x={4} y={Math.max(12, y - 2)} className="fill-quiet font-label text-[13px] font-medium">
                {shown(celsius)}
              </text>
            </g>
          );
        })}
        <ThreadLines thread={plan} faint />
        <ThreadGives thread={real} />
        <ThreadLines thread={real} />
        {[...new Set(dues)]
          .sort((a, b) => a - b)
          .map((due, nth) => (
            <g key={due}>
              <path d={`M${xOf(scale, due)} 10V${HEIGHT}`} stroke="var(--ink)" strokeWidth={2} />
              <text
                x={xOf(scale, due) + (isNearEnd(scale, due) ? -5 : 5)}
                textAnchor={isNearEnd(scale, due) ? 'end' : 'start'}
                y={HEIGHT - 8 - 17 * nth}
                className="fill-ink font-label text-[15px] font-semibold"
              >
                {say.dayTime(due, zone)}
              </text>
            </g>
          ))}
        <NowLine scale={scale} now={now} height={HEIGHT} />
        <ThreadKnots thread={real} size={5.5} />
      </svg>
      <Floor scale={scale} zone={zone} now={now} />
      <figcaption className="text-[15px] text-quiet">{say('dough.dashedAsPlannedInColour')}</figcaption>
    </figure>
  );
}
