import type { ReactNode } from 'react';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house } from '@/server/queries/house';
import { Shell } from '@/ui/shell/shell';

export const dynamic = 'force-dynamic';

export default async function HouseLayout({ children }: { children: ReactNode }) {
  const { person, clock, now } = await housePage();
  const bakery = await house(pool());
  return (
    <Shell
      house={bakery}
      person={person}
      clock={{ demo: clock.demo, now, rate: clock.rate, paused: clock.paused }}
    >
      {children}
    </Shell>
  );
}
