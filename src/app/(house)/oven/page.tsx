import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { floorBoard } from '@/server/store/shared-board';
import { OvenScreen } from '@/ui/oven/oven-view';

export const metadata: Metadata = { title: 'Oven' };

export default async function Page() {
  const { person, now } = await housePage('/oven');
  return <OvenScreen packed={await floorBoard(pool(), now)} rest={{ person }} />;
}
