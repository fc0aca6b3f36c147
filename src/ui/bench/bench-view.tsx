'use client';

import { useWords } from '../kit/words';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { agenda, type AgendaItem } from '@/core/shopfloor/agenda';
import { shelvesOf } from '@/core/bakery/decks';
import type { Person } from '@/core/bakery/people';
import type { Board } from '@/core/wire/board';
import { jointWork } from '@/core/shopfloor/joint-work';
import { guided } from '../first-steps/guided';
import { FloorHead } from '../floor/floor-head';
import { useAlarms } from '../floor/use-alarms';
import { Refusal } from '../kit/refusal';
import { useAtTablet } from '../live/at-tablet';
import { useMinute } from '../live/clock';
import { withBoard } from '../live/with-board';
import { useFloor } from '../live/floor';
import type { loadDoubt } from './load-doubt';
import { NextList } from './next-list';
import { NowCard } from './now-card';
import { benchWords, useBenchFor, WhoseBench } from './whose-bench';
import { WaitingLanes } from './waiting-lanes';

// Comes when somebody looks at a wait; the work at hand must be there first.
const WaitCard = dynamic(() => import('./wait-card').then((module) => module.WaitCard), {
  ssr: false,
  loading: () => <p className="h-96" />,
});

// Under the card: what is tapped next must be there first.
const UndoLast = dynamic(() => import('./undo-last').then((module) => module.UndoLast), { ssr: false });

const takenBy = (items: readonly AgendaItem[], who: number | null) =>
  items.filter(({ state }) => state.takenBy === who);

/** Its sums come with the first load that somebody puts in: no other step asks. */
const doubtOf = async (item: AgendaItem, at: Parameters<typeof loadDoubt>[1]) =>
  (await import('./load-doubt')).loadDoubt(item, at);

/** What this baker does now, what comes next, and what rests and rises by itself. */
function BenchView({ board, person: signedIn }: { board: Board; person: Person }) {
  const say = useWords();
  const person = useAtTablet(signedIn);
  const now = useMinute();
  const { zone } = board.house;
  const { doughs, events, record, trouble, calm } = useFloor(board, person.id, now);
  const [held, setHeld] = useState<string | null>(null);
  const calls = useAlarms(board, doughs, now, person.id);
  const { whose, choose, only } = useBenchFor(board, person.id);
  const lists = only(agenda(doughs, now));
  const idOf = ({ dough, step }: AgendaItem) => `${dough.id}/${step.key}`;
  const out = lists.waiting.filter((item) => item.step.step.ends === 'tap' && item.inMinutes <= 0);
  const mine = lists.running.filter(({ state }) => state.startedBy === person.id);
  const theirs = lists.running.filter(({ state }) => state.startedBy !== person.id);
  const candidates = [
    ...mine,
    ...out,
    ...takenBy(lists.next, person.id),
    ...takenBy(lists.next, null),
    ...lists.next.filter(({ state }) => state.takenBy !== null && state.takenBy !== person.id),
    ...lists.waiting.filter((item) => item.step.step.ends === 'tap'),
    ...theirs,
  ];
  const looked = lists.waiting.find((item) => idOf(item) === held && item.step.step.ends !== 'tap');
  const chosen = looked ?? candidates.find((item) => idOf(item) === held) ?? candidates[0];
  const pick = (item: AgendaItem) => {
    setHeld(idOf(item));
    // The card is at the top, what was tapped may be far below.
    window.scrollTo({ top: 0 });
  };
  const name = (id: number | null) => board.people.find((p) => p.id === id)?.name ?? '';

  return (
    <main className="flex flex-1 flex-col">
      <h1 className="sr-only">{say('bench.benchOf', { name: person.name })}</h1>
      <FloorHead {...{ board, record, calls }} doughs={doughs} />
      <div className="grid flex-1 content-start gap-px bg-hairline max-sm:contents md:grid-cols-[1.35fr_1fr] md:grid-rows-[auto_1fr]">
        <section
          aria-label={say('bench.now')}
          {...guided('bench-now')}
          className="bg-flour p-5 max-sm:order-1 max-sm:p-3"
        >
          <Refusal message={trouble} onRead={calm} />
          {looked ? (
            <WaitCard
              key={idOf(looked)}
              item={looked}
              {...{ now, zone, record }}
              humidity={board.places.find(({ place }) => place === looked.step.place)?.humidity ?? null}
              places={board.places}
              coreProbes={board.coreProbes}
              rooms={board.rooms}
              shelves={shelvesOf(board.machines)}
              coolingRule={board.calls.coolingRule}
              onBack={() => setHeld(null)}
            />
          ) : chosen ? (
            <NowCard
              key={idOf(chosen)}
              item={chosen}
              now={now}
              zone={zone}
              record={record}
              by={name(chosen.state.startedBy)}
              mine={chosen.state.startedBy === person.id}
              rolling={board.rolling}
              machines={board.machines}
              outputs={board.doughs.find(({ id }) => id === chosen.dough.id)?.outputs ?? []}
              scale={board.scale?.grams ?? null}
              today={board.today}
              doubt={() => doubtOf(chosen, { doughs, machines: board.machines, now })}
              joint={jointWork(chosen, [...lists.next, ...mine], now)}
            />
          ) : (
            <p className="py-16 text-3xl">
              {whose === 'team'
                ? say('bench.nothingToStartTheDoughs')
                : say('bench.nothingToStart', { here: benchWords(say)[whose].here })}
            </p>
          )}
          <UndoLast {...{ record, events, doughs, zone, now }} me={person} people={board.people} />
        </section>
        <NextList
          running={[...mine, ...theirs, ...out].filter((item) => item !== chosen)}
          next={lists.next.filter((item) => item !== chosen)}
          coming={lists.coming}
          {...{ zone, name }}
          me={person.id}
          onPick={pick}
          choice={<WhoseBench whose={whose} onChoose={choose} />}
          onTake={(item) => {
            void record({ doughId: item.dough.id, stepKey: item.step.key, kind: 'take' });
            if (item.state.startable) pick(item);
          }}
        />
        <WaitingLanes items={lists.waiting} places={board.places} now={now} zone={zone} onPick={pick} />
      </div>
    </main>
  );
}

export const BenchScreen = withBoard(BenchView);
