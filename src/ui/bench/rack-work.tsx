'use client';

import { useState } from 'react';
import type { Recording } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { bakeBefore, rackAndCount } from '@/core/shopfloor/rack';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { CountSheet } from '../oven/count-sheet';

interface Props {
  item: AgendaItem;
  now: number;
  record: (recording: Recording) => Promise<unknown>;
}

/** Racked and counted in one go: the count ends the step. */
export function RackWork({ item: { dough, step }, now, record }: Props) {
  const say = useWords();
  const [open, setOpen] = useState(false);
  const bake = bakeBefore(dough, step);
  if (!bake?.load || dough.state.steps.get(bake.key)?.status !== 'done') return null;
  return (
    <>
      <Button floor className="w-full" onClick={() => setOpen(true)}>
        {say('bench.rackAndCount')}
      </Button>
      {open && (
        <CountSheet
          open
          onOpenChange={setOpen}
          title={say('racks.howManyCameOutWell', { name: dough.name })}
          pieces={bake.load.pieces}
          onCount={(data) => {
            for (const one of rackAndCount(dough, bake, data, now)) void record(one);
          }}
        />
      )}
    </>
  );
}
