'use client';

import { useWords } from '../kit/words';
import type { EventBody, MixConditions } from '@/core/record/events';
import type { IngredientBook } from '@/core/formula/ingredient';
import type { MixSheet } from '@/core/process/mix-sheet';
import { doughAsItComes, mixingOf } from '@/core/heat/mixing';
import { waterAnswer } from '@/core/heat/water';
import { showDifference } from '@/core/units/reader';
import { measure } from '@/core/units/measure';
import { unless, useTyped, wants } from '../workbench/use-typed';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useUnits } from '../live/units';
import { WaterWords, WithoutLiquid } from './water-words';
import { MeasuredDough } from './measured-dough';

interface Props {
  sheet: MixSheet;
  book: IngredientBook;
  conditions: MixConditions | null;
  measured: number | null;
  onTell: (part: EventBody) => Promise<void>;
}

/** Flour and room, then the water; afterwards the dough's temperature, from which the house learns. */
export function WaterPanel({ sheet, book, conditions, measured, onTell }: Props) {
  const say = useWords();
  const [units] = useUnits();

  const offered = {
    flour: conditions?.flour ?? sheet.temperatures.flour,
    room: conditions?.room ?? sheet.temperatures.room,
    tap: sheet.temperatures.tap,
  };
  const { read, field: typed } = useTyped({
    flour: measure('celsius', offered.flour),
    room: measure('celsius', offered.room),
    tap: measure('celsius', offered.tap),
  });
  const value = read.celsius;
  const at = { ...sheet.temperatures, flour: value('flour'), room: value('room'), tap: value('tap') };
  const target = sheet.formula.formula.doughCelsius;
  const sound = ![at.flour, at.room, at.tap].some(Number.isNaN);
  const mixing =
    target !== null && sound
      ? mixingOf(sheet.bowl.scaled, book, {
          at: { ...at, preferment: at.room },
          target,
          rise: sheet.rise.mean,
        })
      : null;
  const dry =
    !mixing && sound
      ? doughAsItComes(sheet.bowl.scaled, book, { ...at, preferment: at.room }, sheet.rise.mean)
      : null;
  const field = (name: 'flour' | 'room' | 'tap', label: string) => (
    <Field label={label} size="floor" {...typed(name)} trouble={unless(value(name), wants(say, 'celsius'))} />
  );
  const tellWater = () => {
    if (!mixing) return;
    const answer = waterAnswer(mixing.question, mixing.flour);
    const liquid = answer.kind === 'too-hot' ? mixing.question.warmest : answer.celsius;
    const iceKg = answer.kind === 'ice' || answer.kind === 'too-warm-room' ? answer.iceKg : 0;
    const round = (x: number) => Math.round(x * 10) / 10;
    void onTell({
      kind: 'conditions',
      data: {
        kind: 'conditions',
        flour: round(at.flour),
        room: round(at.room),
        liquid: round(Math.max(liquid, iceKg > 0 ? at.tap : -20)),
        iceKg: Math.round(iceKg * 1000) / 1000,
      },
    });
  };
  return (
    <section aria-label={say('sheet.water')}>
      <h2 className="mb-2 text-2xl font-semibold">{say('sheet.water')}</h2>
      <div className="grid grid-cols-3 gap-3">
        {field('flour', say('sheet.flour'))}
        {field('room', say('sheet.room'))}
        {field('tap', say('sheet.tapWater'))}
      </div>
      <div className="my-4">
        {mixing ? (
          <WaterWords mixing={mixing} factor={sheet.factor.mean} units={units} />
        ) : dry !== null && target !== null ? (
          <WithoutLiquid dough={dry} target={target} units={units} />
        ) : (
          <p className="text-lg text-quiet">
            {target === null ? say('sheet.thisFormulaNamesNoDough') : say('sheet.tellFlourAndRoomFirst')}
          </p>
        )}
        <RiseWords sheet={sheet} />
      </div>
      <Button
        look={conditions ? 'plain' : 'act'}
        floor
        className="w-full print:hidden"
        disabled={!mixing}
        onClick={tellWater}
      >
        {conditions ? say('sheet.waterTakenAgainSo') : say('sheet.waterTakenSo')}
      </Button>
      <div className="print:hidden">
        <MeasuredDough onTell={onTell} measured={measured} conditions={conditions} />
      </div>
    </section>
  );
}

interface RiseWordsProps {
  sheet: MixSheet;
}

/** How much mixing warms the dough, and how well that is known. */
function RiseWords({ sheet }: RiseWordsProps) {
  const say = useWords();
  const [units] = useUnits();
  return (
    <p className="mt-1 text-quiet">
      {say('sheet.riseByMixingFactor', {
        difference: showDifference(sheet.rise.mean, units),
        part:
          sheet.rise.readings === 0
            ? say('sheet.theHouseSGuessNo')
            : say('sheet.giveOrTakeFromMixes', {
                difference: showDifference(sheet.rise.spread, units),
                readings: sheet.rise.readings,
              }),
        difference2: showDifference(sheet.factor.mean, units),
        part2:
          sheet.factor.readings === 0
            ? say('sheet.aGuessToo')
            : say('sheet.from', { readings: sheet.factor.readings }),
      })}
    </p>
  );
}
