import { titled } from '../titled';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { tabletHere } from '@/server/auth/tablet';
import { pool } from '@/server/db/pool';
import { letsAnybodyIn } from '@/server/http';
import { demoPins } from '@/server/demo/pins';
import { clockSetting, houseNow } from '@/server/store/clock';
import { houseIfAny, whoIsOnShift } from '@/server/store/house';
import { EnrolView } from '@/ui/sign-in/enrol-view';
import { SignInView } from '@/ui/sign-in/sign-in-view';

export const generateMetadata = titled('titles.signIn');
export const dynamic = 'force-dynamic';

export default async function SignInPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, unknown>>;
}) {
  const ended = 'ended' in (await searchParams);
  const db = pool();
  const [bakery, tablet] = await Promise.all([houseIfAny(db), tabletHere()]);
  if (!bakery) redirect('/opening');
  if (!tablet) return <EnrolView free={letsAnybodyIn({ headers: await headers() })} />;
  const now = await houseNow(db);
  const people = await whoIsOnShift(db, now);
  const pins = (await clockSetting(db)).demo ? await demoPins(people) : null;
  return <SignInView house={bakery} {...{ people, now, ended, pins }} />;
}
