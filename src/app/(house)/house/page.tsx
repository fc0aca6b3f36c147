import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house } from '@/server/queries/house';
import { houseBook } from '@/server/queries/house-book';
import { HouseView } from '@/ui/house/house-view';

export const metadata: Metadata = { title: 'House' };

export default async function HousePage() {
  const { person, now } = await housePage();
  const [book, { zone }] = await Promise.all([houseBook(pool(), now), house(pool())]);
  return <HouseView book={book} zone={zone} person={person} />;
}
