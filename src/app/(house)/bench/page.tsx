import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { sharedBoard } from '@/server/queries/shared-board';
import { BenchView } from '@/ui/bench/bench-view';

export const metadata: Metadata = { title: 'Bench' };

export default async function BenchPage() {
  const { person, now } = await housePage();
  return <BenchView board={await sharedBoard(pool(), now, 1)} person={person} />;
}
