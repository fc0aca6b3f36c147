'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useEffect, useState } from 'react';
import type { Agenda } from '@/core/shopfloor/agenda';
import { isFor, STATIONS, type BenchFor } from '@/core/shopfloor/bench-for';
import type { Board } from '@/core/wire/board';
import { FloorChoice } from '../kit/floor-choice';
import { useKept } from '../live/kept';

const KEPT = 'hefeteig-bench-for';

/** Whose work is shown: as it is chosen, and as it ends a sentence. */
export const benchWords = (say: Say): Record<BenchFor, { name: string; here: string }> => ({
  team: { name: say('bench.theWholeTeam'), here: say('bench.forTheTeam') },
  me: { name: say('bench.me'), here: say('bench.forYou') },
  mixer: { name: say('bench.theMixer'), here: say('bench.atTheMixer') },
  bench: { name: say('bench.theBench'), here: say('bench.atTheBench') },
  sheeter: { name: say('bench.theSheeter'), here: say('bench.atTheSheeter') },
  proofer: { name: say('bench.theProofer'), here: say('bench.atTheProofer') },
  oven: { name: say('bench.theOven'), here: say('bench.atTheOven') },
});
const NOTHING: ReadonlySet<string> = new Set();
const CHOICES: readonly BenchFor[] = ['team', 'me', ...STATIONS];

/** Whose work this tablet shows, kept on it: one may hang at the oven. `only` leaves out what is not theirs to do. */
export function useBenchFor(board: Board, personId: number) {
  const [kept, choose] = useKept(KEPT);
  const whose = CHOICES.find((one) => one === kept) ?? 'team';
  const [duties, setDuties] = useState<ReadonlySet<string>>(NOTHING);
  useEffect(() => {
    if (whose !== 'me') return;
    let left = false;
    // The rota is worked out only where somebody wants to see their own.
    void import('@/core/schedule/rota').then(({ rota }) => {
      if (left) return;
      const all = rota(board.doughs, board.people, board.presences);
      setDuties(new Set(all.filter(({ personIds }) => personIds.includes(personId)).map(({ task }) => task)));
    });
    return () => {
      left = true;
    };
  }, [board, personId, whose]);
  const only = (lists: Agenda): Agenda => {
    const theirs = (items: Agenda['next']) =>
      items.filter((item) => isFor(item, whose, { personId, duties, machines: board.machines }));
    // What waits is everybody's to look at.
    return {
      ...{ running: theirs(lists.running), next: theirs(lists.next), coming: theirs(lists.coming) },
      waiting: lists.waiting,
    };
  };
  return { whose, choose, only };
}

/** The choice of whose work is shown. */
export function WhoseBench({ whose, onChoose }: { whose: BenchFor; onChoose: (whose: BenchFor) => void }) {
  const say = useWords();
  return (
    <FloorChoice
      label={say('bench.whoseWork')}
      value={whose}
      options={CHOICES.map((id) => ({ id, name: benchWords(say)[id].name }))}
      onChoose={(id) => onChoose(CHOICES.find((one) => one === id) ?? 'team')}
    />
  );
}
