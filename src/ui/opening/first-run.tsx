'use client';

import { useState, useSyncExternalStore } from 'react';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { useWords } from '../kit/words';
import { Awake } from '../live/awake';
import { openBakery, signIn } from '../live/command';
import { go } from '../live/go';
import { useUnits } from '../live/units';
import { UnitChoices } from '../rooms/unit-choices';

const neverChanges = () => () => undefined;
/** The zone of this device; a server does not know it. */
const zoneHere = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

const EMPTY = { code: '', name: '', zone: '', planner: '', pin: '' };
type Entry = keyof typeof EMPTY;

interface Props {
  zones: readonly string[];
  /** This device was let in already: no code is needed. */
  isKnown: boolean;
}

/** An empty database: whoever has the code from the server's window opens a bakery and becomes its first planner. */
export function FirstRun({ zones, isKnown }: Props) {
  const say = useWords();
  const [form, setForm] = useState(EMPTY);
  const [trouble, setTrouble] = useState<{ message: string; field: string | null } | null>(null);
  const [busy, setBusy] = useState(false);
  const [units] = useUnits();
  const here = useSyncExternalStore(neverChanges, zoneHere, () => '');
  const zone = form.zone || here;
  const open = async () => {
    setBusy(true);
    const { mass, temperature, length, kitchen } = units;
    const answer = await openBakery({ ...form, zone, units: { mass, temperature, length, kitchen } });
    if (answer.ok) {
      const { personId } = answer.result as { personId: number };
      const inside = await signIn(personId, form.pin);
      return go(inside.ok ? '/setup' : '/sign-in');
    }
    setBusy(false);
    setTrouble(answer);
  };
  const field = (name: Entry, label: string, more: { hint?: string; type?: string } = {}) => (
    <Field
      label={label}
      size="floor"
      value={form[name]}
      autoComplete="off"
      trouble={trouble?.field === name ? trouble.message : null}
      onType={(text) => setForm({ ...form, [name]: text })}
      {...more}
    />
  );
  return (
    <main className="mx-auto grid min-h-dvh max-w-2xl content-center gap-6 p-6">
      <header>
        <h1 className="text-4xl font-bold">{say('setup.openABakery')}</h1>
        <p className="mt-2 text-xl text-quiet">{say('setup.nothingIsHereYet')}</p>
      </header>
      <form
        aria-label={say('setup.openABakery')}
        noValidate
        className="grid gap-4 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          void open();
        }}
      >
        {!isKnown && (
          <div className="sm:col-span-2">
            {field('code', say('setup.code'), { hint: say('setup.theServerPrintedIt') })}
          </div>
        )}
        {field('name', say('setup.nameOfTheBakery'))}
        <Choice
          label={say('setup.timeZone')}
          size="floor"
          value={zone}
          options={[...new Set([zone, ...zones])].map((one) => ({ id: one, name: one.replace(/_/g, ' ') }))}
          trouble={trouble?.field === 'zone' ? trouble.message : null}
          onChoose={(next) => setForm({ ...form, zone: next })}
        />
        {field('planner', say('setup.yourName'))}
        {field('pin', say('setup.yourPin'), { hint: say('setup.sixToEightDigits'), type: 'password' })}
        <div className="sm:col-span-2">
          <UnitChoices />
        </div>
        <div className="sm:col-span-2">
          <Button look="act" floor type="submit" className="w-full" disabled={busy}>
            {say('setup.openABakery')}
          </Button>
        </div>
      </form>
      {trouble && !(trouble.field && trouble.field in EMPTY) && (
        <p role="alert" className="text-lg text-warn">
          {trouble.message}
        </p>
      )}
      <Awake />
    </main>
  );
}
