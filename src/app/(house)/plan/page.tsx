import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { board } from '@/server/queries/board';
import { currentProducts } from '@/server/queries/products';
import { PlanView } from '@/ui/plan/plan-view';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanPage() {
  const { person, now } = await housePage();
  const [shown, products] = await Promise.all([board(pool(), now, 2), currentProducts(pool())]);
  const choices = products.map(({ productId, name }) => ({ id: productId, name }));
  return <PlanView board={shown} products={choices} person={person} />;
}
