'use client';

import { coded } from '@/core/codes/coded';
import { addLocalDays, localMidnight } from '@/core/time/local';
import type { ProductTrial } from '@/core/wire/product-trial';
import { useWords } from '../kit/words';
import { temperatureColour, temperatureHeight } from '../thread/temperature';

const [WIDTH, TALL, EDGE] = [320, 96, 8];

/** A batch drawn as its thread through days and temperatures, rings for hands; what is made alongside, thinner. */
export function TrialThread({ trial: { steps, start, ready }, zone }: { trial: ProductTrial; zone: string }) {
  const say = useWords();
  const x = (at: number) => EDGE + ((at - start) / Math.max(1, ready - start)) * (WIDTH - 2 * EDGE);
  const y = (celsius: number) => TALL - EDGE - temperatureHeight(celsius) * (TALL - 3 * EDGE);
  return (
    <svg
      role="img"
      aria-label={say.coded(
        coded('product.threadFromTo', { from: { dayTime: start, zone }, to: { dayTime: ready, zone } }),
      )}
      viewBox={`0 0 ${WIDTH} ${TALL}`}
      className="mb-2 w-full"
    >
      {midnights(start, ready, zone).map((at) => (
        <g key={at}>
          <line x1={x(at)} x2={x(at)} y1={0} y2={TALL} stroke="var(--hairline)" />
          <text x={x(at) + 3} y={10} fontSize={11} fill="var(--quiet)">
            {say.dayName(at, zone)}
          </text>
        </g>
      ))}
      {lines(steps).map((line, nth) =>
        line.map(({ key, start: from, end, celsius }, i) => {
          const before = line[i - 1];
          return (
            <path
              key={key}
              d={`${before ? `M${x(before.end)} ${y(before.celsius)}L` : 'M'}${x(from)} ${y(celsius)}H${x(end)}`}
              fill="none"
              strokeLinecap="round"
              stroke={temperatureColour(celsius)}
              strokeWidth={nth === 0 ? 3.6 : 1.6}
              opacity={nth === 0 ? 1 : 0.65}
            />
          );
        }),
      )}
      {steps
        .filter(({ people }) => people > 0)
        .map(({ key, start: from, celsius }) => (
          <circle
            key={key}
            cx={x(from)}
            cy={y(celsius)}
            r={2.6}
            fill="var(--flour)"
            stroke="var(--ink)"
            strokeWidth={1.6}
          />
        ))}
    </svg>
  );
}

type Step = ProductTrial['steps'][number];

/** The steps line by line: the dough with its first load, each further load, and what is made alongside. */
function lines(steps: readonly Step[]): Step[][] {
  const of = new Map<string, Step[]>();
  for (const step of steps) {
    const load = step.key.split('.').slice(0, -1).join('.');
    const line = step.branch === null ? load : `${load} ${step.branch}`;
    of.set(line, [...(of.get(line) ?? []), step]);
  }
  const dough = of.get('') ?? [];
  of.delete('');
  const [first, ...others] = [...of].filter(([line]) => !line.includes(' '));
  const beside = [...of].filter(([line]) => line.includes(' '));
  return [[...dough, ...(first?.[1] ?? [])], ...[...others, ...beside].map(([, own]) => own)];
}

/** Midnights within a span. */
function midnights(from: number, to: number, zone: string): number[] {
  const days: number[] = [];
  for (let at = localMidnight(addLocalDays(from, 1, zone), zone); at < to; at = addLocalDays(at, 1, zone))
    days.push(at);
  return days;
}
