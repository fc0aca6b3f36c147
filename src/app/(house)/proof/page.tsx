import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { sharedBoard } from '@/server/queries/shared-board';
import { ProofView } from '@/ui/proof/proof-view';

export const metadata: Metadata = { title: 'Proof watch' };

export default async function Page() {
  const { person, now } = await housePage();
  return <ProofView board={await sharedBoard(pool(), now, 1)} person={person} />;
}
