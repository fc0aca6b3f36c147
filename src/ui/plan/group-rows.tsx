'use client';

import type { GroupRow } from '@/core/floor/groups';
import { dayTime } from '@/core/time/local';
import { xOf, type TimeScale } from '../thread/geometry';
import { NowLine } from '../thread/ground';
import { KnotMark } from '../thread/thread';

/** Height of a station's or person's row, px. */
export const GROUP_ROW = 52;
/** A word needs about so much room a letter, px. */
const LETTER = 6;

/** The same plan by station or by person: work as knots on lines, with the dough's name where there is room. */
export function GroupRows({
  rows,
  scale,
  now,
  zone,
  picked,
  onPick,
}: {
  rows: readonly GroupRow[];
  scale: TimeScale;
  now: number;
  zone: string;
  picked: number | undefined;
  onPick: (doughId: number) => void;
}) {
  return rows.map(({ id, name, items }) => {
    const shown = items.filter(({ start, end }) => end > scale.from && start < scale.to);
    let free = 0;
    return (
      <div key={id} className="relative" style={{ height: GROUP_ROW }} role="group" aria-label={name}>
        <svg width={scale.width} height={GROUP_ROW} className="absolute inset-0" aria-hidden>
          <path d={`M0 ${GROUP_ROW - 0.5}H${scale.width}`} stroke="var(--hairline)" strokeWidth={0.7} />
          {shown.map(({ task, doughId, dough, label, start, end, status }) => {
            const [x1, x2] = [xOf(scale, start), xOf(scale, end)];
            const words = `${dough} ${label.toLowerCase()}`;
            const room = x1 > free && words.length * LETTER < Math.max(x2 - x1, 90);
            if (room) free = x1 + words.length * LETTER;
            return (
              <g key={task} className="cursor-pointer" onClick={() => onPick(doughId)}>
                <title>{`${words}, ${dayTime(start, zone)}`}</title>
                <rect x={x1 - 6} y={8} width={x2 - x1 + 12} height={GROUP_ROW - 14} fill="transparent" />
                <path
                  d={`M${x1.toFixed(1)} 34H${x2.toFixed(1)}`}
                  stroke={doughId === picked ? 'var(--ink)' : 'var(--edge)'}
                  strokeWidth={doughId === picked ? 6 : 3}
                  strokeLinecap="round"
                />
                <KnotMark knot={{ key: task, x: x1, y: 34, status, word: '', oven: false }} size={3.6} />
                {room && (
                  <text x={x1 + 6} y={26} className="fill-ink font-label text-[13px] font-medium">
                    {words}
                  </text>
                )}
              </g>
            );
          })}
          <NowLine scale={scale} now={now} height={GROUP_ROW} />
        </svg>
        <span className="absolute top-0.5 left-1 rounded bg-flour/85 px-1 text-[15px] font-semibold">
          {name}
        </span>
      </div>
    );
  });
}
