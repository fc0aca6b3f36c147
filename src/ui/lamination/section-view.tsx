'use client';

import { useWords } from '../kit/words';
import { useMemo, useState } from 'react';
import { section } from '@/core/lamination/drawing';
import type { Pile } from '@/core/lamination/pile';
import { showLength, type ReaderUnits } from '@/core/units/reader';
import { useUnits } from '../live/units';

const [WIDTH, HEIGHT] = [128, 300];
/** Dough and butter in section, and what lies between where both are too thin to be told apart. */
const DOUGH = [234, 220, 184] as const;
const BUTTER = [226, 172, 32] as const;

const mixed = (fat: number) =>
  `rgb(${DOUGH.map((d, i) => Math.round(d + (BUTTER[i] ?? d) * fat - d * fat)).join(' ')})`;

function Strip({ pile, from, to, label }: { pile: Pile; from: number; to: number; label: string }) {
  const { bands, single } = useMemo(() => section(pile, from, to, HEIGHT), [pile, from, to]);
  return (
    <svg width={WIDTH} height={HEIGHT} role="img" aria-label={label}>
      {bands.map((band) => (
        <rect
          key={band.from}
          x={0}
          width={WIDTH}
          y={(1 - band.to) * HEIGHT}
          height={Math.max(0.3, (band.to - band.from) * HEIGHT)}
          fill={mixed(band.fat)}
        />
      ))}
      {single &&
        bands.length < 60 &&
        bands.map((band) => (
          <path
            key={band.from}
            d={`M0 ${(1 - band.to) * HEIGHT}H${WIDTH}`}
            stroke="#17211f"
            strokeWidth={0.4}
          />
        ))}
      <rect x={0.5} y={0.5} width={WIDTH - 1} height={HEIGHT - 1} fill="none" stroke="var(--edge)" />
    </svg>
  );
}

/** Layers are in µm for everybody, sheets in the reader's units. */
const thickIn = (units: ReaderUnits) => (mm: number) =>
  mm >= 1 ? showLength(mm, units) : `${Math.max(1, Math.round(mm * 1000))} µm`;

/** A section through the sheet, whole and enlarged: from all of it down to single layers, true to scale. */
export function SectionView({ pile, mm, finest }: { pile: Pile; mm: number; finest: number }) {
  const say = useWords();
  const [units] = useUnits();
  const thick = thickIn(units);
  const [zoom, setZoom] = useState(0.55);
  const [at, setAt] = useState(0.5);
  // From the whole sheet down to a window of some four layers of fat.
  const least = Math.min(1, (finest * 8) / (mm * 1000));
  const window = Math.exp(Math.log(least) * zoom);
  const from = Math.min(1 - window, Math.max(0, at - window / 2));
  const times = Math.round(1 / window);
  return (
    <figure className="grid gap-2">
      <div className="flex items-start gap-2">
        <div>
          <Strip
            pile={pile}
            from={0}
            to={1}
            label={say('schemes.theWholeSheetInSection', { thick: thick(mm) })}
          />
          <p className="text-[15px] text-quiet">{say('schemes.allOf', { thick: thick(mm) })}</p>
        </div>
        <svg width={26} height={HEIGHT} aria-hidden>
          <path
            d={`M0 ${(1 - from - window) * HEIGHT}L26 0V${HEIGHT}L0 ${(1 - from) * HEIGHT}Z`}
            fill="var(--butter-wash)"
            stroke="var(--edge)"
            strokeWidth={0.7}
          />
        </svg>
        <div>
          <Strip
            pile={pile}
            from={from}
            to={from + window}
            label={say('schemes.ofItEnlarged', { thick: thick(mm * window) })}
          />
          <p className="text-[15px] text-quiet">
            {say('schemes.ofIt', {
              thick: thick(mm * window),
              part: times > 1 ? say('schemes.times', { times }) : '',
            })}
          </p>
        </div>
      </div>
      <label className="grid grid-cols-[5rem_1fr] items-center gap-2 text-[15px]">
        {say('schemes.enlarge')}
        <input
          type="range"
          className="accent-ink"
          min={0}
          max={1}
          step={0.01}
          value={zoom}
          onChange={(e) => setZoom(Number(e.target.value))}
        />
      </label>
      <label className="grid grid-cols-[5rem_1fr] items-center gap-2 text-[15px]">
        {say('schemes.height')}
        <input
          type="range"
          className="accent-ink"
          min={0}
          max={1}
          step={0.005}
          value={at}
          onChange={(e) => setAt(Number(e.target.value))}
        />
      </label>
      <figcaption className="text-[15px] text-quiet">{say('schemes.butterDarkYellowDoughPale')}</figcaption>
    </figure>
  );
}
