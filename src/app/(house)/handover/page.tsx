import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { lastWords } from '@/server/queries/handovers';
import { sharedBoard } from '@/server/queries/shared-board';
import { HandoverView } from '@/ui/handover/handover-view';

export const metadata: Metadata = { title: 'Handover' };

export default async function Page() {
  const { person, now } = await housePage();
  const [board, words] = await Promise.all([sharedBoard(pool(), now, 1), lastWords(pool())]);
  return <HandoverView board={board} words={words} person={person} />;
}
