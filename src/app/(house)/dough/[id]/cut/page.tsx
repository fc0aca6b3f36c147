import { wordsHere } from '@/server/reader';
import { titled } from '../../../../titled';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { doughCut } from '@/server/store/cut-plan';
import { doughById } from '@/server/store/doughs';
import { rollingHouse } from '@/server/store/rolling';
import { WordsOf } from '@/app/words-of';
import { CutPlanView } from '@/ui/cutting/cut-plan-view';

export const generateMetadata = titled('titles.cutPlan');

export default async function DoughCutPage({ params }: { params: Promise<{ id: string }> }) {
  await housePage('/dough/[id]/cut');
  const id = Number((await params).id);
  const db = pool();
  const [dough, rolling] = await Promise.all([
    Number.isSafeInteger(id) && id > 0 ? doughById(db, id) : null,
    rollingHouse(db),
  ]);
  const cut = dough && (await doughCut(db, dough, rolling));
  if (!dough || !cut) notFound();
  return (
    <WordsOf areas={['cutPlan', 'cutting', 'schemes']}>
      <CutPlanView
        title={(await wordsHere())('titles.cutPlanOf', { dough: dough.name })}
        {...cut}
        benchLength={rolling.benchLength}
        tray={rolling.tray}
      />
    </WordsOf>
  );
}
