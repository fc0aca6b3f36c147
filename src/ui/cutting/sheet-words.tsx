'use client';

import { useWords } from '../kit/words';
import { sheetArea } from '@/core/cutting/arrange';
import { rulerLength, rulerMark } from '@/core/units/length';
import { showLength, showMass } from '@/core/units/reader';
import { useUnits } from '../live/units';
import type { Laid, SheetToCut } from './use-arrangement';

interface SheetWordsProps {
  sheets: number;
  rolled: { length: number; width: number } | undefined;
  laid: Laid<SheetToCut & { parts: number; mm: number; density: number }>;
  notes: string[];
}

/** The sheet in words: how many, how large, cut into what. */
export function SheetWords({ sheets, rolled, laid, notes }: SheetWordsProps) {
  const say = useWords();
  const [units] = useUnits();
  return (
    <p className="mt-4 text-[17px]">
      {say.rich('cutPlan.partPart2Part3Part4Length', {
        part: sheets > 1 ? say('cutPlan.sheetsLikeThisOne', { sheets }) : '',
        part2: rolled
          ? say('cutPlan.rolledToThenTrimmedOn', {
              rulerMark: rulerMark(rolled.length, units),
              rulerLength: rulerLength(rolled.width, units),
            })
          : '',
        part3:
          laid.sheet.parts > 1
            ? say('cutPlan.longerThanTheBenchCut', {
                parts: laid.sheet.parts,
                rulerLength: rulerLength(laid.sheet.length, units),
              })
            : '',
        part4: laid.plan.round
          ? say('cutPlan.roundSheetAcross', {
              rulerLength: rulerLength(laid.sheet.length, units),
            })
          : say('cutPlan.sheet2', {
              rulerMark: rulerMark(laid.sheet.length, units),
              rulerLength: rulerLength(laid.sheet.width, units),
            }),
        length: showLength(laid.sheet.mm, units),
        mass: showMass((sheetArea(laid.plan) * laid.sheet.mm * laid.sheet.density) / 10, units),
        notes: () => notes.map((note) => ` ${note}`),
      })}
    </p>
  );
}
