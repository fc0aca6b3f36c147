import { titled } from '../../../../titled';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { doughById } from '@/server/store/doughs';
import { house } from '@/server/store/house';
import { languageHere } from '@/server/reader';
import { calledHere } from '@/server/store/product-names';
import { LANGUAGES } from '@/words/message';
import { labelsOf } from '@/server/store/labels';
import { WordsOf } from '@/app/words-of';
import { CalledProvider } from '@/ui/kit/words';
import { LabelsView } from '@/ui/labels/labels-view';

export const generateMetadata = titled('titles.labels');

interface Asked {
  params: Promise<{ id: string }>;
  /** The language of who buys the goods, where it is another than the reader's. */
  searchParams: Promise<{ language?: string | string[] }>;
}

export default async function LabelsPage({ params, searchParams }: Asked) {
  await housePage('/dough/[id]/labels');
  const id = Number((await params).id);
  const db = pool();
  const dough = Number.isSafeInteger(id) && id > 0 ? await doughById(db, id) : null;
  if (!dough) notFound();
  const { language: wanted } = await searchParams;
  const language = LANGUAGES.find((one) => one === wanted) ?? (await languageHere());
  const [labels, { zone }, called] = await Promise.all([
    ...([labelsOf(db, dough), house(db), calledHere(db, language)] as const),
  ]);
  return (
    <CalledProvider key={language} called={called}>
      <WordsOf areas={['labels', 'names']} language={language}>
        <LabelsView dough={{ id: dough.id, name: dough.name }} labels={labels} zone={zone} />
      </WordsOf>
    </CalledProvider>
  );
}
