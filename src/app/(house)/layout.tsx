import type { ReactNode } from 'react';
import { looksOn } from '@/core/shopfloor/rights';
import { pool } from '@/server/db/pool';
import { newestChange } from '@/server/feed';
import { languageHere } from '@/server/reader';
import { calledHere } from '@/server/store/product-names';
import { whoAndWhen } from '@/server/house-page';
import { house, houseSettings, whoIsOnShift } from '@/server/store/house';
import { isGuided } from '@/server/store/people';
import { WordsOf } from '@/app/words-of';
import { FirstSteps } from '@/ui/first-steps/first-steps';
import { CalledProvider } from '@/ui/kit/words';
import { Shell } from '@/ui/shell/shell';

export const dynamic = 'force-dynamic';

export default async function HouseLayout({ children }: { children: ReactNode }) {
  const { person, sessionId, clock, now } = await whoAndWhen();
  const db = pool();
  // Asked for first: whatever changes while the rest is read is told by the feed.
  const cursor = await newestChange();
  const [bakery, everybody, settings, guided, called] = await Promise.all([
    house(db),
    whoIsOnShift(db, now),
    houseSettings(db),
    looksOn(person.role) || isGuided(db, person.id),
    languageHere().then((language) => calledHere(db, language)),
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
      <CalledProvider called={called}>{children}</CalledProvider>
      {!guided && (
        <WordsOf areas={['firstSteps']}>
          <FirstSteps person={person} />
        </WordsOf>
      )}
    </Shell>
  );
}
