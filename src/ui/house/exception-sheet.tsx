'use client';

import { useState } from 'react';
import type { HouseBook } from '@/core/bakery/house-book';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { FormEnd } from './form-end';
import { useChange } from './use-change';

type Kind = 'away' | 'extra' | 'down';

/** Somebody away, a shift more, or a machine down for some time. */
export function ExceptionSheet({ book, onClose }: { book: HouseBook; onClose: () => void }) {
  const changing = useChange();
  const { change, held } = changing;
  const [form, setForm] = useState({
    kind: 'away' as Kind,
    personId: String(book.people[0]?.id ?? ''),
    machineId: book.machines[0]?.id ?? '',
    ...{ units: '', startDay: '', startTime: '06:00', endDay: '', endTime: '14:00', note: '' },
  });
  const set = (part: Partial<typeof form>) => setForm({ ...form, ...part });
  const at = (field: string) => (held?.field === field ? held.message : null);
  const { kind } = form;
  const save = async () => {
    const down = kind === 'down';
    const input = {
      ...{ kind, note: form.note },
      personId: down ? null : Number(form.personId),
      machineId: down ? form.machineId : null,
      units: down && form.units.trim() !== '' ? form.units.trim() : null,
      start: `${form.startDay}T${form.startTime}`,
      end: `${form.endDay || form.startDay}T${form.endTime}`,
    };
    if (await change('add-exception', input)) onClose();
  };
  return (
    <Sheet open onOpenChange={onClose} title="Different on single days">
      <form
        noValidate
        className="grid gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <Choice
          label="What"
          value={kind}
          options={[
            { id: 'away', name: 'Somebody is away' },
            { id: 'extra', name: 'Somebody works more' },
            { id: 'down', name: 'A machine is out' },
          ]}
          onChoose={(what) => set({ kind: what as Kind })}
        />
        {kind === 'down' ? (
          <Choice
            label="Machine"
            value={form.machineId}
            options={book.machines.map(({ id, label }) => ({ id, name: label }))}
            onChoose={(machineId) => set({ machineId })}
          />
        ) : (
          <Choice
            label="Who"
            value={form.personId}
            options={book.people.map(({ id, name }) => ({ id: String(id), name }))}
            onChoose={(personId) => set({ personId })}
          />
        )}
        <div className="grid grid-cols-2 gap-2">
          <Field
            label="From"
            type="date"
            value={form.startDay}
            trouble={at('start')}
            onType={(startDay) => set({ startDay })}
          />
          <Field label="at" type="time" value={form.startTime} onType={(startTime) => set({ startTime })} />
        </div>
        <div className="grid grid-cols-2 gap-2">
          <Field
            label="Until"
            type="date"
            value={form.endDay || form.startDay}
            trouble={at('end')}
            onType={(endDay) => set({ endDay })}
          />
          <Field
            label="at"
            aria-label="Until, at"
            type="time"
            value={form.endTime}
            onType={(endTime) => set({ endTime })}
          />
        </div>
        {kind === 'down' && (
          <Field
            label="How many are out"
            hint="empty: all"
            inputMode="numeric"
            value={form.units}
            trouble={at('units')}
            onType={(units) => set({ units })}
          />
        )}
        <Field label="Note" value={form.note} onType={(note) => set({ note })} />
        <FormEnd of={changing} fields={['start', 'end', 'units']} onDone={onClose} />
      </form>
    </Sheet>
  );
}
