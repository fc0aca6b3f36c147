import type { WatchedWait } from '@/core/shopfloor/proof-watch';
import { temperatureColour } from '../thread/temperature';

const WIDTH = 400;
const [TOP, GROUND] = [5, 27];

/**
 * How far a wait is: a dough that swells along its time. The window in which it may be taken is open at the top, its best
 * is a notch.
 */
export function RiseBar({ watched, now }: { watched: WatchedWait; now: number }) {
  const { since, soonest, best, latest, step } = watched;
  const end = Math.max(latest, now);
  const x = (at: number) =>
    4 + (WIDTH - 8) * Math.min(1, Math.max(0, (at - since) / Math.max(1, end - since)));
  // It stands low at first and rises towards its best.
  const height = (at: number) =>
    GROUND -
    (GROUND - TOP) * (0.25 + 0.75 * Math.min(1, Math.max(0, (at - since) / Math.max(1, best - since))));
  const body = (to: number) =>
    `M${x(since)} ${GROUND}V${height(since)}L${x(Math.min(to, best))} ${height(to)}H${x(to)}V${GROUND}Z`;
  return (
    <svg viewBox={`0 0 ${WIDTH} 34`} className="block h-9 w-full" preserveAspectRatio="none" aria-hidden>
      <path
        d={body(end)}
        fill="none"
        stroke="var(--edge)"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
      <path d={body(now)} fill={temperatureColour(step.around)} />
      <path
        d={`M${x(soonest)} ${GROUND + 4}H${x(latest)}`}
        stroke="var(--ink)"
        strokeWidth={3}
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={`M${x(best)} ${TOP - 4}V${GROUND + 6}`}
        stroke="var(--ink)"
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
