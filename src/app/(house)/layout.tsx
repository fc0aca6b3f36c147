import type { ReactNode } from 'react';
import { pool } from '@/server/db/pool';
import { newestChange } from '@/server/feed';
import { whoAndWhen } from '@/server/house-page';
import { house, houseSettings, whoIsOnShift } from '@/server/store/house';
import { Shell } from '@/ui/shell/shell';

export const dynamic = 'force-dynamic';

export default async function HouseLayout({ children }: { children: ReactNode }) {
  const { person, sessionId, clock, now } = await whoAndWhen();
  const db = pool();
  // Asked for first: whatever changes while the rest is read is told by the feed.
  const cursor = await newestChange();
  const [bakery, everybody, settings] = await Promise.all([
    house(db),
    whoIsOnShift(db, now),
    houseSettings(db),
  ]);
  return (
    <Shell
      house={bakery}
      person={person}
      sessionId={sessionId}
      cursor={cursor}
      people={everybody}
      idleMinutes={settings.idleMinutes}
      clock={{ demo: clock.demo, now, rate: clock.rate, paused: clock.paused }}
    >
      {children}
    </Shell>
  );
}
