'use client';

import { useMemo } from 'react';
import { UNKNOWN_CONDITIONS } from '@/core/forecast/conditions';
import { type DoughForecast, forecastDough } from '@/core/forecast/forecast';
import type { ComparedBatch } from '@/core/wire/compared';
import { useWidth } from '../kit/use-width';
import { knotWords } from '../thread/knot-words';
import { useWords } from '../kit/words';
import { drawThread, type TimeScale } from '../thread/geometry';
import { temperatureHeight } from '../thread/temperature';
import { ThreadKnots, ThreadLines } from '../thread/thread';
import { outcomeWords } from './outcome-words';

const HEIGHT = 112;
const HOUR = 3_600_000;
/** Before the mix and after the end, hours. */
const ROOM = { before: 3, after: 1 };
/** Temperatures that each row has a line at, °C. */
const MARKS = [4, 22];
/** Least width between two hours that are named, px. */
const LEAST_STEP = 70;

/** The steps of one output alone. */
function outputOf(dough: DoughForecast, outputId: number): DoughForecast {
  return {
    ...dough,
    steps: dough.steps.filter((step) => step.outputId === null || step.outputId === outputId),
  };
}

/** When the dough itself was mixed, or was to be. */
function mixOf({ steps }: DoughForecast): number {
  const mix = steps.find(({ step }) => step.kind === 'mix' && step.branch === undefined) ?? steps[0];
  return mix?.start ?? 0;
}

interface Row {
  batch: ComparedBatch;
  forecast: DoughForecast;
  mix: number;
}

/** Batches under one another, each from the start of its mix, over the same hours: planned dashed, what was in colour. */
export function CompareThreads({
  batches,
  zone,
  now,
}: {
  batches: readonly ComparedBatch[];
  zone: string;
  now: number;
}) {
  const say = useWords();
  const { ref, width } = useWidth<HTMLDivElement>(1200);
  const rows = useMemo(
    () =>
      batches.map((batch): Row => {
        const whole = forecastDough(batch.dough, UNKNOWN_CONDITIONS, now);
        const forecast = outputOf(whole, batch.summary.outputId);
        return { batch, forecast, mix: mixOf(forecast) };
      }),
    [batches, now],
  );
  const hours = Math.max(
    1,
    ...rows.map(
      ({ forecast, mix }) => (Math.max(...forecast.steps.map(({ end }) => end)) - mix) / HOUR + ROOM.after,
    ),
  );
  return (
    <section aria-label={say('compare.onOneThread')}>
      <h2 className="text-2xl font-bold">{say('compare.onOneThread')}</h2>
      <figure ref={ref} className="overflow-x-clip">
        {rows.map((row) => (
          <ThreadRow key={row.batch.summary.outputId} {...{ row, hours, width, zone }} />
        ))}
        <Hours {...{ hours, width }} />
        <figcaption className="text-[15px] text-quiet">{say('compare.alignedAtTheMix')}</figcaption>
      </figure>
    </section>
  );
}

function ThreadRow({
  row: { batch, forecast, mix },
  hours,
  width,
  zone,
}: {
  row: Row;
  hours: number;
  width: number;
  zone: string;
}) {
  const say = useWords();
  const { summary } = batch;
  const scale: TimeScale = useMemo(
    () => ({ from: mix - ROOM.before * HOUR, to: mix + hours * HOUR, width }),
    [mix, hours, width],
  );
  const real = useMemo(
    () => drawThread(forecast, scale, HEIGHT, { words: knotWords(say) }),
    [forecast, scale, say],
  );
  const plan = useMemo(() => drawThread(forecast, scale, HEIGHT, { planned: true }), [forecast, scale]);
  return (
    <div className="border-b border-hairline pt-2">
      <p className="flex flex-wrap items-baseline gap-x-3 text-lg">
        <a href={`/batch/${summary.doughId}`} className="font-semibold underline underline-offset-4">
          {summary.name}
        </a>
        <span className="text-quiet">{say.dateTime(summary.doneAt, zone)}</span>
        <span>{outcomeWords(say, summary)}</span>
      </p>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={say('compare.threadOf', { name: summary.name })}
        className="block"
      >
        {MARKS.map((celsius) => {
          const y = (1 - temperatureHeight(celsius)) * (HEIGHT - 8) + 4;
          return <path key={celsius} d={`M0 ${y}H${width}`} stroke="var(--hairline)" strokeWidth={0.6} />;
        })}
        <ThreadLines thread={plan} faint />
        <ThreadLines thread={real} />
        <ThreadKnots thread={real} />
      </svg>
    </div>
  );
}

/** The hours after mixing, under all rows. */
function Hours({ hours, width }: { hours: number; width: number }) {
  const say = useWords();
  const perHour = width / (hours + ROOM.before);
  const step = [1, 2, 3, 6, 12, 24].find((every) => every * perHour >= LEAST_STEP) ?? 24;
  const named = Array.from({ length: Math.floor(hours / step) + 1 }, (_, i) => i * step);
  return (
    <svg width={width} height={24} aria-hidden className="block">
      {named.map((hour) => (
        <text
          key={hour}
          x={(hour + ROOM.before) * perHour}
          y={16}
          textAnchor="middle"
          className="fill-quiet font-label text-[15px]"
        >
          {say('compare.hoursAfterMixing', { hours: hour })}
        </text>
      ))}
    </svg>
  );
}
