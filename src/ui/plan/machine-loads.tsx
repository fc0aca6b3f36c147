'use client';

import { unitWords } from '@/core/bakery/machine-words';
import { useWords } from '../kit/words';
import { useMemo } from 'react';
import type { MachineKind } from '@/core/bakery/machines';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { Board } from '@/core/wire/board';
import { dialOn } from '@/core/bakery/machines';
import { loadBins, settingSpans } from '@/core/shopfloor/loads';
import { crewSteps } from '@/core/time/shifts';
import { type TimeScale, xOf } from '../thread/geometry';
import { NowLine } from '../thread/ground';

const ROW = 24;
/** Kinds of machines that are short at times; benches and mixers hardly are, and their work shows in the rows above. */
const SHOWN: readonly MachineKind[] = [
  'sheeter',
  'retarder',
  'blast',
  'proofer',
  'oven',
  'rack',
  'tray',
  'tin',
];

/** Minutes of one bar: what shows, and no finer. */
const binOf = ({ from, to }: TimeScale) => ((to - from) / 3_600_000 <= 24 ? 5 : 30);

/** What the doughs hold of hands and machines, hanging under the floor at the same times. */
export function MachineLoads({
  board,
  doughs,
  scale,
  now,
}: {
  board: Board;
  doughs: readonly DoughForecast[];
  scale: TimeScale;
  now: number;
}) {
  const say = useWords();
  const rows = useMemo(() => {
    const there = Math.max(1, ...crewSteps(board.presences, scale.from).map(([, amount]) => amount));
    const hands = {
      id: 'crew',
      label: say('plan.hands'),
      capacity: there,
      unit: say('plan.peopleThere', { count: there }),
    };
    const pools = [
      hands,
      ...SHOWN.flatMap((shown) =>
        board.machines
          .filter(({ kind }) => kind === shown)
          .map((pool) => ({ ...pool, unit: say.coded(unitWords(pool.kind, pool.capacity)) })),
      ),
    ];
    return pools.map((pool) => ({
      ...pool,
      settings: settingSpans(doughs, pool.id, { from: scale.from, to: scale.to }).map((span) => ({
        ...span,
        setting: dialOn(pool.id, span.setting, board.machines),
      })),
      bins: loadBins(doughs, pool.id, { from: scale.from, to: scale.to }, binOf(scale)),
    }));
  }, [board, doughs, scale, say]);
  const height = rows.length * ROW;
  const step = scale.width / (rows[0]?.bins.length ?? 1);
  return (
    <div
      className="relative mt-1"
      role="img"
      aria-label={rows
        .map(({ label, capacity, unit, bins }) =>
          say('plan.atMostOf', { label, value: Math.max(...bins), capacity, unit }),
        )
        .join('; ')}
    >
      <svg width={scale.width} height={height} className="block">
        {rows.map(({ id, label, capacity, unit, bins, settings }, nth) => (
          <g key={id} transform={`translate(0 ${nth * ROW})`}>
            <path d={`M0 0.5H${scale.width}`} stroke="var(--hairline)" />
            {bins.map((held, i) => {
              const depth = Math.min(ROW - 4, (held / capacity) * (ROW - 4));
              if (held === 0) return null;
              return (
                <rect
                  key={i}
                  x={i * step}
                  width={step + 0.3}
                  y={1}
                  height={depth}
                  fill={held > capacity ? 'var(--warn)' : 'var(--edge)'}
                  opacity={0.45 + 0.5 * Math.min(1, held / capacity)}
                />
              );
            })}
            {withRoom(settings, scale).map(({ setting, x }) => (
              <text
                key={x}
                x={x}
                y={19}
                className="fill-ink font-label text-[13px] font-medium"
                stroke="var(--ground)"
                strokeWidth={2.5}
                paintOrder="stroke"
              >
                {setting}°
              </text>
            ))}
            <text
              x={4}
              y={16}
              className="fill-ink font-label text-[14px] font-semibold"
              stroke="var(--ground)"
              strokeWidth={3}
              paintOrder="stroke"
            >
              {label}
              <tspan className="fill-quiet font-medium">{say('plan.of', { capacity, unit })}</tspan>
            </text>
          </g>
        ))}
        <NowLine scale={scale} now={now} height={height} />
      </svg>
    </div>
  );
}

/** Px that a setting's number needs, and what the row's own name takes at the left. */
const NUMBER = 28;
const NAME = 130;

/** Where the settings of a machine are written: at the start of each, as far as they do not run into another. */
function withRoom(
  settings: ReturnType<typeof settingSpans>,
  scale: TimeScale,
): { setting: number; x: number }[] {
  const placed: { setting: number; x: number }[] = [];
  for (const { setting, start } of settings) {
    const x = xOf(scale, start);
    const isClear = x >= Math.max(NAME, (placed.at(-1)?.x ?? -NUMBER) + NUMBER);
    if (isClear && x <= scale.width - NUMBER) placed.push({ setting, x });
  }
  return placed;
}
