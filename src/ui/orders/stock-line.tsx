import { Trash2 } from 'lucide-react';
import type { Kept } from '@/core/demand/book';
import type { StockKind } from '@/core/process/output-way';
import { type Instant } from '@/core/time/local';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import type { Say } from '@/words/say';

/** Pieces as a number, dough as a weight. */
export const stockAmount = (say: Pick<Say, 'shown'>, kind: StockKind, amount: number): string =>
  kind === 'pieces' ? String(amount) : say.shown({ kg: amount / 1000 });

/** One thing in stock: how much, of which days, until when it keeps, and what it is for. */
export function StockLine({
  kept: { kind, name, amount, promised, lots },
  zone,
  now,
  forOrders,
  onDiscard,
}: {
  kept: Kept;
  zone: string;
  now: Instant;
  forOrders: number;
  onDiscard: () => void;
}) {
  const say = useWords();
  const is = [
    promised > 0 && say('orders.forPlannedBatches', { promised: stockAmount(say, kind, promised) }),
    forOrders > 0 && say('orders.forTheseOrdersThawThe', { usedOf: forOrders }),
    forOrders === 0 && amount > promised && say('orders.free'),
  ].filter(Boolean);
  return (
    <li className="flex items-start justify-between gap-2 border-b border-hairline py-1">
      <div className="min-w-0">
        <p className="flex flex-wrap justify-between gap-x-4">
          <span>
            {kind === 'pieces'
              ? `${amount} ${say.inLine(name)}`
              : say('orders.ofDough', { weight: stockAmount(say, kind, amount), dough: say.inLine(name) })}
          </span>
          <span className="text-quiet">{is.join(', ')}</span>
        </p>
        <ul className="text-[15px] text-quiet">
          {lots.map(({ since, amount: own, bestBefore }) => (
            <li key={since} className={bestBefore < now ? 'text-warn' : ''}>
              {say('orders.lot', {
                ...{
                  amount: stockAmount(say, kind, own),
                  isAll: lots.length === 1,
                  since: say.dayMonth(since, zone),
                },
                ...{ until: say.dayMonth(bestBefore, zone), isPast: bestBefore < now },
              })}
            </li>
          ))}
        </ul>
      </div>
      <Button look="quiet" aria-label={say('orders.discard', { name: say.inLine(name) })} onClick={onDiscard}>
        <Trash2 aria-hidden size={18} />
      </Button>
    </li>
  );
}
