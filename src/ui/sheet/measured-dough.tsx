'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { EventBody, MixConditions } from '@/core/record/events';
import { showCelsius } from '@/core/units/reader';
import { parseCelsius } from '@/core/units/temperature';
import { wants } from '../workbench/use-typed';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useUnits } from '../live/units';

interface MeasuredDoughProps {
  onTell: (part: EventBody) => Promise<void>;
  measured: number | null;
  conditions: MixConditions | null;
}

/** The temperature of the dough after mixing. */
export function MeasuredDough({ onTell, measured, conditions }: MeasuredDoughProps) {
  const [units] = useUnits();
  const say = useWords();
  const [dough, setDough] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  return (
    <form
      className="mt-3 flex items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        const celsius = parseCelsius(dough, units.temperature);
        if (celsius === null) {
          setTrouble(wants(say, 'celsius'));
          return;
        }
        setTrouble(null);
        setDough('');
        void onTell({ kind: 'temperature', celsius: Math.round(celsius * 10) / 10 });
      }}
    >
      <Field
        label={say('sheet.doughAfterMixing', { temperature: units.temperature })}
        size="floor"
        value={dough}
        onType={setDough}
        trouble={trouble}
        hint={
          measured === null
            ? undefined
            : say('sheet.measuredWithoutTheWaterNothing', {
                celsius: showCelsius(measured, units),
                isConditions: Boolean(conditions),
              })
        }
      />
      <Button
        type="submit"
        floor
        className="shrink-0 whitespace-nowrap"
        look={conditions && measured === null ? 'act' : 'plain'}
      >
        {say('sheet.tellIt')}
      </Button>
    </form>
  );
}
