'use client';

import type { WatchedWait } from '@/core/shopfloor/proof-watch';
import { nearTime } from '../floor/words';
import { useWords } from '../kit/words';
import { WallLine } from './wall-line';
import { WallPages } from './wall-pages';

/** What rises and rests: what has to be seen to first on top, and when. */
export function WallRising({
  watched,
  now,
  zone,
}: {
  watched: readonly WatchedWait[];
  now: number;
  zone: string;
}) {
  const say = useWords();
  const rises = watched.filter(({ step }) => step.step.ends !== 'tap');
  return (
    <WallPages
      title={say('wall.rising')}
      empty={say('wall.nothingRises')}
      lines={rises.map(({ dough, step, best, latest }) => {
        const isReady = now >= best;
        return (
          <WallLine
            key={`${dough.id}/${step.key}`}
            time={nearTime(say, isReady ? latest : best, now, zone)}
            what={dough.name}
            about={isReady ? say('wall.readyUntil', { step: say.coded(step.label) }) : say.coded(step.label)}
            isUrgent={now > latest}
          />
        );
      })}
    />
  );
}
