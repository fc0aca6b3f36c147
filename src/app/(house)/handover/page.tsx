import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { lastWords } from '@/server/store/handovers';
import { maySee } from '@/core/shopfloor/rights';
import { orderBook } from '@/server/store/orders';
import { productNames } from '@/server/store/product-list';
import { floorBoard } from '@/server/store/shared-board';
import { WordsOf } from '@/app/words-of';
import { HandoverScreen } from '@/ui/handover/handover-view';

export const generateMetadata = titled('titles.handover');

export default async function Page() {
  const { person, now } = await housePage('/handover');
  const db = pool();
  const mayTell = maySee(person, '/orders');
  const [packed, words, book, products] = await Promise.all([
    floorBoard(db, now),
    lastWords(db, now),
    // Customers are for those who may see orders, and not for a screen on the wall.
    mayTell ? orderBook(db, now) : null,
    mayTell ? productNames(db) : [],
  ]);
  const shortOrders = book && { short: book.short, told: book.told, products };
  return (
    <WordsOf
      areas={[
        'cutting',
        'floor',
        'handover',
        'heat',
        'lamination',
        'names',
        'orders',
        'racks',
        'shaping',
        'steps',
        'turns',
      ]}
    >
      <HandoverScreen packed={packed} rest={{ words, person, shortOrders }} />
    </WordsOf>
  );
}
