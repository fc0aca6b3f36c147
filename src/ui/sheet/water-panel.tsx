'use client';

import { useState } from 'react';
import type { EventBody, MixConditions } from '@/core/record/events';
import type { IngredientBook } from '@/core/formula/ingredient';
import type { MixSheet } from '@/core/process/mix-sheet';
import { doughAsItComes, mixingOf } from '@/core/heat/mixing';
import { waterAnswer } from '@/core/heat/water';
import { showCelsius, showDifference } from '@/core/units/reader';
import { measure } from '@/core/units/measure';
import { parseCelsius } from '@/core/units/temperature';
import { unless, useTyped, wants } from '../workbench/use-typed';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useUnits } from '../live/units';
import { WaterWords, WithoutLiquid } from './water-words';

interface Props {
  sheet: MixSheet;
  book: IngredientBook;
  conditions: MixConditions | null;
  measured: number | null;
  onTell: (part: EventBody) => Promise<void>;
}

/** Flour and room, then the water; afterwards the dough's temperature, from which the house learns. */
export function WaterPanel({ sheet, book, conditions, measured, onTell }: Props) {
  const [units] = useUnits();
  const [dough, setDough] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
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
      ? mixingOf(sheet.bowl.scaled, book, { ...at, preferment: at.room }, target, sheet.rise.mean)
      : null;
  const dry =
    !mixing && sound
      ? doughAsItComes(sheet.bowl.scaled, book, { ...at, preferment: at.room }, sheet.rise.mean)
      : null;
  const field = (name: 'flour' | 'room' | 'tap', label: string) => (
    <Field label={label} size="floor" {...typed(name)} trouble={unless(value(name), wants('celsius'))} />
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
    <section aria-label="Water">
      <h2 className="mb-2 text-2xl font-semibold">Water</h2>
      <div className="grid grid-cols-3 gap-3">
        {field('flour', 'Flour')}
        {field('room', 'Room')}
        {field('tap', 'Tap water')}
      </div>
      <div className="my-4">
        {mixing ? (
          <WaterWords mixing={mixing} factor={sheet.factor.mean} units={units} />
        ) : dry !== null && target !== null ? (
          <WithoutLiquid dough={dry} target={target} units={units} />
        ) : (
          <p className="text-lg text-quiet">
            {target === null ? 'This formula names no dough temperature.' : 'Tell flour and room first.'}
          </p>
        )}
        <p className="mt-1 text-quiet">
          Rise by mixing {showDifference(sheet.rise.mean, units)}{' '}
          {sheet.rise.readings === 0
            ? '(the house’s guess: no mix of it was measured yet)'
            : `give or take ${showDifference(sheet.rise.spread, units)}, from ${sheet.rise.readings} mixes`}
          ; factor {showDifference(sheet.factor.mean, units)},{' '}
          {sheet.factor.readings === 0 ? 'a guess too' : `from ${sheet.factor.readings}`}.
        </p>
      </div>
      <Button
        look={conditions ? 'plain' : 'act'}
        floor
        className="w-full"
        disabled={!mixing}
        onClick={tellWater}
      >
        {conditions ? 'Water taken again so' : 'Water taken so'}
      </Button>
      <form
        className="mt-3 flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          const celsius = parseCelsius(dough, units.temperature);
          if (celsius === null) {
            setTrouble(wants('celsius'));
            return;
          }
          setTrouble(null);
          setDough('');
          void onTell({ kind: 'temperature', celsius: Math.round(celsius * 10) / 10 });
        }}
      >
        <Field
          label={`Dough after mixing, °${units.temperature}`}
          size="floor"
          value={dough}
          onType={setDough}
          trouble={trouble}
          hint={
            measured === null
              ? undefined
              : `measured ${showCelsius(measured, units)}${conditions ? '' : '; without the water nothing is learnt from it'}`
          }
        />
        <Button
          type="submit"
          floor
          className="shrink-0 whitespace-nowrap"
          look={conditions && measured === null ? 'act' : 'plain'}
        >
          Tell it
        </Button>
      </form>
    </section>
  );
}
