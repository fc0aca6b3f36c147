'use client';

import { useWords } from '../kit/words';
import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import type { PieceCount } from '@/core/record/events';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';

/**
 * Pieces that came out good, as seconds and as waste: what is neither is good. A sheet may have given more than were
 * planned, or fewer.
 */
export function CountSheet({
  open,
  onOpenChange,
  title,
  pieces,
  onCount,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  pieces: number;
  onCount: (counted: PieceCount) => void;
}) {
  const say = useWords();
  const [all, setAll] = useState(pieces);
  const [second, setSecond] = useState(0);
  const [waste, setWaste] = useState(0);
  const good = all - second - waste;
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={title}>
      <p className="mb-3 text-4xl font-bold">
        {say.rich('racks.goodOf', {
          good,
          span: (words) => <span className="text-xl font-normal text-quiet">{words}</span>,
          all,
        })}
      </p>
      <Stepper
        label={say('racks.cameOut')}
        value={all}
        least={second + waste}
        most={2 * pieces}
        onChange={setAll}
      />
      <Stepper label={say('racks.secondQuality')} value={second} most={all - waste} onChange={setSecond} />
      <Stepper label={say('racks.waste')} value={waste} most={all - second} onChange={setWaste} />
      <Button
        look="act"
        floor
        className="mt-4 w-full"
        onClick={() => {
          onCount({ kind: 'counted', good, second, waste });
          onOpenChange(false);
        }}
      >
        {say('racks.keepTheCount')}
      </Button>
    </Sheet>
  );
}

function Stepper({
  label,
  value,
  least = 0,
  most,
  onChange,
}: {
  label: string;
  value: number;
  least?: number;
  most: number;
  onChange: (value: number) => void;
}) {
  const say = useWords();
  const to = (next: number) => onChange(Math.min(most, Math.max(least, next)));
  return (
    <div
      role="group"
      aria-label={label}
      className="flex items-center justify-between gap-3 border-b border-hairline py-2"
    >
      <span className="text-xl">{label}</span>
      <span className="flex items-center gap-2">
        <Button floor aria-label={say('racks.oneLess', { label })} onClick={() => to(value - 1)}>
          <Minus aria-hidden size={22} />
        </Button>
        <input
          inputMode="numeric"
          aria-label={label}
          value={value}
          onFocus={(event) => event.target.select()}
          onChange={({ target }) => to(Number(target.value.replace(/\D/g, '').slice(0, 5)))}
          className="min-h-14 w-24 rounded border border-edge bg-flour text-center text-3xl font-bold"
        />
        <Button floor aria-label={say('racks.oneMore', { label })} onClick={() => to(value + 1)}>
          <Plus aria-hidden size={22} />
        </Button>
        <Button floor onClick={() => to(value + 5)}>
          +5
        </Button>
      </span>
    </div>
  );
}
