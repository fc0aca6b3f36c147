'use client';

import { useEffect, useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import { glances } from '@/core/demand/glance';
import type { Board } from '@/core/wire/board';
import { orderBook } from '../live/command';

/** Pieces that are ordered of each day and that no dough makes, by the day as "2026-11-19"; none where nobody may see orders. */
export function useOpenDays(
  { doughs, house: { zone } }: Board,
  maySee: boolean,
): ReadonlyMap<string, number> {
  const [open, setOpen] = useState<ReadonlyMap<string, number>>(new Map());
  // What is made changes it; what is tapped on the floor does not.
  const made = JSON.stringify(doughs.map(({ id, outputs }) => [id, outputs.map(({ pieces }) => pieces)]));
  useEffect(() => {
    if (!maySee) return;
    let isCurrent = true;
    void orderBook().then((answer) => {
      if (!isCurrent || !answer.ok) return;
      const days = glances(answer.result as OrderBook, zone);
      setOpen(new Map([...days].flatMap(([day, glance]) => (glance.open > 0 ? [[day, glance.open]] : []))));
    });
    return () => {
      isCurrent = false;
    };
  }, [made, maySee, zone]);
  return open;
}
