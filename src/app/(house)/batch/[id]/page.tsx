import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { doughBoard } from '@/server/dough-board';
import { housePage } from '@/server/house-page';
import { photosOf } from '@/server/photos';
import { BatchView } from '@/ui/batch/batch-view';

export const metadata: Metadata = { title: 'Batch' };

export default async function BatchPage({ params }: { params: Promise<{ id: string }> }) {
  const { person, now } = await housePage();
  const id = (await params).id;
  const board = await doughBoard(id, now);
  if (!board) notFound();
  return <BatchView board={board} photos={await photosOf(pool(), Number(id))} person={person} />;
}
