import { redirect } from 'next/navigation';
import type { Person } from '@/core/bakery/people';
import { maySee, type Page } from '@/core/shopfloor/rights';
import { shownTime, type ClockSetting } from '@/core/time/clock';
import { whoIsHere } from './auth/session';
import { pool } from './db/pool';
import { clockSetting } from './store/clock';

/** Who is here, and what the house's clock shows. Whoever is not signed in is led to the sign-in. */
export async function whoAndWhen(): Promise<{
  person: Person;
  sessionId: number;
  clock: ClockSetting;
  now: number;
}> {
  const here = await whoIsHere();
  if (!here) redirect('/sign-in');
  const clock = await clockSetting(pool());
  return { person: here.person, sessionId: here.sessionId, clock, now: shownTime(clock, Date.now()) };
}

/** What every page behind the sign-in starts with. Who may not see the page is led to the bench, which all may see. */
export async function housePage(page: Page): Promise<{ person: Person; now: number }> {
  const { person, now } = await whoAndWhen();
  if (!maySee(person, page)) redirect('/bench');
  return { person, now };
}
