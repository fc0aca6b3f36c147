'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { HouseBook } from '@/core/bakery/house-book';
import { LONGEST_CALENDAR, readBusy } from '@/core/exchange/busy';
import { Button } from '../kit/button';
import { Choice } from '../kit/field';
import { FileIn } from '../kit/file-in';
import { useMinute } from '../live/clock';
import { Sheet } from '../kit/sheet';
import { HeldNote } from './held-note';
import { useChange } from './use-change';

/** Busy times of a person or machine from an iCalendar file, shown before they are taken. */
export function BusySheet({ book, zone, onClose }: { book: HouseBook; zone: string; onClose: () => void }) {
  const say = useWords();
  const { change, held, calm } = useChange();
  const [of, setOf] = useState(`p${book.people[0]?.id ?? ''}`);
  const [text, setText] = useState('');
  const now = useMinute();
  const read = text === '' ? null : readBusy(text, zone, now);
  const take = async () => {
    const [personId, machineId] = of.startsWith('p') ? [Number(of.slice(1)), null] : [null, of.slice(1)];
    if (await change('take-busy', { personId, machineId, busy: read?.busy })) onClose();
  };
  return (
    <Sheet open onOpenChange={onClose} title={say('house.busyTimesFromACalendar')}>
      <div className="grid gap-3">
        <Choice
          label={say('house.whoseCalendar')}
          value={of}
          options={[
            ...book.people.map(({ id, name }) => ({ id: `p${id}`, name })),
            ...book.machines.map(({ id, label }) => ({ id: `m${id}`, name: label })),
          ]}
          onChoose={setOf}
        />
        <FileIn
          label={say('house.calendarFile')}
          accept=".ics,text/calendar"
          longest={LONGEST_CALENDAR}
          text={text}
          onText={setText}
        />
        {(read?.faults ?? []).slice(0, 10).map((fault) => (
          <p key={say.coded(fault)} role="alert" className="text-warn">
            {say.coded(fault)}
          </p>
        ))}
        {read && read.busy.length > 0 && (
          <>
            <ul aria-label={say('house.busyTimes')} className="max-h-60 overflow-y-auto" tabIndex={0}>
              {read.busy.slice(0, 100).map(({ source, summary, start, end }) => (
                <li key={source} className="flex justify-between gap-3 border-b border-hairline py-1">
                  <span>{summary}</span>
                  <span>
                    {say('house.to', {
                      dayMonth: say.dayMonth(start, zone),
                      time: say.dayTime(start, zone),
                      time2: say.dayTime(end, zone),
                    })}
                  </span>
                </li>
              ))}
            </ul>
            <HeldNote held={held} onDone={onClose} onCalm={calm} />
            <Button look="act" className="min-h-11 justify-self-start" onClick={() => void take()}>
              {say('house.takeBusyTimeTimes', { count: read.busy.length })}
            </Button>
          </>
        )}
      </div>
    </Sheet>
  );
}
