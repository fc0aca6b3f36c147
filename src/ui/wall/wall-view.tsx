'use client';

import type { Person } from '@/core/bakery/people';
import { machinesOf } from '@/core/bakery/machines';
import { agenda } from '@/core/shopfloor/agenda';
import { ovenLoads } from '@/core/shopfloor/oven-loads';
import { proofWatch } from '@/core/shopfloor/proof-watch';
import { clockTime } from '@/core/time/local';
import type { Board } from '@/core/wire/board';
import { useAlarms } from '../floor/use-alarms';
import { useWords } from '../kit/words';
import { useMinute } from '../live/clock';
import { useFloor } from '../live/floor';
import { withBoard } from '../live/with-board';
import { WallAlarms } from './wall-alarms';
import { WallOven } from './wall-oven';
import { WallRising } from './wall-rising';
import { WallWork } from './wall-work';

/** The screen on the wall, to be read from four metres: what is done now and next, what rises, the oven, what calls. Nothing to tap. */
function WallView({ board, person }: { board: Board; person: Person }) {
  const say = useWords();
  const now = useMinute();
  const { zone } = board.house;
  const { doughs } = useFloor(board, person.id, now);
  const calls = useAlarms(board, doughs, now, 0);
  const ovens = machinesOf('oven', board.machines);
  const { running, next, coming } = agenda(doughs, now, AHEAD);
  const loads = ovenLoads(doughs, now);
  const nameOf = (id: number | null) => board.people.find((one) => one.id === id)?.name ?? '';
  return (
    <main className="flex h-dvh flex-col overflow-hidden bg-flour">
      <header className="flex items-baseline justify-between gap-8 border-b-4 border-ink px-8 py-2">
        <h1 className="text-[44px] font-bold">{board.house.name}</h1>
        <p className="text-[44px] text-quiet">{say.longDayName(now, zone)}</p>
        <p className="font-label text-[88px] leading-none font-bold">{clockTime(now, zone)}</p>
      </header>
      <WallAlarms alarms={calls.open} troubles={board.calls.troubles} {...{ board, now }} />
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)_minmax(0,0.9fr)] gap-1 bg-hairline">
        <WallWork {...{ running, next, coming, nameOf, zone }} />
        <WallRising watched={proofWatch(doughs, ovens, now)} {...{ now, zone }} />
        <WallOven {...{ loads, zone, ovens }} />
      </div>
      <p className="sr-only">{say('wall.wall')}</p>
    </main>
  );
}

/** How far ahead work is shown that cannot start yet, minutes. */
const AHEAD = 3 * 60;

export const WallScreen = withBoard(WallView);
