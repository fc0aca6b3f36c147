'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { Machine } from '@/core/bakery/machines';
import { Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { FormEnd } from './form-end';
import { useChange } from './use-change';

/** What a machine is called, takes, and needs to change its setting. */
export function MachineSheet({ machine, onClose }: { machine: Machine | null; onClose: () => void }) {
  const say = useWords();
  const changing = useChange();
  const { change, held } = changing;
  const [form, setForm] = useState({
    label: machine?.label ?? '',
    capacity: String(machine?.capacity ?? ''),
    changeover: String(machine?.changeover ?? 0),
  });
  const [decks, setDecks] = useState(String(machine?.decks ?? 1));
  const isOven = machine?.kind === 'oven';
  const set = (part: Partial<typeof form>) => setForm({ ...form, ...part });
  const at = (field: string) => (held?.field === field ? held.message : null);
  const save = async () => {
    if (await change('save-machine', { id: machine?.id ?? '', ...form, ...(isOven ? { decks } : {}) }))
      onClose();
  };
  return (
    <Sheet open onOpenChange={onClose} title={machine?.label ?? say('house.machine')}>
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
          trouble={at('label')}
          onType={(label) => set({ label })}
        />
        <Field
          label={say('house.takes', { unit: machine?.unit ?? '' })}
          inputMode="numeric"
          value={form.capacity}
          trouble={at('capacity')}
          onType={(capacity) => set({ capacity })}
        />
        <Field
          label={say('house.minutesForAnotherSetting')}
          inputMode="numeric"
          value={form.changeover}
          trouble={at('changeover')}
          onType={(changeover) => set({ changeover })}
        />
        {isOven && (
          <Field
            label={say('house.decks')}
            inputMode="numeric"
            value={decks}
            trouble={at('decks')}
            onType={setDecks}
          />
        )}
        <FormEnd of={changing} fields={['label', 'capacity', 'changeover', 'decks']} onDone={onClose} />
      </form>
    </Sheet>
  );
}
