'use client';

import { useState } from 'react';
import { MACHINE_WORDS } from '@/core/bakery/machine-words';
import { type Machine, MACHINE_KINDS, type MachineKind } from '@/core/bakery/machines';
import { parseNumber } from '@/core/units/number';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { FormEnd } from './form-end';
import { beginDetails, DetailFields, readDetails } from './machine-details';
import { unitWords } from '@/core/bakery/machine-words';
import { useChange } from './use-change';

const FIELDS = ['label', 'capacity', 'changeover', 'decks', 'kgLeast', 'kgAtOnce'] as const;
/** Details beside whose fields the house says what is wrong. */
const DETAILS = ['width', 'length', 'leastGap', 'reduction', 'correction'].map((name) => `details.${name}`);
const NUMBERS = { capacity: 'numeric', changeover: 'numeric', decks: 'numeric' } as const;

const begin = (machine: Machine | null) => ({
  kind: machine?.kind ?? 'mixer',
  label: machine?.label ?? '',
  capacity: String(machine?.capacity ?? ''),
  changeover: String(machine?.changeover ?? 0),
  decks: String(machine?.decks ?? 1),
  kgLeast: String(machine?.kgLeast ?? ''),
  kgAtOnce: String(machine?.kgAtOnce ?? ''),
});

/** A machine: what it is, takes, and needs to change its setting; null for a new one. */
export function MachineSheet({ machine, onClose }: { machine: Machine | null; onClose: () => void }) {
  const say = useWords();
  const changing = useChange();
  const { change, held } = changing;
  const [form, setForm] = useState(begin(machine));
  const [details, setDetails] = useState(beginDetails(machine ?? {}));
  const { kind, decks, kgLeast, kgAtOnce, ...rest } = form;
  // What is no number goes to the house as it was typed, which says so.
  const number = (text: string) => parseNumber(text) ?? text.trim();
  const done = async (command: string, input: Record<string, unknown>) => {
    if (await change(command, input)) onClose();
  };
  const save = () =>
    done('save-machine', {
      ...{ id: machine?.id ?? '', ...rest },
      ...(machine ? {} : { kind }),
      ...(kind === 'oven' ? { decks } : {}),
      ...(kind === 'mixer' ? { kgLeast: number(kgLeast), kgAtOnce: number(kgAtOnce) } : {}),
      details: readDetails(kind, details),
    });
  const field = (name: (typeof FIELDS)[number], label: string) => (
    <Field
      label={label}
      inputMode={name in NUMBERS ? 'numeric' : name === 'label' ? 'text' : 'decimal'}
      value={form[name]}
      trouble={held?.field === name ? held.message : null}
      onType={(text) => setForm({ ...form, [name]: text })}
    />
  );
  return (
    <Sheet open onOpenChange={onClose} title={machine?.label ?? say('house.newMachine')}>
      <form
        noValidate
        className="grid gap-3 sm:grid-cols-3"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        {!machine && (
          <Choice
            label={say('house.kind')}
            value={kind}
            options={MACHINE_KINDS.map((id) => ({ id, name: say.coded(MACHINE_WORDS[id]) }))}
            onChoose={(next) => setForm({ ...form, kind: next as MachineKind })}
          />
        )}
        {field('label', say('house.name'))}
        {field('capacity', say('house.takes', { unit: say.coded(unitWords(kind, 2)) }))}
        {field('changeover', say('house.minutesForAnotherSetting'))}
        {kind === 'oven' && field('decks', say('house.decks'))}
        {kind === 'mixer' && field('kgLeast', say('house.leastDoughInABowl'))}
        {kind === 'mixer' && field('kgAtOnce', say('house.mostDoughInABowl'))}
        <DetailFields
          {...{ kind, texts: details }}
          trouble={(name) => (held?.field === `details.${name}` ? held.message : null)}
          onChange={(part) => setDetails({ ...details, ...part })}
        />
        <FormEnd of={changing} fields={[...FIELDS, ...DETAILS]} onDone={onClose}>
          {machine && (
            <Button className="min-h-11" onClick={() => void done('remove-machine', { id: machine.id })}>
              {say('house.takeOutOfUse')}
            </Button>
          )}
        </FormEnd>
      </form>
    </Sheet>
  );
}
