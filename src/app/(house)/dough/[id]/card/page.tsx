import { notFound } from 'next/navigation';
import { titled } from '../../../../titled';
import { forecastDough } from '@/core/forecast/forecast';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { conditions } from '@/server/store/conditions';
import { doughById } from '@/server/store/doughs';
import { house } from '@/server/store/house';
import { WordsOf } from '@/app/words-of';
import { RouteCard } from '@/ui/papers/route-card';

export const generateMetadata = titled('titles.routeCard');

export default async function RouteCardPage({ params }: { params: Promise<{ id: string }> }) {
  const { now } = await housePage('/dough/[id]/card');
  const id = Number((await params).id);
  const db = pool();
  const dough = Number.isSafeInteger(id) && id > 0 ? await doughById(db, id) : null;
  if (!dough) notFound();
  const [{ zone }, bakery] = await Promise.all([house(db), conditions(db, now)]);
  return (
    <WordsOf areas={['cutting', 'heat', 'lamination', 'names', 'papers', 'racks', 'shaping', 'steps']}>
      <RouteCard
        dough={forecastDough(dough, bakery, now)}
        kg={dough.kg}
        outputs={dough.outputs}
        zone={zone}
      />
    </WordsOf>
  );
}
