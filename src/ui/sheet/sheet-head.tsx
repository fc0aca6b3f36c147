'use client';

import { useWords } from '../kit/words';
import { Printer } from 'lucide-react';
import type { Board } from '@/core/wire/board';
import type { MixSheet } from '@/core/process/mix-sheet';
import { showCelsius, showMass } from '@/core/units/reader';
import { Button } from '../kit/button';
import { useUnits } from '../live/units';
import type { DoughForecast, StepForecast } from '@/core/forecast/forecast';

interface SheetHeadProps {
  dough: DoughForecast;
  sheet: MixSheet;
  mixStep: StepForecast;
  board: Board;
}

/** Which dough this is, how much of it, and when it is mixed. */
export function SheetHead({ dough, sheet, mixStep, board }: SheetHeadProps) {
  const say = useWords();
  const [units] = useUnits();
  const { zone } = board.house;
  const target = sheet.formula.formula.doughCelsius;
  return (
    <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
      <div>
        <h1 className="text-4xl font-bold">{dough.name}</h1>
        <p className="text-lg">
          {say('sheet.versionABowl', {
            name: sheet.formula.name,
            version: sheet.formula.version,
            mass: showMass(sheet.bowl.scaled.doughGrams, units),
            hasBowls: sheet.bowls > 1,
            part: target !== null ? say('sheet.doughAt', { celsius: showCelsius(target, units) }) : '',
          })}
        </p>
        <p className="text-lg text-quiet">
          {say('sheet.mix', { time: say.dayTime(mixStep.plannedStart, zone) })}
        </p>
      </div>
      <div className="flex gap-2 print:hidden">
        <Button floor aria-label={say('sheet.printTheSheet')} onClick={() => window.print()}>
          <Printer aria-hidden size={22} />
        </Button>
        <a
          href="/bench"
          className="grid min-h-14 place-items-center rounded border border-edge bg-flour px-5 text-xl"
        >
          {say('sheet.bench')}
        </a>
      </div>
    </div>
  );
}
