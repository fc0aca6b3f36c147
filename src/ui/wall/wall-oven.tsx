'use client';

import { dialOn, type Machine } from '@/core/bakery/machines';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';
import { clockTime } from '@/core/time/local';
import { useWords } from '../kit/words';
import { useSecond } from '../live/use-second';
import { useCelsius } from '../live/units';
import { WallLine } from './wall-line';
import { WallPages } from './wall-pages';

/** What is in the oven, with how long it still needs; what goes in next. */
export function WallOven({
  loads,
  ovens,
  zone,
}: {
  loads: Record<OvenLoad['status'], OvenLoad[]>;
  ovens: readonly Machine[];
  zone: string;
}) {
  const say = useWords();
  const second = useSecond();
  const celsius = useCelsius();
  const ovenOf = (id: string) => (ovens.length > 1 ? (ovens.find((one) => one.id === id)?.label ?? '') : '');
  const about = ({ oven, setting, trays }: OvenLoad) =>
    [ovenOf(oven), celsius(dialOn(oven, setting, ovens)), say('wall.trays', { trays })]
      .filter(Boolean)
      .join(', ');
  const key = ({ dough, step }: OvenLoad) => `${dough.id}/${step.key}`;
  return (
    <div className="flex min-h-0 flex-col gap-1">
      <WallPages
        title={say('oven.inTheOven')}
        empty={say('wall.ovenEmpty')}
        lines={loads.in.map((load) => {
          const left = Math.round((load.done - second) / 1000);
          return (
            <WallLine
              key={key(load)}
              time={timer(left)}
              what={load.dough.name}
              about={about(load)}
              isUrgent={left <= 0}
            />
          );
        })}
      />
      <WallPages
        title={say('wall.nextIn')}
        empty={say('wall.nothingNext')}
        lines={loads.coming.map((load) => (
          <WallLine
            key={key(load)}
            time={clockTime(load.start, zone)}
            what={load.dough.name}
            about={about(load)}
          />
        ))}
      />
    </div>
  );
}

/** Seconds as a timer shows them: `4:05`, and `+1:10` past the end. */
function timer(seconds: number): string {
  const whole = Math.abs(seconds);
  return `${seconds < 0 ? '+' : ''}${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
