'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { OpenSheet } from './open-sheet';
import type { Person } from '@/core/bakery/people';
import type { HouseBook } from '@/core/bakery/house-book';
import type { HouseRecord } from '@/core/bakery/house-record';
import { type BakerySelf, BakerySheet } from './bakery-sheet';
import { BusySheet } from './busy-sheet';
import { ExceptionSheet } from './exception-sheet';
import { MachineSheet } from './machine-sheet';
import { PersonSheet } from './person-sheet';
import { RecordView } from './record-view';
import { ExceptionsSection } from './exceptions-section';
import { MachinesSection } from './machines-section';
import { PeopleSection } from './people-section';
import { PlaceSheet } from './place-sheet';
import { PlacesSection } from './places-section';
import { ReadSetUp } from './read-set-up';
import { SendersSection } from './senders-section';

/** Who works when and can do what, what the machines take, and what is different on single days. */
export function HouseView({
  book,
  record,
  self,
  zones,
  person,
}: {
  book: HouseBook;
  record: HouseRecord;
  self: BakerySelf;
  zones: readonly string[];
  person: Person;
}) {
  const say = useWords();
  const [open, setOpen] = useState<OpenSheet>(null);
  const mayPlan = person.role === 'planner';
  const close = () => setOpen(null);
  const { zone } = self;

  return (
    <main className="mx-auto grid w-full max-w-7xl gap-x-8 gap-y-6 p-4 lg:grid-cols-[1.4fr_1fr]">
      <h1 className="sr-only">{say('house.house')}</h1>
      {mayPlan && (
        <nav aria-label={say('house.setUpAndValues')} className="-mb-3 flex flex-wrap gap-x-4 lg:col-span-2">
          <button className="underline underline-offset-4" onClick={() => setOpen({ sheet: 'bakery' })}>
            {say('house.nameAndUnits')}
          </button>
          <a href="/setup" className="underline underline-offset-4">
            {say('house.setUp')}
          </a>
          <a href="/house/values" className="underline underline-offset-4">
            {say('house.values')}
          </a>
          <a href="/api/setup" download className="underline underline-offset-4">
            {say('house.exportSetUp')}
          </a>
          <button className="underline underline-offset-4" onClick={() => setOpen({ sheet: 'set-up' })}>
            {say('house.importSetUp')}
          </button>
        </nav>
      )}
      <div className="grid content-start gap-6">
        <PeopleSection mayPlan={mayPlan} onOpen={setOpen} book={book} />
        <PlacesSection {...{ book, mayPlan }} onOpen={setOpen} />
      </div>
      <div className="grid content-start gap-6">
        <MachinesSection book={book} mayPlan={mayPlan} onOpen={setOpen} />
        {mayPlan && <SendersSection {...{ book, zone }} />}
        <ExceptionsSection {...{ book, zone, mayPlan }} onOpen={setOpen} />
      </div>
      <RecordView {...{ record, zone, mayPlan }} />
      {open?.sheet === 'person' && (
        <PersonSheet person={book.people.find(({ id }) => String(id) === open.id) ?? null} onClose={close} />
      )}
      {open?.sheet === 'machine' && (
        <MachineSheet machine={book.machines.find(({ id }) => id === open.id) ?? null} onClose={close} />
      )}
      {open?.sheet === 'place' && (
        <PlaceSheet place={book.places.find(({ id }) => id === open.id) ?? null} onClose={close} />
      )}
      {open?.sheet === 'bakery' && <BakerySheet {...{ self, zones }} onClose={close} />}
      {open?.sheet === 'set-up' && <ReadSetUp onClose={close} />}
      {open?.sheet === 'busy' && <BusySheet book={book} zone={zone} onClose={close} />}
      {open?.sheet === 'exception' && <ExceptionSheet book={book} onClose={close} />}
    </main>
  );
}
