import { useWords } from '../kit/words';
import { addLocalDays, clockTime, formatLocal } from '@/core/time/local';
import { xOf, type TimeScale } from './geometry';
import { marksOf } from './marks';

interface Span {
  start: number;
  end: number;
}

/** The bakery's day under the threads: staffed hours light, empty hours dark, midnights as lines. */
export function Ground({
  scale,
  staffed,
  zone,
  height,
}: {
  scale: TimeScale;
  staffed: readonly Span[];
  zone: string;
  height: number;
}) {
  const say = useWords();
  const { days, times } = marksOf(scale, zone, say);
  return (
    <g aria-hidden>
      <rect width={scale.width} height={height} fill="var(--dark-hours)" />
      {staffed.map(({ start, end }) => {
        const x = Math.max(0, xOf(scale, start));
        const width = Math.min(scale.width, xOf(scale, end)) - x;
        return width > 0 ? (
          <rect key={start} x={x} width={width} height={height} fill="var(--flour)" />
        ) : null;
      })}
      {times.map(({ at }) => (
        <path
          key={at}
          d={`M${xOf(scale, at).toFixed(1)} 0V${height}`}
          stroke="var(--hairline)"
          strokeWidth={0.5}
        />
      ))}
      {days.map(({ at }) => (
        <path
          key={at}
          d={`M${xOf(scale, at).toFixed(1)} 0V${height}`}
          stroke="var(--edge)"
          strokeWidth={1.2}
        />
      ))}
    </g>
  );
}

const NO_NOTES: ReadonlyMap<string, string> = new Map();

/** Half of an hour's number, and a letter of a day's name at its widest, px: what would be cut at the edge is left out. */
const EDGE = 20;
const LETTER = 9;

interface FloorProps {
  scale: TimeScale;
  zone: string;
  now: number;
  /** What else is said of a day, by the day as "2026-11-19". */
  notes?: ReadonlyMap<string, string>;
}

/** Between a day's name and what is said of it, and a letter of that at its widest, px. */
const GAP = 10;
const SMALL_LETTER = 6.6;

/** The floor: days and hours in words, and what time it is now. */
export function Floor({ scale, zone, now, notes = NO_NOTES }: FloorProps) {
  const say = useWords();
  const { days, times } = marksOf(scale, zone, say);
  const x = xOf(scale, now);
  const clear = ({ at }: { at: number }) => {
    const own = xOf(scale, at);
    return Math.abs(own - x) > 34 && own >= EDGE && own <= scale.width - EDGE;
  };
  // Where a day is too narrow for it, nothing is said.
  const noteOf = ({ at, label }: { at: number; label: string }) => {
    const note = notes.get(formatLocal(at, zone).slice(0, 10)) ?? '';
    const room = Math.min(scale.width, xOf(scale, addLocalDays(at, 1, zone))) - xOf(scale, at);
    return 6 + label.length * LETTER + GAP + note.length * SMALL_LETTER < room ? note : '';
  };
  const whole = ({ at, label }: { at: number; label: string }) =>
    xOf(scale, at) + 6 + label.length * LETTER < scale.width;
  return (
    <svg
      width={scale.width}
      height={36}
      className="block font-label"
      role="img"
      aria-label={say('thread.daysAndHours')}
    >
      {times.filter(clear).map(({ at, label }) => (
        <text
          key={at}
          x={xOf(scale, at)}
          y={13}
          textAnchor="middle"
          className="fill-quiet text-[13px] font-medium"
        >
          {label}
        </text>
      ))}
      {days.filter(whole).map(({ at, label }) => (
        <text key={at} x={xOf(scale, at) + 6} y={31} className="fill-ink text-[16px] font-semibold">
          {label}
          {noteOf({ at, label }) && (
            <tspan dx={GAP} className="fill-warn text-[14px] font-medium">
              {noteOf({ at, label })}
            </tspan>
          )}
        </text>
      ))}
      {x >= 0 && x <= scale.width && (
        <g>
          <rect x={x - 24} y={0} width={48} height={18} rx={3} fill="var(--butter)" />
          <text x={x} y={14} textAnchor="middle" fill="#17211f" className="text-[15px] font-semibold">
            {clockTime(now, zone)}
          </text>
        </g>
      )}
    </svg>
  );
}

/** The line of now through everything. */
export function NowLine({ scale, now, height }: { scale: TimeScale; now: number; height: number }) {
  const x = xOf(scale, now);
  if (x < 0 || x > scale.width) return null;
  return <path aria-hidden d={`M${x.toFixed(1)} 0V${height}`} stroke="var(--butter)" strokeWidth={3} />;
}
