'use client';

import type { AlarmGroup } from '@/core/shopfloor/alarm-groups';
import type { Board } from '@/core/wire/board';
import { type Trouble, troubleValues } from '@/core/wire/trouble';
import { clockTime } from '@/core/time/local';
import { nearTime } from '../floor/words';
import { useWords } from '../kit/words';

/** Alarms shown at once: those that lose most by waiting; the rest is counted. */
const SHOWN = 2;

/** What calls and what is out, over the whole width. */
export function WallAlarms({
  alarms,
  troubles,
  board,
  now,
}: {
  alarms: readonly AlarmGroup[];
  troubles: readonly Trouble[];
  board: Board;
  now: number;
}) {
  const say = useWords();
  const { zone } = board.house;
  const nameOf = ({ machineId, personId }: Trouble) =>
    board.machines.find(({ id }) => id === machineId)?.label ??
    board.people.find(({ id }) => id === personId)?.name ??
    '';
  const out = troubles.filter(({ until }) => until > now);
  if (alarms.length === 0 && out.length === 0) return null;
  return (
    <ul
      aria-label={say('floor.alarms')}
      className="border-b-4 border-ink bg-butter-wash px-8 py-2 text-[40px] leading-tight"
    >
      {out.map((trouble) => (
        <li key={trouble.id} className="font-bold text-warn">
          {say('wall.outSince', {
            trouble: say('floor.troubleIs', { name: nameOf(trouble), ...troubleValues(trouble) }),
            time: clockTime(trouble.since, zone),
          })}
        </li>
      ))}
      {alarms.slice(0, SHOWN).map((alarm) => (
        <li key={alarm.id} className="truncate">
          <b>{nearTime(say, alarm.at, now, zone)}</b> {say.coded(alarm.message)}
        </li>
      ))}
      {alarms.length > SHOWN && (
        <li className="text-[32px] text-quiet">{say('wall.more', { count: alarms.length - SHOWN })}</li>
      )}
    </ul>
  );
}
