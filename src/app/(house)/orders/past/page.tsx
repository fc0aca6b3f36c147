import { titled } from '../../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house } from '@/server/store/house';
import { pastOrders } from '@/server/store/past-orders';
import { productNames } from '@/server/store/product-list';
import { WordsOf } from '@/app/words-of';
import { PastOrdersView } from '@/ui/orders/past-view';

export const generateMetadata = titled('titles.pastOrders');

export default async function PastOrdersPage() {
  const { now } = await housePage('/orders/past');
  const [outcomes, { zone }, products] = await Promise.all([
    pastOrders(pool(), now),
    house(pool()),
    productNames(pool()),
  ]);
  return (
    <WordsOf areas={['cutting', 'heat', 'lamination', 'names', 'orders', 'shaping', 'steps']}>
      <PastOrdersView {...{ outcomes, products, zone }} />
    </WordsOf>
  );
}
