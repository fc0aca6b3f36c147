'use client';

import { useWords } from '../kit/words';
import { Printer } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { Person } from '@/core/bakery/people';
import type { Board } from '@/core/wire/board';
import { troubleValues } from '@/core/wire/trouble';
import { handover } from '@/core/shopfloor/handover';
import { probeReadings } from '@/core/forecast/conditions';
import { type HandoverWords, LONGEST_WORDS } from '@/core/shopfloor/handover-words';
import { maySee } from '@/core/shopfloor/rights';
import { clockTime } from '@/core/time/local';
import { FloorTop } from '../floor/floor-top';
import { useAlarms } from '../floor/use-alarms';
import { nearTime } from '../floor/words';
import type { Shortage, Told } from '@/core/demand/short';
import { Button } from '../kit/button';
import { Refusal } from '../kit/refusal';
import { send } from '../live/command';
import { ShortList, type TellInput } from '../orders/short-list';
import { useMinute } from '../live/clock';
import { withBoard } from '../live/with-board';
import { useAtTablet } from '../live/at-tablet';
import { useDraft } from '../live/draft';
import { keepCall } from '../live/outbox';
import { useCalls } from './use-calls';
import { useFloor } from '../live/floor';
import { useCelsius } from '../live/units';
import type { Handover, DoughProgress } from '@/core/shopfloor/handover';

interface Props {
  board: Board;
  words: HandoverWords[];
  person: Person;
  /** Orders that go short, with names of products by number; null for whoever sees no orders. */
  shortOrders: { short: Shortage[]; told: Told[]; products: [number, string][] } | null;
}

/** What the next shift has to know, on one page that writes itself; the last shift adds its words, the next signs. */
export function HandoverView({ board, words: kept, person: signedIn, shortOrders }: Props) {
  const say = useWords();

  const person = useAtTablet(signedIn);
  const now = useMinute();
  const celsius = useCelsius();
  const { zone } = board.house;
  const { doughs, record } = useFloor(board, person.id, now);
  const calls = useAlarms(board, doughs, now, person.id);
  const { words, trouble } = useCalls(kept, board.people);
  const page = handover(doughs, now, probeReadings(board.coreProbes));

  const placeOf = (id: string | null) => board.places.find(({ place }) => place === id) ?? null;
  return (
    <main className="flex-1 bg-flour">
      <FloorTop {...{ board }} doughs={doughs} onRecord={(...recorded) => void record(...recorded)} />
      <div className="grid gap-x-8 gap-y-5 p-5 lg:grid-cols-[1.35fr_1fr] print:grid-cols-1">
        <header className="flex flex-wrap items-baseline justify-between gap-x-4 lg:col-span-2 print:col-span-1">
          <h1 className="text-3xl font-bold">{say('handover.handover', { time: say.dayTime(now, zone) })}</h1>
          <span className="flex flex-wrap items-center gap-4 print:hidden">
            {maySee(person, '/papers/[kind]') && (
              <a href="/papers/production" className="grid min-h-14 place-items-center text-xl underline">
                {say('handover.printedLists')}
              </a>
            )}
            <Button floor className="flex items-center gap-2" onClick={() => window.print()}>
              <Printer aria-hidden size={22} />
              {say('handover.print')}
            </Button>
          </span>
        </header>
        <section aria-labelledby="words" className="lg:col-span-2 print:col-span-1">
          <h2 id="words" className="text-lg text-quiet">
            {say('handover.theLastShiftSays')}
          </h2>
          {words.map((said) => (
            <Said key={said.id} {...{ said, zone, person, now }} />
          ))}
          {words.length === 0 && <p className="text-xl">{say('handover.nobodyHasWrittenAnythingYet')}</p>}
          {trouble && (
            <p role="alert" className="text-lg text-warn">
              {trouble}
            </p>
          )}
          <Say {...{ person, now }} />
        </section>
        {shortOrders && <ShortSection {...shortOrders} zone={zone} />}
        <section aria-labelledby="under-way">
          <h2 id="under-way" className="mb-1 text-lg text-quiet">
            {say('handover.whereEverythingIs')}
          </h2>
          <ul>
            {page.underWay.map((progress) => (
              <UnderWay key={progress.dough.id} {...{ progress, celsius, zone, now, placeOf }} />
            ))}
            {page.underWay.length === 0 && <li className="text-xl">{say('handover.noDoughIsUnderWay')}</li>}
          </ul>
        </section>
        <div className="grid content-start gap-5">
          <section aria-labelledby="alarms">
            <h2 id="alarms" className="mb-1 text-lg text-quiet">
              {say('handover.openAlarms')}
            </h2>
            <ul className="text-lg">
              {calls.open.map((alarm) => (
                <li key={alarm.id} className="border-b border-hairline py-1">
                  <b>{clockTime(alarm.at, zone)}</b> {say.coded(alarm.message)}
                </li>
              ))}
              {calls.open.length === 0 && <li>{say('handover.none')}</li>}
            </ul>
          </section>
          <section aria-labelledby="coming">
            <h2 id="coming" className="mb-1 text-lg text-quiet">
              {say('handover.inTheNextFourHours')}
            </h2>
            <ul className="text-lg">
              {page.coming.map(({ dough, step }) => (
                <li key={`${dough.id}/${step.key}`} className="border-b border-hairline py-1">
                  <b>{clockTime(step.dueAt, zone)}</b> {say.coded(step.label)}, {dough.name}
                </li>
              ))}
              {page.coming.length === 0 && <li>{say('handover.nothingByHand')}</li>}
            </ul>
          </section>
          <UnusualList page={page} zone={zone} board={board} />
        </div>
      </div>
    </main>
  );
}

