import type { DoughForecast } from '@/core/forecast/forecast';
import { type LastKind, type LastStep, lastSteps } from '@/core/forecast/last-steps';
import { clockTime } from '@/core/time/local';
import type { Say } from '@/words/say';
import { useWords } from '../kit/words';
import { xOf, type TimeScale } from '../thread/geometry';

/** Two hours this wide or wider, px, tell their steps apart on the thread itself. */
const APART = 90;
/** What a letter takes, px, and what the due time takes before it. */
const [LETTER, DUE] = [6.1, 72];

const words = (say: Say): Record<LastKind, string> => ({
  proof: say('thread.lastProof'),
  wash: say('thread.lastWash'),
  load: say('thread.lastOven'),
});

interface Props {
  dough: DoughForecast;
  scale: TimeScale;
  /** Where the thread is due, px, and the line on which its time stands. */
  x: number;
  y: number;
  zone: string;
}

/** When a dough is proofed, washed and baked, behind its due time: where the days are so small that their knots are one. */
export function LastTimes({ dough, scale, x, y, zone }: Props) {
  const say = useWords();
  if (xOf(scale, scale.from + 2 * 3_600_000) >= APART) return null;
  const texts = lastSteps(dough).map((one: LastStep) => ({
    key: one.key,
    what: words(say)[one.kind],
    time: clockTime(one.at, zone),
  }));
  const fitting = texts.filter((_, nth) => {
    const long = texts.slice(nth).map(({ what, time }) => `${what} ${time} `);
    return x + DUE + long.join('').length * LETTER < scale.width;
  });
  return (
    <text x={x + DUE} y={y} className="fill-quiet font-label text-[13px]">
      {fitting.map(({ key, what, time }, nth) => (
        <tspan key={key} dx={nth === 0 ? 0 : 7}>
          {what} <tspan className="fill-ink font-semibold">{time}</tspan>
        </tspan>
      ))}
    </text>
  );
}
