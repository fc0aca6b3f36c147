'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Person } from '@/core/bakery/people';
import type { NightRecord } from '@/core/practice/night-record';
import type { Scene } from '@/core/practice/scene';
import { agenda, type AgendaItem } from '@/core/shopfloor/agenda';
import { AlarmBand } from '../floor/alarm-band';
import { Refusal } from '../kit/refusal';
import { useWords } from '../kit/words';
import { NextList } from '../bench/next-list';
import { WaitingLanes } from '../bench/waiting-lanes';
import { ClockAt } from '../live/clock';
import { NightCard } from './night-card';
import { NightHead } from './night-head';
import { useNight } from './use-night';

interface Props {
  id: number;
  name: string;
  brief: string;
  scene: Scene;
  record: NightRecord;
  person: Person;
}

/** What is due within so many minutes comes before looks. */
const SOON = 3;

const idOf = ({ dough, step }: AgendaItem) => `${dough.id}/${step.key}`;

/** A shift to practise: the floor as it is at work, with a clock of its own and doughs that are nobody's. */
export function NightView({ id, name, brief, scene, record: kept, person }: Props) {
  const say = useWords();
  const router = useRouter();
  const night = useNight(id, scene, kept, person.id);
  const { clock, minute, board, doughs } = night;
  const [held, setHeld] = useState<string | null>(null);
  const { zone } = board.house;
  const lists = agenda(doughs, minute);
  const isOver = clock.now >= scene.closesAt;
  const all = [...lists.running, ...lists.waiting, ...lists.next];
  // What is not due for a while is looked at first.
  const soon = lists.next.filter(({ inMinutes }) => inMinutes <= SOON);
  const chosen =
    all.find((item) => idOf(item) === held) ??
    [...lists.running, ...soon, ...lists.waiting, ...lists.next].at(0);
  const pick = (item: AgendaItem) => {
    setHeld(idOf(item));
    window.scrollTo({ top: 0 });
  };
  const end = async () => {
    if (await night.end()) router.refresh();
  };
  const words = typeof night.trouble === 'string' ? night.trouble : night.trouble && say.coded(night.trouble);
  return (
    <ClockAt now={clock.now}>
      <main className="flex flex-1 flex-col">
        <NightHead {...{ name, clock, zone, isOver }} closesAt={scene.closesAt} onEnd={() => void end()} />
        {night.record.events.length === 0 && (
          <p className="border-b border-hairline px-5 py-2 text-xl">{brief}</p>
        )}
        <AlarmBand open={night.open} take={night.take} takeOut={night.take} trouble={null} zone={zone} />
        <div className="grid flex-1 content-start gap-px bg-hairline max-sm:contents md:grid-cols-[1.35fr_1fr] md:grid-rows-[auto_1fr]">
          <section aria-label={say('bench.now')} className="bg-flour p-5 max-sm:order-1 max-sm:p-3">
            <Refusal message={words} onRead={night.calm} />
            {chosen ? (
              <NightCard
                key={idOf(chosen)}
                item={chosen}
                looks={night.record.looks.filter(
                  ({ doughId, stepKey }) => doughId === chosen.dough.id && stepKey === chosen.step.key,
                )}
                now={clock.now}
                board={board}
                tell={(body) => night.tell({ doughId: chosen.dough.id, stepKey: chosen.step.key, ...body })}
                onLook={(sense) => night.look(chosen, sense)}
                onWork={clock.moveTo}
              />
            ) : (
              <p className="py-16 text-3xl">{say('practice.nothingToDo')}</p>
            )}
          </section>
          <NextList
            running={lists.running.filter((item) => item !== chosen)}
            next={lists.next.filter((item) => item !== chosen)}
            coming={lists.coming}
            zone={zone}
            name={(who) => board.people.find((one) => one.id === who)?.name ?? ''}
            me={person.id}
            onPick={pick}
            onTake={pick}
            choice={null}
          />
          <WaitingLanes items={lists.waiting} places={board.places} now={minute} zone={zone} onPick={pick} />
        </div>
      </main>
    </ClockAt>
  );
}
