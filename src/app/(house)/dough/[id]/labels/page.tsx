import { titled } from '../../../../titled';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { doughById } from '@/server/store/doughs';
import { house } from '@/server/store/house';
import { languageHere } from '@/server/reader';
import { calledHere } from '@/server/store/product-names';
import { packedMessages } from '@/words/compile';
import { LANGUAGES } from '@/words/message';
import { labelsOf } from '@/server/store/labels';
import { WordsOf } from '@/app/words-of';
import { LabelsView } from '@/ui/labels/labels-view';

export const generateMetadata = titled('titles.labels');

interface Asked {
  params: Promise<{ id: string }>;
  /** The languages of who buys the goods, where they are others than the reader's. */
  searchParams: Promise<{ language?: string | string[] }>;
}

export default async function LabelsPage({ params, searchParams }: Asked) {
  await housePage('/dough/[id]/labels');
  const id = Number((await params).id);
  const db = pool();
  const dough = Number.isSafeInteger(id) && id > 0 ? await doughById(db, id) : null;
  if (!dough) notFound();
  const { language: wanted } = await searchParams;
  const known = [wanted].flat().flatMap((asked) => LANGUAGES.filter((one) => one === asked));
  const chosen = known.length > 0 ? [...new Set(known)] : [await languageHere()];
  const [labels, { zone }, languages] = await Promise.all([
    labelsOf(db, dough),
    house(db),
    Promise.all(
      chosen.map(async (language) => ({
        language,
        packed: packedMessages(language, ['labels', 'names']),
        called: await calledHere(db, language),
      })),
    ),
  ]);
  return (
    <WordsOf areas={['labels', 'names']}>
      <LabelsView dough={{ id: dough.id, name: dough.name }} {...{ labels, zone, languages }} />
    </WordsOf>
  );
}
