import { titled } from '../../../titled';
import { notFound } from 'next/navigation';
import { PLACE_SPANS, type PlaceSpan } from '@/core/climate/curve';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house } from '@/server/store/house';
import { placeRecord } from '@/server/store/place-curve';
import { WordsOf } from '@/app/words-of';
import { PlaceView } from '@/ui/rooms/place-view';

export const generateMetadata = titled('titles.place');

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ span?: string }>;
}

export default async function PlacePage({ params, searchParams }: Props) {
  const { person, now } = await housePage('/rooms/[id]');
  const [{ id }, { span = 'day' }] = await Promise.all([params, searchParams]);
  const chosen: PlaceSpan = span in PLACE_SPANS ? (span as PlaceSpan) : 'day';
  const [{ zone }, record] = await Promise.all([house(pool()), placeRecord(pool(), id, chosen, now)]);
  if (!record) notFound();
  return (
    <WordsOf areas={['rooms']}>
      <PlaceView {...{ record, zone, person }} span={chosen} />
    </WordsOf>
  );
}
