import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { houseNow } from '@/server/queries/clock';
import { house, people, shifts } from '@/server/queries/house';
import { presences } from '@/core/time/shifts';
import { SignInView } from '@/ui/sign-in/sign-in-view';

export const metadata: Metadata = { title: 'Sign in' };
export const dynamic = 'force-dynamic';

export default async function SignInPage() {
  const db = pool();
  const [bakery, persons, pattern, now] = await Promise.all([
    house(db),
    people(db),
    shifts(db),
    houseNow(db),
  ]);
  const here = new Set(presences(pattern, now, now + 1, bakery.zone).map(({ personId }) => personId));
  return (
    <SignInView
      house={bakery}
      people={persons.map((person) => ({ ...person, here: here.has(person.id) }))}
      now={now}
    />
  );
}
