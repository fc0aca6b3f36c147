import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { tabletHere } from '@/server/auth/tablet';
import { pool } from '@/server/db/pool';
import { letsAnybodyIn } from '@/server/http';
import { houseNow } from '@/server/store/clock';
import { houseIfAny, whoIsOnShift } from '@/server/store/house';
import { EnrolView } from '@/ui/sign-in/enrol-view';
import { SignInView } from '@/ui/sign-in/sign-in-view';

export const metadata: Metadata = { title: 'Sign in' };
export const dynamic = 'force-dynamic';

export default async function SignInPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, unknown>>;
}) {
  const ended = 'ended' in (await searchParams);
  if (!(await tabletHere())) return <EnrolView free={letsAnybodyIn({ headers: await headers() })} />;
  const db = pool();
  const [bakery, now] = await Promise.all([houseIfAny(db), houseNow(db)]);
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
  return <SignInView house={bakery} people={await whoIsOnShift(db, now)} now={now} ended={ended} />;
}