/** Orders that go short, and which customers know. */
function ShortSection({ short, told, products, zone }: NonNullable<Props['shortOrders']> & { zone: string }) {
  const router = useRouter();
  const [refused, setRefused] = useState<string | null>(null);
  if (short.length === 0) return null;
  const tell = async (input: TellInput) => {
    const answer = await send('mark-told', input);
    setRefused(answer.ok ? null : answer.message);
    router.refresh();
  };
  return (
    <div className="lg:col-span-2 print:col-span-1">
      <ShortList
        {...{ short, told, zone }}
        products={new Map(products)}
        onTell={(input) => void tell(input)}
      />
      <Refusal message={refused} onRead={() => setRefused(null)} />
    </div>
  );
}

interface UnderWayProps {
  progress: DoughProgress;
  celsius: (celsius: number) => string;
  zone: string;
  now: number;
  placeOf: (id: string | null) => Board['places'][number] | null;
}

/** Where a dough is: what it is at, since when and until when. */
function UnderWay({ progress, celsius, zone, now, placeOf }: UnderWayProps) {
  const say = useWords();
  const { dough, now: going, turns, measured } = progress;
  return (
    <li className="border-b border-hairline py-2 text-lg">
      <span className="text-xl font-semibold">{dough.name}</span>
      {turns && <span className="font-semibold">, {say.coded(turns)}</span>}
      {measured && (
        <span>
          {say('handover.at', {
            celsius: celsius(measured.celsius),
            time: clockTime(measured.at, zone),
          })}
        </span>
      )}
      {going.map(({ label, since, place, shelf, until }) => (
        <span key={label && say.coded(label)} className="block">
          {say('handover.sinceUntil', {
            label: say.inLine(say.coded(label)),
            time: nearTime(say, since, now, zone),
            part: place
              ? say('handover.placePartValue', {
                  place,
                  part: shelf === null ? '' : say('handover.shelf', { shelf }),
                  value: placeOf(place) ? ` ${celsius(placeOf(place)?.celsius ?? 0)}` : '',
                })
              : '',
            time2: nearTime(say, until, now, zone),
          })}
        </span>
      ))}
      {going.length === 0 && <span className="block">{say('handover.betweenTwoStepsOnThe')}</span>}
    </li>
  );
}

