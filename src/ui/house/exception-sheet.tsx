'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { HouseBook } from '@/core/bakery/house-book';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { FormEnd } from './form-end';
import { useChange } from './use-change';

type Kind = 'away' | 'extra' | 'down';

/** Somebody away, a shift more, or a machine down for some time. */
export function ExceptionSheet({ book, onClose }: { book: HouseBook; onClose: () => void }) {
  const say = useWords();
  const changing = useChange();
  const { change, held } = changing;
  const [form, setForm] = useState<ExceptionForm>({
    kind: 'away',
    personId: String(book.people[0]?.id ?? ''),
    machineId: book.machines[0]?.id ?? '',
    ...{ units: '', startDay: '', startTime: '06:00', endDay: '', endTime: '14:00', note: '' },
  });
  const set = (part: Partial<ExceptionForm>) => setForm({ ...form, ...part });
  const troubleAt = (field: string) => (held?.field === field ? held.message : null);
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
    <Sheet open onOpenChange={onClose} title={say('house.differentOnSingleDays')}>
      <form
        noValidate
        className="grid gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <Choice
          label={say('house.what')}
          value={kind}
          options={[
            { id: 'away', name: say('house.somebodyIsAway') },
            { id: 'extra', name: say('house.somebodyWorksMore') },
            { id: 'down', name: say('house.aMachineIsOut') },
          ]}
          onChoose={(what) => set({ kind: what as Kind })}
        />
        {kind === 'down' ? (
          <Choice
            label={say('house.machine')}
            value={form.machineId}
            options={book.machines.map(({ id, label }) => ({ id, name: say.named(label) }))}
            onChoose={(machineId) => set({ machineId })}
          />
        ) : (
          <Choice
            label={say('house.who')}
            value={form.personId}
            options={book.people.map(({ id, name }) => ({ id: String(id), name }))}
            onChoose={(personId) => set({ personId })}
          />
        )}
        <SpanFields form={form} troubleAt={troubleAt} set={set} />
        <div className="grid grid-cols-2 gap-2">
          <Field
            label={say('house.until')}
            type="date"
            value={form.endDay || form.startDay}
            trouble={troubleAt('end')}
            onType={(endDay) => set({ endDay })}
          />
          <Field
            label={say('house.at')}
            aria-label={say('house.untilAt')}
            type="time"
            value={form.endTime}
            onType={(endTime) => set({ endTime })}
          />
        </div>
        {kind === 'down' && (
          <Field
            label={say('house.howManyAreOut')}
            hint={say('house.emptyAll')}
            inputMode="numeric"
            value={form.units}
            trouble={troubleAt('units')}
            onType={(units) => set({ units })}
          />
        )}
        <Field label={say('house.note')} value={form.note} onType={(note) => set({ note })} />
        <FormEnd of={changing} fields={['start', 'end', 'units']} onDone={onClose} />
      </form>
    </Sheet>
  );
}

interface ExceptionForm {
  kind: Kind;
  personId: string;
  machineId: string;
  units: string;
  startDay: string;
  startTime: string;
  endDay: string;
  endTime: string;
  note: string;
}

interface SpanFieldsProps {
  form: ExceptionForm;
  troubleAt: (field: string) => string | null;
  set: (part: Partial<ExceptionForm>) => void;
}

/** From when to when. */
function SpanFields({ form, troubleAt, set }: SpanFieldsProps) {
  const say = useWords();
  return (
    <div className="grid grid-cols-2 gap-2">
      <Field
        label={say('house.from')}
        type="date"
        value={form.startDay}
        trouble={troubleAt('start')}
        onType={(startDay) => set({ startDay })}
      />
      <Field
        label={say('house.at')}
        type="time"
        value={form.startTime}
        onType={(startTime) => set({ startTime })}
      />
    </div>
  );
}
