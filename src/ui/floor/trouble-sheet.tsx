'use client';

import { maySee } from '@/core/shopfloor/rights';
import { type ReactNode, useContext, useState } from 'react';
import type { Machine } from '@/core/bakery/machines';
import type { Person } from '@/core/bakery/people';
import type { DoughRecord } from '@/core/record/dough';
import type { Recording } from '@/core/record/events';
import type { DoughState } from '@/core/record/state';
import { Button } from '../kit/button';
import { Choice } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { go } from '../live/go';
import { Who } from '../live/who';
import { LossForm } from './loss-form';
import { OutOfSheet } from './out-of-sheet';

/** A dough of which something can be lost, and what was lost of it. */
export type LosableDough = Pick<DoughRecord, 'id' | 'name' | 'outputs'> & Pick<DoughState, 'losses'>;

/** Hours that are offered; nothing: until it is back. */
const HOURS = ['1', '2', '4', '8', '24'];
/** Where a repair of the plan is worked out at once. */
const REPAIR = '/plan?repair';
/** Where a rush order is taken at once. */
const RUSH = '/orders?rush';

/** How much of a machine is out: all of it, or half. */
const unitsOf = ({ capacity }: Machine, part: string): number | null =>
  part === 'half' && capacity > 1 ? Math.ceil(capacity / 2) : null;

/** What is broken, or who cannot work: one tap says it, from now on; then a repair of the plan is worked out. */
export function TroubleSheet({
  machines,
  people,
  doughs,
  onRecord,
  onClose,
}: {
  machines: readonly Machine[];
  people: readonly Person[];
  /** Doughs under way, of which something can be lost. */
  doughs: readonly LosableDough[];
  onRecord: (recording: Recording) => void;
  onClose: () => void;
}) {
  const say = useWords();
  const [hours, setHours] = useState('');
  const [part, setPart] = useState('all');
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const [ranOut, setRanOut] = useState(false);
  const [losing, setLosing] = useState<LosableDough | null>(null);
  const report = async (what: { machineId: string; units: number | null } | { personId: number }) => {
    setBusy(true);
    const answer = await send('report-trouble', { ...what, hours: hours === '' ? null : Number(hours) });
    setBusy(false);
    if (answer.ok) go(REPAIR);
    else setRefused(answer.message);
  };
  if (ranOut) return <OutOfSheet onClose={onClose} />;
  if (losing) return <LossSheet dough={losing} {...{ onRecord, onClose }} />;
  return (
    <Sheet open onOpenChange={(open) => !open && onClose()} title={say('floor.whatIsWrong')}>
      <div className="mb-4 grid gap-3 sm:grid-cols-2">
        <Choice
          label={say('floor.forHowLong')}
          size="floor"
          value={hours}
          options={[
            { id: '', name: say('floor.untilReportedBack') },
            ...HOURS.map((id) => ({ id, name: say('floor.forHours', { hours: Number(id) }) })),
          ]}
          onChoose={setHours}
        />
        <Choice
          label={say('floor.howMuchOfIt')}
          size="floor"
          value={part}
          options={['all', 'half'].map((id) => ({ id, name: say('floor.partOfIt', { part: id }) }))}
          onChoose={setPart}
        />
      </div>
      {refused && (
        <p role="alert" className="mb-3 border-l-4 border-warn pl-3 text-xl text-warn">
          {refused}
        </p>
      )}
      <Group name={say('floor.broken')}>
        {machines.map((machine) => (
          <Button
            key={machine.id}
            floor
            disabled={busy}
            onClick={() => void report({ machineId: machine.id, units: unitsOf(machine, part) })}
          >
            {machine.label}
          </Button>
        ))}
      </Group>
      {doughs.length > 0 && (
        <Group name={say('floor.lostOrSpoilt')}>
          {doughs.map((dough) => (
            <Button key={dough.id} floor disabled={busy} onClick={() => setLosing(dough)}>
              {dough.name}
            </Button>
          ))}
        </Group>
      )}
      <RanOut busy={busy} onIngredient={() => setRanOut(true)} />
      <Group name={say('floor.cannotWork')}>
        {people.map(({ id, name }) => (
          <Button key={id} floor disabled={busy} onClick={() => void report({ personId: id })}>
            {name}
          </Button>
        ))}
      </Group>
    </Sheet>
  );
}

/** What of a dough is lost, and why. */
function LossSheet({
  dough,
  onRecord,
  onClose,
}: {
  dough: LosableDough;
  onRecord: (recording: Recording) => void;
  onClose: () => void;
}) {
  const say = useWords();
  return (
    <Sheet
      open
      onOpenChange={(open) => !open && onClose()}
      title={say('floor.lostOf', { dough: dough.name })}
    >
      <LossForm
        dough={dough}
        losses={dough.losses}
        onRecord={(recording) => {
          onRecord(recording);
          onClose();
        }}
      />
    </Sheet>
  );
}

/** What there is too little of: an ingredient, or goods for somebody who needs them now. */
function RanOut({ busy, onIngredient }: { busy: boolean; onIngredient: () => void }) {
  const say = useWords();
  const who = useContext(Who);
  return (
    <Group name={say('floor.ranOut')}>
      <Button floor disabled={busy} onClick={onIngredient}>
        {say('floor.ingredientOut')}
      </Button>
      {(!who || maySee(who, '/orders')) && (
        <Button floor disabled={busy} onClick={() => go(RUSH)}>
          {say('floor.rushOrder')}
        </Button>
      )}
    </Group>
  );
}

function Group({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name} className="mb-4">
      <h3 className="mb-2 text-lg font-semibold">{name}</h3>
      <div className="flex flex-wrap gap-2">{children}</div>
    </section>
  );
}
