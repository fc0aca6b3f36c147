import { lackingKinds, type SetUp } from '@/core/process/set-up';
import { machines, people, shifts } from './house';
import { currentProducts } from './products';
import { type Db, rowsOf } from '../db/rows';

/** How far the set-up of the bakery is. */
export async function setUp(db: Db): Promise<SetUp> {
  const [pools, everybody, pattern, products, [doughs]] = await Promise.all([
    machines(db),
    people(db),
    shifts(db),
    currentProducts(db),
    rowsOf<{ count: number }>(db, 'SELECT COUNT(*) AS count FROM dough'),
  ]);
  const needs = products.map(({ name, route }) => ({ name, routes: [route.dough, route.output] }));
  return {
    ...{ machines: pools.length, people: everybody.length, products: products.length },
    onShifts: new Set(pattern.map(({ personId }) => personId)).size,
    doughs: doughs?.count ?? 0,
    lacking: lackingKinds(needs, pools),
  };
}