interface UnusualListProps {
  page: Handover;
  zone: string;
  board: Board;
}

/** What went otherwise than planned. */
function UnusualList({ page, zone, board }: UnusualListProps) {
  const say = useWords();
  const nameOf = (id: number | null) => board.people.find((p) => p.id === id)?.name;
  const { troubles } = board.calls;
  return (
    <section aria-labelledby="unusual">
      <h2 id="unusual" className="mb-1 text-lg text-quiet">
        {say('handover.notAsUsualLast12')}
      </h2>
      <ul className="text-lg">
        {troubles.map((trouble) => (
          <li key={`trouble ${trouble.id}`} className="border-b border-hairline py-1">
            <b>{clockTime(trouble.since, zone)}</b>{' '}
            {say('handover.outUntilReported', {
              trouble: say('floor.troubleIs', {
                name:
                  board.machines.find(({ id }) => id === trouble.machineId)?.label ??
                  nameOf(trouble.personId) ??
                  '',
                ...troubleValues(trouble),
              }),
              note: trouble.note === '' ? '' : `: ${trouble.note}`,
            })}
          </li>
        ))}
        {page.unusual.map(({ at, personId, message }) => (
          <li key={`${at} ${say.coded(message)}`} className="border-b border-hairline py-1">
            <b>{clockTime(at, zone)}</b> {say.coded(message)}
            {nameOf(personId) && <span className="text-quiet">, {nameOf(personId)}</span>}
          </li>
        ))}
        {page.unusual.length === 0 && troubles.length === 0 && (
          <li>{say('handover.everythingWentAsPlanned')}</li>
        )}
      </ul>
    </section>
  );
}

interface Signing {
  person: Person;
  now: number;
}

function Said({ said, zone, person, now }: Signing & { said: HandoverWords; zone: string }) {
  const say = useWords();
  const open = said.by !== person.name && !said.readBy.includes(person.name) && said.id > 0;
  const sign = () =>
    keepCall(
      { name: 'sign-handover', input: { handover: said.id }, personId: person.id, at: now },
      say('handover.handoverSigned', { words: said.words.slice(0, 60) }),
    );
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-4 border-b border-hairline py-2">
      <div className="min-w-0 flex-1">
        <p className="text-xl whitespace-pre-wrap">“{said.words}”</p>
        <p className="text-lg text-quiet">
          {say('handover.byTimePart', {
            by: said.by,
            time: say.dayTime(said.at, zone),
            part:
              said.readBy.length > 0
                ? say('handover.readBy', { readBy: said.readBy.join(', ') })
                : say('handover.notSignedYet'),
          })}
        </p>
      </div>
      {open && (
        <Button look="act" floor className="print:hidden" onClick={sign}>
          {say('handover.iHaveReadIt')}
        </Button>
      )}
    </div>
  );
}

function Say({ person, now }: Signing) {
  const say = useWords();
  const [words, setWords] = useDraft('handover');
  const leave = () => {
    keepCall(
      { name: 'write-handover', input: { id: uuidv7(), words }, personId: person.id, at: now },
      say('handover.noteForTheNextShift', { words: words.slice(0, 60) }),
    );
    setWords('');
  };
  return (
    <form
      className="mt-2 flex flex-wrap gap-3 print:hidden"
      onSubmit={(event) => {
        event.preventDefault();
        leave();
      }}
    >
      <textarea
        aria-label={say('handover.whatTheNextShiftShould')}
        className="min-h-14 min-w-60 flex-1 rounded border border-edge bg-flour p-3 text-xl"
        placeholder={say('handover.whatTheNextShiftShould')}
        rows={1}
        maxLength={LONGEST_WORDS}
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <Button type="submit" floor disabled={words.trim() === ''}>
        {say('handover.leaveItForThem')}
      </Button>
    </form>
  );
}

export const HandoverScreen = withBoard(HandoverView);
