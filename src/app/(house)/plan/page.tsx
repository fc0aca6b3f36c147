import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { sharedBoard } from '@/server/queries/shared-board';
import { productNames } from '@/server/queries/products';
import { PlanView } from '@/ui/plan/plan-view';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanPage() {
  const { person, now } = await housePage();
  const [shown, products] = await Promise.all([sharedBoard(pool(), now, 2), productNames(pool())]);
  return <PlanView board={shown} products={products} person={person} />;
}
