'use client';

import { maySee } from '@/core/shopfloor/rights';
import { type ReactNode, useContext, useState } from 'react';
import type { Machine } from '@/core/bakery/machines';
import type { Person } from '@/core/bakery/people';
import type { DoughRecord } from '@/core/record/dough';
import type { Recording } from '@/core/record/events';
import type { DoughState } from '@/core/record/state';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { parseCelsius } from '@/core/units/temperature';
import { go } from '../live/go';
import { useUnits } from '../live/units';
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

/** How many times as long a machine takes that only is slower. */
const SLOWER: Readonly<Record<string, number>> = { slow: 1.25, slower: 1.5 };

/** What is reported of a machine: all of it is out, half, one deck, or it takes longer. */
function reportOf({ id, capacity }: Machine, part: string): TroubleReport {
  const deck = deckIn(part);
  const slower = SLOWER[part] ?? null;
  const units = part === 'half' && capacity > 1 ? Math.ceil(capacity / 2) : null;
  return { machineId: id, units, ...(deck === null ? {} : { deck }), ...(slower === null ? {} : { slower }) };
}

type TroubleReport =
  { machineId: string; units: number | null; deck?: number; slower?: number } | { personId: number };

/** The deck that a choice names; null for another. */
const deckIn = (part: string): number | null => (part.startsWith('deck ') ? Number(part.slice(5)) : null);

/** Whether that can be so of a machine: a deck of an oven that has it, a temperature of what has one inside. */
function mayBe({ kind, decks = 1, place }: Machine, part: string): boolean {
  const deck = deckIn(part);
  if (deck !== null) return kind === 'oven' && deck <= decks;
  return part !== 'cooler' || Boolean(place);
}

/** Decks that an oven of the house has, where one has several. */
function decksOf(machines: readonly Machine[]): string[] {
  const most = Math.max(1, ...machines.map(({ kind, decks = 1 }) => (kind === 'oven' ? decks : 1)));
  return most === 1 ? [] : Array.from({ length: most }, (_, i) => `deck ${i + 1}`);
}

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
  const [cooler, setCooler] = useState('');
  const [units] = useUnits();
  const tell = async (machine: Machine) => {
    const celsius = parseCelsius(cooler, units.temperature);
    if (celsius === null) return setRefused(say('common.thatIsNotATemperature'));
    setBusy(true);
    const answer = await send('tell-place', { place: machine.place, celsius: Math.round(celsius * 10) / 10 });
    setBusy(false);
    if (answer.ok) go(REPAIR);
    else setRefused(answer.message);
  };
  const report = async (what: TroubleReport) => {
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
      <Extent
        {...{ machines, hours, part, cooler }}
        onHours={setHours}
        onPart={setPart}
        onCooler={setCooler}
      />
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
            disabled={busy || !mayBe(machine, part)}
            onClick={() => void (part === 'cooler' ? tell(machine) : report(reportOf(machine, part)))}
          >
            {say.named(machine.label)}
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

interface ExtentProps {
  machines: readonly Machine[];
  hours: string;
  part: string;
  cooler: string;
  onHours: (hours: string) => void;
  onPart: (part: string) => void;
  onCooler: (celsius: string) => void;
}

/** For how long something is out, and how much of it. */
function Extent({ machines, hours, part, cooler, onHours, onPart, onCooler }: ExtentProps) {
  const say = useWords();
  const [units] = useUnits();
  return (
    <div className="mb-4 grid gap-3 sm:grid-cols-2">
      <Choice
        label={say('floor.forHowLong')}
        size="floor"
        value={hours}
        options={[
          { id: '', name: say('floor.untilReportedBack') },
          ...HOURS.map((id) => ({ id, name: say('floor.forHours', { hours: Number(id) }) })),
        ]}
        onChoose={onHours}
      />
      <Choice
        label={say('floor.howMuchOfIt')}
        size="floor"
        value={part}
        options={['all', 'half', ...decksOf(machines), 'slow', 'slower', 'cooler'].map((id) => ({
          id,
          name: say('floor.partOfIt', { part: id.split(' ')[0] ?? id, deck: deckIn(id) ?? 0 }),
        }))}
        onChoose={onPart}
      />
      {part === 'cooler' && (
        <Field
          label={say('floor.coolerBy', { unit: units.temperature })}
          size="floor"
          inputMode="decimal"
          value={cooler}
          onType={onCooler}
        />
      )}
    </div>
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
