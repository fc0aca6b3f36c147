import { redirect } from 'next/navigation';
import type { Person } from '@/core/floor/board';
import { shownTime, type ClockSetting } from '@/core/time/clock';
import { signedIn } from './auth/session';
import { pool } from './db/pool';
import { clockSetting } from './queries/clock';

/** What every page behind the sign-in starts with: who is there, and what the house's clock shows. */
export async function housePage(): Promise<{ person: Person; clock: ClockSetting; now: number }> {
  const person = await signedIn();
  if (!person) redirect('/sign-in');
  const clock = await clockSetting(pool());
  return { person, clock, now: shownTime(clock, Date.now()) };
}
