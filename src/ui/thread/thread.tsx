import { memo } from 'react';
import type { DrawnThread, Knot } from './geometry';

/** The lines of a thread. `faint`: the plan behind what really happened. */
export const ThreadLines = memo(function ThreadLines({
  thread,
  faint = false,
}: {
  thread: DrawnThread;
  faint?: boolean;
}) {
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      {thread.lines.map(({ segments, main }, i) => (
        <g
          key={i}
          strokeWidth={faint ? 1.2 : main ? 3.6 : 1.6}
          opacity={main ? 1 : 0.65}
          strokeDasharray={faint ? '3 3' : undefined}
        >
          {segments.map(({ d, colour }, j) => (
            <path key={j} d={d} stroke={faint ? 'var(--edge)' : colour} />
          ))}
        </g>
      ))}
    </g>
  );
});

/** Hands-on work: open ring to do, filled done, butter under way, struck through skipped. A peak marks the oven. */
export function KnotMark({ knot, size = 4.5 }: { knot: Knot; size?: number }) {
  const { x, y, status, oven } = knot;
  const fill = status === 'done' ? 'var(--ink)' : status === 'running' ? 'var(--butter)' : 'var(--flour)';
  return (
    <g
      transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}
      fill={fill}
      stroke="var(--ink)"
      strokeWidth={1.6}
    >
      {oven ? <path d={`M${-size} ${size - 1} L0 ${-size} L${size} ${size - 1} Z`} /> : <circle r={size} />}
      {status === 'skipped' && <path d={`M${-size - 2} ${size + 2} L${size + 2} ${-size - 2}`} />}
    </g>
  );
}

/** The knots of a thread with their words. */
export const ThreadKnots = memo(function ThreadKnots({
  thread,
  size = 4.5,
}: {
  thread: DrawnThread;
  size?: number;
}) {
  return (
    <g>
      {thread.knots.map((knot) => (
        <g key={knot.key}>
          <KnotMark knot={knot} size={size} />
          {knot.word && (
            <text
              x={knot.x}
              y={knot.y - 9}
              textAnchor="middle"
              className="fill-ink font-label text-[12px] font-medium"
              stroke="var(--flour)"
              strokeWidth={2.5}
              paintOrder="stroke"
            >
              {knot.word}
            </text>
          )}
        </g>
      ))}
    </g>
  );
});

/** The give of waits to come: brackets from the earliest to the latest end. */
export const ThreadGives = memo(function ThreadGives({ thread }: { thread: DrawnThread }) {
  return (
    <g stroke="var(--edge)" strokeWidth={1} fill="none">
      {thread.gives.map(({ key, x1, x2, y }) => (
        <path key={key} d={`M${x1.toFixed(1)} ${y - 4}V${y}H${x2.toFixed(1)}V${y - 4}`} />
      ))}
    </g>
  );
});
