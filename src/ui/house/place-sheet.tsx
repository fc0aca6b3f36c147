'use client';

import { useState } from 'react';
import type { HousePlace } from '@/core/bakery/house-book';
import { PLACE_KINDS, type PlaceKind } from '@/core/heat/places';
import { readMeasure } from '@/core/units/measure';
import { METRIC } from '@/core/units/reader';
import { upperFirst } from '@/words/first-letter';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { MeasureField } from '../kit/measure-field';
import { Sheet } from '../kit/sheet';
import { typed } from '../kit/typed-form';
import { useWords } from '../kit/words';
import { FormEnd } from './form-end';
import { useChange } from './use-change';

/** What is usual for a kind of place, and between which a reading of it can be true, °C. */
const USUAL: Record<PlaceKind, [usual: number, lowest: number, highest: number]> = {
  ...{ room: [22, 5, 45], fridge: [4, -8, 25], retarder: [4, -8, 25], freezer: [-18, -45, 12] },
  ...{ blast: [-30, -50, 15], proofer: [26, 5, 60], oven: [185, 5, 320] },
};

const DEGREES = ['usual', 'lowest', 'highest'] as const;
const FIELDS = ['label', ...DEGREES] as const;

const degreesOf = ([usual, lowest, highest]: readonly number[]) => ({
  ...{ usual: typed(usual, '°C'), lowest: typed(lowest, '°C'), highest: typed(highest, '°C') },
});

const begin = (place: HousePlace | null) => ({
  label: place?.label ?? '',
  what: place?.inDough ? 'probe' : (place?.purpose ?? 'dough'),
  kind: place?.kind ?? 'room',
  ...degreesOf(place ? [place.usual, place.lowest, place.highest] : USUAL.room),
});

/** A place of the house: what it is, what it usually has, and what a probe in it can say; null for a new one. */
export function PlaceSheet({ place, onClose }: { place: HousePlace | null; onClose: () => void }) {
  const say = useWords();
  const changing = useChange();
  const { change, held } = changing;
  const [form, setForm] = useState(begin(place));
  const isProbe = form.what === 'probe';
  const done = async (command: string, input: Record<string, unknown>) => {
    if (await change(command, input)) onClose();
  };
  const celsius = (text: string) => {
    const value = readMeasure('celsius', text, METRIC);
    return Number.isNaN(value) ? text : value;
  };
  const save = () =>
    done('save-place', {
      ...{ id: place?.id ?? '', label: form.label, kind: form.kind, inDough: isProbe },
      purpose: isProbe ? 'dough' : form.what,
      ...Object.fromEntries(DEGREES.map((name) => [name, celsius(form[name])])),
    });
  const trouble = (name: string) => (held?.field === name ? held.message : null);
  const labels = {
    ...{ usual: say('house.usually'), lowest: say('house.neverBelow'), highest: say('house.neverAbove') },
  };
  return (
    <Sheet open onOpenChange={onClose} title={place?.label ?? say('house.newPlace')}>
      <form
        noValidate
        className="grid gap-3 sm:grid-cols-3"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <Field
          label={say('house.name')}
          value={form.label}
          trouble={trouble('label')}
          onType={(label) => setForm({ ...form, label })}
        />
        {!place && (
          <Choice
            label={say('house.whatItIsFor')}
            value={form.what}
            options={[
              { id: 'dough', name: say('house.forDough') },
              { id: 'flour', name: say('house.forFlour') },
              { id: 'water', name: say('house.forWater') },
              { id: 'probe', name: say('house.forTheCore') },
            ]}
            onChoose={(what) => setForm({ ...form, what })}
          />
        )}
        {!isProbe && (place?.machine ?? null) === null && (
          <Choice
            label={say('house.whatAir')}
            value={form.kind}
            options={(Object.keys(PLACE_KINDS) as PlaceKind[]).map((id) => ({
              ...{ id, name: upperFirst(say.coded(PLACE_KINDS[id].label)) },
            }))}
            onChoose={(id) => {
              const kind = id as PlaceKind;
              setForm({ ...form, kind, ...(place ? {} : degreesOf(USUAL[kind])) });
            }}
          />
        )}
        {!isProbe &&
          DEGREES.map((name) => (
            <MeasureField
              key={name}
              kind="celsius"
              label={labels[name]}
              text={form[name]}
              trouble={trouble(name)}
              onText={(text) => setForm({ ...form, [name]: text })}
            />
          ))}
        {place?.machine && (
          <p className="col-span-full text-quiet">{say('house.insideOf', { machine: place.machine })}</p>
        )}
        {place && (
          <p className="col-span-full text-[15px] text-quiet">{say('house.sentAs', { id: place.id })}</p>
        )}
        <FormEnd of={changing} fields={FIELDS} onDone={onClose}>
          {place && place.machine === null && (
            <Button className="min-h-11" onClick={() => void done('remove-place', { id: place.id })}>
              {say('house.takeOutOfUse')}
            </Button>
          )}
        </FormEnd>
      </form>
    </Sheet>
  );
}
