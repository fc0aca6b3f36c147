import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { sharedBoard } from '@/server/queries/shared-board';
import { OvenView } from '@/ui/oven/oven-view';

export const metadata: Metadata = { title: 'Oven' };

export default async function Page() {
  const { person, now } = await housePage();
  return <OvenView board={await sharedBoard(pool(), now, 1)} person={person} />;
}
