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

/** Height of a row, and what of it a full machine fills: settings are written beneath. Px. */
const ROW = 30;
const BAR = 15;
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

/** A machine, or the crew, over the hours that are shown. */
interface LoadRow {
  id: string;
  label: string;
  capacity: number;
  unit: string;
  /** What is held, by stretch of time. */
  bins: number[];
  settings: ReturnType<typeof settingSpans>;
}

interface Props {
  board: Board;
  doughs: readonly DoughForecast[];
  scale: TimeScale;
  now: number;
}

/** What the doughs hold of hands and machines, hanging under the floor at the same times. */
export function MachineLoads(props: Props) {
  const { scale, now } = props;
  const say = useWords();
  const rows = useLoadRows(props);
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
      <svg width={scale.width} height={rows.length * ROW} className="block">
        {rows.map((row, nth) => (
          <g key={row.id} transform={`translate(0 ${nth * ROW})`}>
            <path d={`M0 0.5H${scale.width}`} stroke="var(--hairline)" />
            <LoadBars row={row} width={scale.width} />
            {withRoom(row.settings, scale, now).map(({ setting, x }) => (
              <text key={x} x={x} y={ROW - 3} className="fill-ink font-label text-[13px] font-medium">
                {setting}°
              </text>
            ))}
          </g>
        ))}
        <NowLine scale={scale} now={now} height={rows.length * ROW} />
      </svg>
      {/* Each name on a plate of its own: bars begin beside it and never run through it. */}
      <ul className="absolute inset-y-0 left-0 font-label text-[14px] leading-none" aria-hidden>
        {rows.map(({ id, label, capacity, unit }) => (
          <li key={id} className="flex items-center" style={{ height: ROW }}>
            <span className="mt-px flex h-[calc(100%-1px)] items-center bg-ground pr-2 pl-1">
              <b className="font-semibold">{label}</b>
              <span className="font-medium whitespace-pre text-quiet">
                {say('plan.of', { capacity, unit })}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The rows in the order of the work: hands first, then machines by kind. */
function useLoadRows({ board, doughs, scale }: Props): LoadRow[] {
  const say = useWords();
  return useMemo(() => {
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
          .map((pool) => ({
            ...pool,
            label: say.named(pool.label),
            unit: say.coded(unitWords(pool.kind, pool.capacity)),
          })),
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
}

/** How much is held, hanging from the line above: the deeper and darker, the fuller. */
function LoadBars({ row: { bins, capacity }, width }: { row: LoadRow; width: number }) {
  const step = width / bins.length;
  return bins.map((held, i) =>
    held === 0 ? null : (
      <rect
        key={i}
        x={i * step}
        width={step + 0.3}
        y={1}
        height={Math.min(BAR, (held / capacity) * BAR)}
        fill={held > capacity ? 'var(--warn)' : 'var(--edge)'}
        opacity={0.45 + 0.5 * Math.min(1, held / capacity)}
      />
    ),
  );
}

/** Px that a setting's number needs, and what the row's own name takes at the left at most. */
const NUMBER = 28;
const NAME = 190;

/** Where the settings of a machine are written: at the start of each, as far as they do not run into another. */
function withRoom(
  settings: LoadRow['settings'],
  scale: TimeScale,
  now: number,
): { setting: number; x: number }[] {
  const line = xOf(scale, now);
  const placed: { setting: number; x: number }[] = [];
  for (const { setting, start } of settings) {
    const begins = xOf(scale, start);
    const x = begins < line && begins + NUMBER > line ? line + 4 : begins;
    const isClear = x >= Math.max(NAME, (placed.at(-1)?.x ?? -NUMBER) + NUMBER);
    if (isClear && x <= scale.width - NUMBER) placed.push({ setting, x });
  }
  return placed;
}
