import { titled } from '../../../../titled';
import { NO_CALLS } from '@/core/wire/board';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { ovenDecks } from '@/server/store/decks';
import { doughById } from '@/server/store/doughs';
import { lastWeight } from '@/server/store/scale';
import { rollingHouse } from '@/server/store/rolling';
import { house, machines, people } from '@/server/store/house';
import { mixSheet } from '@/server/store/mix';
import { scrapLimits, scrapStock } from '@/server/store/scrap';
import { WordsOf } from '@/app/words-of';
import { DoughSheet } from '@/ui/sheet/dough-sheet';

export const generateMetadata = titled('titles.mixingSheet');

export default async function SheetPage({ params }: { params: Promise<{ id: string }> }) {
  const { person, now } = await housePage('/dough/[id]/sheet');
  const id = Number((await params).id);
  const db = pool();
  const dough = Number.isSafeInteger(id) && id > 0 ? await doughById(db, id) : null;
  const sheet = dough && (await mixSheet(db, dough));
  if (!dough || !sheet) notFound();
  const [bakery, persons, pools, decks, weight, rolling, stock, limits] = await Promise.all([
    house(db),
    people(db),
    machines(db),
    ovenDecks(db),
    lastWeight(db, now),
    rollingHouse(db),
    scrapStock(db, now),
    scrapLimits(db),
  ]);
  const board = {
    house: bakery,
    people: persons,
    machines: pools,
    presences: [],
    places: [],
    coreProbes: [],
    rooms: [],
    decks,
    today: {},
    ...{ rolling, scale: weight, calls: NO_CALLS },
    doughs: [dough],
  };
  return (
    <WordsOf
      areas={['cutting', 'heat', 'lamination', 'names', 'racks', 'scrap', 'shaping', 'sheet', 'steps']}
    >
      <DoughSheet
        board={board}
        person={person}
        sheet={sheet}
        lastWeight={weight}
        scrap={{ stock: stock.filter(({ fromDough }) => fromDough !== dough.id), ...limits }}
      />
    </WordsOf>
  );
}
