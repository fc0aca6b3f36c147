'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { OrderWithSources } from '@/core/demand/cover';
import { clockTime } from '@/core/time/local';

interface Props {
  want: OrderWithSources;
  product: string;
  /** Pieces that the freezer could give. */
  frozen: number;
  zone: string;
  onChange: ((pieces: number) => void) | null;
}

/** One order of a day: how many, for whom, and where they come from; the number is changed where it stands. */
export function DemandRow({ want, product, frozen, zone, onChange }: Props) {
  const say = useWords();
  const [typed, setTyped] = useState<string | null>(null);
  const { customer, dueAt, pieces, open, from, thawed, source } = want;
  const keep = () => {
    const number = Number(typed);
    if (typed !== null && typed.trim() !== '' && number !== pieces) onChange?.(number);
    setTyped(null);
  };
  const usual = source.kind === 'standing' && source.usual !== pieces ? source.usual : null;
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-1 text-[17px]">
      <span className="w-12 font-label text-[17px] font-medium">{clockTime(dueAt, zone)}</span>
      {onChange ? (
        <input
          inputMode="numeric"
          aria-label={say('orders.piecesOfFor', { product: say.inLine(product), customer })}
          className="min-h-8 w-16 rounded border border-edge bg-flour px-2 text-right"
          value={typed ?? String(pieces)}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={keep}
          onKeyDown={(event) => event.key === 'Enter' && keep()}
        />
      ) : (
        <span className="w-16 text-right">{pieces}</span>
      )}
      <span className="font-semibold">{say.named(product, pieces)}</span>
      <span className="text-quiet">
        {say('orders.customerPart', {
          customer,
          part: usual !== null ? say('orders.usually', { usual }) : '',
        })}
      </span>
      <span className="ml-auto text-right text-[15px]">
        {from.map(({ doughId, dough, pieces: part, mixAt }) => (
          <span key={doughId} className="block">
            {say.rich('orders.changeUntil', {
              part: part < pieces ? say('orders.from', { part }) : '',
              dough,
              span: (words) => <span className="text-quiet">{words}</span>,
              time: say.dayTime(mixAt, zone),
            })}
          </span>
        ))}
        {thawed > 0 && <span className="block">{say('orders.outOfTheFreezerThawing', { thawed })}</span>}
        {frozen > 0 && (
          <span className="block">{say('orders.fromTheFreezer', { frozen: Math.min(frozen, open) })}</span>
        )}
        {open - frozen > 0 && (
          <span className="block font-bold">{say('orders.withoutADough', { open: open - frozen })}</span>
        )}
      </span>
    </li>
  );
}
