import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house } from '@/server/store/house';
import { orderBook } from '@/server/store/orders';
import { WordsOf } from '@/app/words-of';
import { OrdersView } from '@/ui/orders/orders-view';

export const generateMetadata = titled('titles.orders');

export default async function OrdersPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { person, now } = await housePage('/orders');
  const [book, { zone }] = await Promise.all([orderBook(pool(), now), house(pool())]);
  return (
    <WordsOf
      areas={['cutting', 'files', 'formulas', 'heat', 'lamination', 'names', 'orders', 'shaping', 'steps']}
    >
      <OrdersView {...{ book, zone, now, person }} adding={'rush' in (await searchParams)} />
    </WordsOf>
  );
}
