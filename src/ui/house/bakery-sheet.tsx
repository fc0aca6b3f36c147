'use client';

import { useState } from 'react';
import { KITCHENS, type Kitchen } from '@/core/units/measures';
import type { ReaderUnits } from '@/core/units/reader';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { FormEnd } from './form-end';
import { useChange } from './use-change';

/** What is said of the bakery itself. */
export interface BakerySelf {
  name: string;
  zone: string;
  units: ReaderUnits;
}

interface Props {
  self: BakerySelf;
  zones: readonly string[];
  onClose: () => void;
}

/** What the bakery is called, where it is, and the units that it writes for whoever has chosen none. */
export function BakerySheet({ self, zones, onClose }: Props) {
  const say = useWords();
  const changing = useChange();
  const { change, held } = changing;
  const [form, setForm] = useState(self);
  const units = (part: Partial<ReaderUnits>) => setForm({ ...form, units: { ...form.units, ...part } });
  const trouble = (field: string) => (held?.field === field ? held.message : null);
  const save = async () => {
    if (await change('save-house', { ...form })) onClose();
  };
  return (
    <Sheet open onOpenChange={onClose} title={self.name}>
      <form
        noValidate
        className="grid gap-3 sm:grid-cols-4"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <div className="sm:col-span-2">
          <Field
            label={say('house.name')}
            value={form.name}
            trouble={trouble('name')}
            onType={(name) => setForm({ ...form, name })}
          />
        </div>
        <div className="sm:col-span-2">
          <Choice
            label={say('house.timeZone')}
            value={form.zone}
            options={zones.map((id) => ({ id, name: id.replace(/_/g, ' ') }))}
            trouble={trouble('zone')}
            onChoose={(zone) => setForm({ ...form, zone })}
          />
        </div>
        <Choice
          label={say('house.weights')}
          value={form.units.mass}
          options={[
            { id: 'g', name: say('house.grams') },
            { id: 'oz', name: say('house.ounces') },
          ]}
          onChoose={(mass) => units({ mass: mass as ReaderUnits['mass'] })}
        />
        <Choice
          label={say('house.temperatures')}
          value={form.units.temperature}
          options={[
            { id: 'C', name: '°C' },
            { id: 'F', name: '°F' },
          ]}
          onChoose={(temperature) => units({ temperature: temperature as ReaderUnits['temperature'] })}
        />
        <Choice
          label={say('house.lengths')}
          value={form.units.length}
          options={[
            { id: 'cm', name: say('house.centimetres') },
            { id: 'in', name: say('house.inches') },
          ]}
          onChoose={(length) => units({ length: length as ReaderUnits['length'] })}
        />
        <Choice
          label={say('common.cupsAndSpoons')}
          value={form.units.kitchen}
          options={KITCHENS.map(({ id, name }) => ({ id, name: say.coded(name) }))}
          onChoose={(kitchen) => units({ kitchen: kitchen as Kitchen })}
        />
        <p className="col-span-full text-[15px] text-quiet">{say('house.unitsOfTheHouse')}</p>
        <FormEnd of={changing} fields={['name', 'zone']} onDone={onClose} />
      </form>
    </Sheet>
  );
}
