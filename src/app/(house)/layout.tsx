import type { ReactNode } from 'react';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house, houseValues, whoIsHere } from '@/server/queries/house';
import { Shell } from '@/ui/shell/shell';

export const dynamic = 'force-dynamic';

export default async function HouseLayout({ children }: { children: ReactNode }) {
  const { person, clock, now } = await housePage();
  const db = pool();
  const [bakery, everybody, value] = await Promise.all([house(db), whoIsHere(db, now), houseValues(db)]);
  return (
    <Shell
      house={bakery}
      person={person}
      people={everybody}
      idleMinutes={value('idle_minutes')}
      clock={{ demo: clock.demo, now, rate: clock.rate, paused: clock.paused }}
    >
      {children}
    </Shell>
  );
}
