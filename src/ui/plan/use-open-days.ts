'use client';

import { useEffect, useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import { glances } from '@/core/demand/glance';
import type { Board } from '@/core/wire/board';
import { orderBook } from '../live/command';

/** Taps that follow each other are waited for: the work must be drawn first, ms. */
const CALM = 800;

/** Pieces that are ordered of each day and that no dough makes, by the day as "2026-11-19"; none where nobody may see orders. */
export function useOpenDays(board: Board, maySee: boolean): ReadonlyMap<string, number> {
  const [open, setOpen] = useState<ReadonlyMap<string, number>>(new Map());
  const { zone } = board.house;
  useEffect(() => {
    if (!maySee) return;
    let isCurrent = true;
    const look = async () => {
      const answer = await orderBook();
      if (!isCurrent || !answer.ok) return;
      const days = glances(answer.result as OrderBook, zone);
      setOpen(new Map([...days].flatMap(([day, glance]) => (glance.open > 0 ? [[day, glance.open]] : []))));
    };
    const timer = setTimeout(() => void look(), CALM);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
    // Every change of the house makes a new board, an order's too.
  }, [board, maySee, zone]);
  return open;
}
