import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { rollingHouse } from '@/server/store/rolling';
import { wordsHere } from '@/server/reader';
import { WordsOf } from '@/app/words-of';
import { CutPlanView } from '@/ui/cutting/cut-plan-view';

export const generateMetadata = titled('titles.cutPlan');

export default async function CuttingPage() {
  await housePage('/cutting');
  const { benchLength, table, tray } = await rollingHouse(pool());
  return (
    <WordsOf areas={['cutPlan', 'cutting', 'schemes']}>
      <CutPlanView
        title={null}
        sheet={{ length: 160, width: table.width, mm: 3.9, density: 1.07 }}
        sheets={1}
        pieces={[
          {
            ...{
              name: (await wordsHere())('cutPlan.crescents'),
              size: { shape: 'triangle', base: 10.5, height: 27 },
            },
            ...{ most: null, target: 60, perTray: 15 },
          },
        ]}
        benchLength={benchLength}
        tray={tray}
      />
    </WordsOf>
  );
}
