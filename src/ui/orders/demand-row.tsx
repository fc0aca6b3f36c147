'use client';

import { useState } from 'react';
import type { OrderWithSources } from '@/core/demand/cover';
import { clockTime, dayTime } from '@/core/time/local';

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
  const [typed, setTyped] = useState<string | null>(null);
  const { customer, dueAt, pieces, open, from, thawed, source } = want;
  const keep = () => {
    const number = Number(typed);
    if (typed !== null && typed.trim() !== '' && number !== pieces) onChange?.(number);
    setTyped(null);
  };
  const unusual = source.kind === 'standing' && source.usual !== pieces;
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-1 text-[17px]">
      <span className="w-12 font-label text-[17px] font-medium">{clockTime(dueAt, zone)}</span>
      {onChange ? (
        <input
          inputMode="numeric"
          aria-label={`Pieces of ${product.toLowerCase()} for ${customer}`}
          className="min-h-8 w-16 rounded border border-edge bg-flour px-2 text-right"
          value={typed ?? String(pieces)}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={keep}
          onKeyDown={(event) => event.key === 'Enter' && keep()}
        />
      ) : (
        <span className="w-16 text-right">{pieces}</span>
      )}
      <span className="font-semibold">{product}</span>
      <span className="text-quiet">
        {customer}
        {unusual && `, usually ${source.usual}`}
      </span>
      <span className="ml-auto text-right text-[15px]">
        {from.map(({ doughId, dough, pieces: part, mixAt }) => (
          <span key={doughId} className="block">
            {part < pieces && `${part} from `}
            {dough}, <span className="text-quiet">change until {dayTime(mixAt, zone)}</span>
          </span>
        ))}
        {thawed > 0 && <span className="block">{thawed} out of the freezer, thawing</span>}
        {frozen > 0 && <span className="block">{Math.min(frozen, open)} from the freezer</span>}
        {open - frozen > 0 && <span className="block font-bold">{open - frozen} without a dough</span>}
      </span>
    </li>
  );
}
