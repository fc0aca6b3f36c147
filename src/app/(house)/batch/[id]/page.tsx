import { titled } from '../../../titled';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { doughBoard } from '@/server/dough-board';
import { housePage } from '@/server/house-page';
import { mayDo } from '@/core/shopfloor/rights';
import { productsNow } from '@/server/products-now';
import { photosOf } from '@/server/store/photos';
import { batchTemperatures } from '@/server/store/batch-temperatures';
import { WordsOf } from '@/app/words-of';
import { BatchView } from '@/ui/batch/batch-view';

export const generateMetadata = titled('titles.batch');

export default async function BatchPage({ params }: { params: Promise<{ id: string }> }) {
  const { person, now } = await housePage('/batch/[id]');
  const id = (await params).id;
  const board = await doughBoard(id, now);
  const [dough] = board?.doughs ?? [];
  if (!board || !dough) notFound();
  const [photos, stays, products] = await Promise.all([
    photosOf(pool(), dough.id),
    batchTemperatures(pool(), dough, now),
    mayDo(person, 'apply-remedy') ? productsNow(pool(), dough) : {},
  ]);
  return (
    <WordsOf
      areas={[
        'batch',
        'bench',
        'causes',
        'cutting',
        'dough',
        'faults',
        'floor',
        'heat',
        'lamination',
        'names',
        'practice',
        'racks',
        'shaping',
        'steps',
        'thread',
        'turns',
      ]}
    >
      <BatchView {...{ board, photos, stays, person, products }} />
    </WordsOf>
  );
}
