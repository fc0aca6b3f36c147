import { titled } from '../../../../titled';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { doughById } from '@/server/store/doughs';
import { house } from '@/server/store/house';
import { labelsOf } from '@/server/store/labels';
import { WordsOf } from '@/app/words-of';
import { LabelsView } from '@/ui/labels/labels-view';

export const generateMetadata = titled('titles.labels');

export default async function LabelsPage({ params }: { params: Promise<{ id: string }> }) {
  await housePage('/dough/[id]/labels');
  const id = Number((await params).id);
  const db = pool();
  const dough = Number.isSafeInteger(id) && id > 0 ? await doughById(db, id) : null;
  if (!dough) notFound();
  const [labels, { zone }] = await Promise.all([labelsOf(db, dough), house(db)]);
  return (
    <WordsOf areas={['labels', 'names']}>
      <LabelsView dough={{ id: dough.id, name: dough.name }} labels={labels} zone={zone} />
    </WordsOf>
  );
}
