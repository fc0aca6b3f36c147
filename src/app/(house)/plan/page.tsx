import type { Metadata } from 'next';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { newestPlan } from '@/server/queries/doughs';
import { houseValues } from '@/server/queries/house';
import { planHistory } from '@/server/queries/plan-history';
import { openMends } from '@/server/queries/proposals';
import { sharedBoard } from '@/server/queries/shared-board';
import { productNames } from '@/server/queries/products';
import { PlanView } from '@/ui/plan/plan-view';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanPage() {
  const { person, now } = await housePage();
  const [shown, products, basis, history, mends, value] = await Promise.all([
    sharedBoard(pool(), now, 2),
    productNames(pool()),
    newestPlan(pool()),
    planHistory(pool()),
    openMends(pool()),
    houseValues(pool()),
  ]);
  const told = { undo: history.undo?.reason ?? null, redo: history.redo?.reason ?? null };
  const weights = { lateMatters: value('late_matters'), stay: value('stay_cost') };
  const plan = { basis, history: told, mends, ...weights };
  return <PlanView board={shown} plan={plan} products={products} person={person} />;
}
