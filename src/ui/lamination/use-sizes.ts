'use client';

import type { Slab } from '@/core/lamination/gaps';
import { rulerLength, rulerMark } from '@/core/units/length';
import { showLength } from '@/core/units/reader';
import { useUnits } from '../live/units';

/** Sizes of slabs in this reader's units: "42 × 28 cm, 21 mm". */
export function useSizes() {
  const [units] = useUnits();
  const cm = (value: number) => rulerLength(value, units);
  return {
    units,
    cm,
    slab: ({ length, width, mm }: Slab) =>
      `${rulerMark(length, units)} × ${cm(width)}, ${showLength(Math.round(mm * 10) / 10, units)}`,
  };
}
