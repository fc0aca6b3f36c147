'use client';

import type { Say } from '@/words/say';
import { useWords } from '../kit/words';
import type { KeyboardEvent } from 'react';
import type { GroupItem, GroupRow } from '@/core/schedule/groups';
import { xOf, type TimeScale } from '../thread/geometry';
import { NowLine } from '../thread/ground';
import { KnotMark } from '../thread/thread';
import { useDrag } from './use-drag';
import type { MovingHand } from './use-moving';

/** Height of a station's or person's row, px. */
export const GROUP_ROW = 52;
/** A word needs about so much room a letter, px. */
const LETTER = 6;

interface Props {
  rows: readonly GroupRow[];
  scale: TimeScale;
  now: number;
  zone: string;
  /** The dough that is picked. */
  picked: number | undefined;
  onPick: (doughId: number, key: string) => void;
  /** Null for those who may not plan. */
  hand: MovingHand | null;
}

/**
 * The same plan by station or by person: work as knots on lines, with the dough's name where there is room. Tab goes from
 * row to row, the arrows along a row; work that is still open is dragged like a knot of its thread.
 */
export function GroupRows({ rows, ...props }: Props) {
  return rows.map((row) => <Row key={row.id} row={row} {...props} />);
}

function Row({
  row: { name, items },
  scale,
  now,
  zone,
  picked,
  onPick,
  hand,
}: Omit<Props, 'rows'> & { row: GroupRow }) {
  const say = useWords();
  const shown = items.filter(({ end, start }) => end > scale.from && start < scale.to);
  const labelled = roomForWords(say, shown, scale);
  return (
    <div
      className="relative"
      style={{ height: GROUP_ROW }}
      role="group"
      aria-label={say.named(name)}
      onKeyDown={hand?.moving ? undefined : alongRow}
    >
      <svg width={scale.width} height={GROUP_ROW} className="absolute inset-0" aria-hidden>
        <path d={`M0 ${GROUP_ROW - 0.5}H${scale.width}`} stroke="var(--hairline)" strokeWidth={0.7} />
        {shown.map(({ task, doughId, start, end, status }) => (
          <g key={task}>
            <path
              d={`M${xOf(scale, start).toFixed(1)} 34H${xOf(scale, end).toFixed(1)}`}
              stroke={doughId === picked ? 'var(--ink)' : 'var(--edge)'}
              strokeWidth={doughId === picked ? 6 : 3}
              strokeLinecap="round"
            />
            <KnotMark
              knot={{ key: task, x: xOf(scale, start), y: 34, status, word: '', oven: false }}
              size={3.6}
            />
            {labelled.has(task) && (
              <text x={xOf(scale, start) + 6} y={26} className="fill-ink font-label text-[13px] font-medium">
                {labelled.get(task)}
              </text>
            )}
          </g>
        ))}
        <NowLine scale={scale} now={now} height={GROUP_ROW} />
      </svg>
      {shown.map((item, i) => (
        <Handle
          key={item.task}
          {...{ item, scale, zone, onPick, hand }}
          first={i === 0}
          picked={item.doughId === picked}
        />
      ))}
      <span className="pointer-events-none absolute top-0.5 left-1 rounded bg-flour/85 px-1 text-[15px] font-semibold">
        {name}
      </span>
    </div>
  );
}

/** Left and right go along a row; the plan behind it stays where it is. */
function alongRow(event: KeyboardEvent<HTMLDivElement>) {
  const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
  if (by === 0) return;
  const all = [...event.currentTarget.querySelectorAll('button')];
  const next = all[all.indexOf(document.activeElement as HTMLButtonElement) + by];
  if (!next) return;
  event.preventDefault();
  event.stopPropagation();
  next.focus();
}

/** Where one piece of work is taken hold of: by a pointer, or by the keyboard. */
function Handle({
  item: { doughId, key, dough, label, start, end, status },
  scale,
  zone,
  first,
  picked,
  onPick,
  hand,
}: Pick<Props, 'scale' | 'zone' | 'onPick' | 'hand'> & { item: GroupItem; first: boolean; picked: boolean }) {
  const say = useWords();
  const grip = status === 'open' ? { doughId, key, whole: false, start } : null;
  const drag = useDrag(scale, hand, () => grip);
  const x = xOf(scale, start);
  const words = `${dough} ${say.inLine(say.coded(label))}, ${say.dayTime(start, zone)}`;
  return (
    <button
      {...drag}
      title={words}
      aria-label={words}
      aria-pressed={picked}
      tabIndex={first ? 0 : -1}
      onFocus={() => onPick(doughId, key)}
      onClick={() => onPick(doughId, key)}
      className="absolute touch-pan-y rounded"
      style={{ left: x - 6, top: 8, width: xOf(scale, end) - x + 12, height: GROUP_ROW - 14 }}
    />
  );
}

/** The words that have room beside those before them, by task. */
function roomForWords(say: Say, items: readonly GroupItem[], scale: TimeScale): Map<string, string> {
  let free = 0;
  return new Map(
    items.flatMap(({ task, dough, label, start, end }) => {
      const [x1, x2] = [xOf(scale, start), xOf(scale, end)];
      const words = `${dough} ${say.inLine(say.coded(label))}`;
      if (x1 <= free || words.length * LETTER >= Math.max(x2 - x1, 90)) return [];
      free = x1 + words.length * LETTER;
      return [[task, words] as const];
    }),
  );
}
