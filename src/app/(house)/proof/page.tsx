import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { floorBoard } from '@/server/store/shared-board';
import { ProofScreen } from '@/ui/proof/proof-view';

export const metadata: Metadata = { title: 'Proof watch' };

export default async function Page() {
  const { person, now } = await housePage('/proof');
  return <ProofScreen packed={await floorBoard(pool(), now)} rest={{ person }} />;
}
