'use client';

import { KITCHENS, type Kitchen } from '@/core/units/measures';
import type { ReaderUnits } from '@/core/units/reader';
import { Choice } from '../kit/field';
import { useUnits } from '../live/units';

/** How this device shows weights, temperatures and lengths. */
export function UnitChoices() {
  const [units, setUnits] = useUnits();
  return (
    <section aria-label="Units on this device" className="mt-5">
      <h2 className="mb-2 text-lg text-quiet">units on this device</h2>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <Choice
          label="Weights"
          value={units.mass}
          options={[
            { id: 'g', name: 'grams' },
            { id: 'oz', name: 'ounces' },
          ]}
          onChoose={(mass) => setUnits({ mass: mass as ReaderUnits['mass'] })}
        />
        <Choice
          label="Temperatures"
          value={units.temperature}
          options={[
            { id: 'C', name: '°C' },
            { id: 'F', name: '°F' },
          ]}
          onChoose={(temperature) => setUnits({ temperature: temperature as ReaderUnits['temperature'] })}
        />
        <Choice
          label="Lengths"
          value={units.length}
          options={[
            { id: 'cm', name: 'cm' },
            { id: 'in', name: 'inches' },
          ]}
          onChoose={(length) => setUnits({ length: length as ReaderUnits['length'] })}
        />
        <Choice
          label="Cups and spoons"
          value={units.kitchen}
          options={KITCHENS}
          onChoose={(kitchen) => setUnits({ kitchen: kitchen as Kitchen })}
        />
      </div>
    </section>
  );
}
