import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { houseNow } from '@/server/queries/clock';
import { houseIfAny, people, shifts } from '@/server/queries/house';
import { presences } from '@/core/time/shifts';
import { SignInView } from '@/ui/sign-in/sign-in-view';

export const metadata: Metadata = { title: 'Sign in' };
export const dynamic = 'force-dynamic';

export default async function SignInPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, unknown>>;
}) {
  const ended = 'ended' in (await searchParams);
  const db = pool();
  const [bakery, persons, pattern, now] = await Promise.all([
    houseIfAny(db),
    people(db),
    shifts(db),
    houseNow(db),
  ]);
  if (!bakery) {
    return (
      <main className="mx-auto max-w-xl p-10">
        <h1 className="text-3xl font-semibold">No bakery yet</h1>
        <p className="mt-3 text-lg">
          This database is empty. Open a bakery in it with <code>npm run new-house</code>; the README says
          how.
        </p>
      </main>
    );
  }
  const here = new Set(presences(pattern, now, now + 1, bakery.zone).map(({ personId }) => personId));
  return (
    <SignInView
      house={bakery}
      people={persons.map((person) => ({ ...person, here: here.has(person.id) }))}
      now={now}
      ended={ended}
    />
  );
}
