'use client';

import { useWords } from '../kit/words';
import { KITCHENS, type Kitchen } from '@/core/units/measures';
import type { ReaderUnits } from '@/core/units/reader';
import { Choice } from '../kit/field';
import { useUnits } from '../live/units';

/** How this device shows weights, temperatures and lengths. */
export function UnitChoices() {
  const say = useWords();
  const [units, setUnits] = useUnits();
  return (
    <section aria-label={say('rooms.unitsOnThisDevice')} className="mt-5">
      <h2 className="mb-2 text-lg text-quiet">{say('rooms.unitsOnThisDevice2')}</h2>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <Choice
          label={say('rooms.weights')}
          value={units.mass}
          options={[
            { id: 'g', name: say('rooms.grams') },
            { id: 'oz', name: say('rooms.ounces') },
          ]}
          onChoose={(mass) => setUnits({ mass: mass as ReaderUnits['mass'] })}
        />
        <Choice
          label={say('rooms.temperatures')}
          value={units.temperature}
          options={[
            { id: 'C', name: '°C' },
            { id: 'F', name: '°F' },
          ]}
          onChoose={(temperature) => setUnits({ temperature: temperature as ReaderUnits['temperature'] })}
        />
        <Choice
          label={say('rooms.lengths')}
          value={units.length}
          options={[
            { id: 'cm', name: 'cm' },
            { id: 'in', name: say('rooms.inches') },
          ]}
          onChoose={(length) => setUnits({ length: length as ReaderUnits['length'] })}
        />
        <Choice
          label={say('common.cupsAndSpoons')}
          value={units.kitchen}
          options={KITCHENS.map(({ id, name }) => ({ id, name: say.coded(name) }))}
          onChoose={(kitchen) => setUnits({ kitchen: kitchen as Kitchen })}
        />
      </div>
    </section>
  );
}
