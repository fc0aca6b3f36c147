'use client';

import { useEffect, useRef, useState } from 'react';
import type { Arrangement, Wanted } from '@/core/cutting/arrange';

/** A sheet to be laid out: cm, and what is wanted from it. `round`: a disc, `length` across. */
export interface SheetToCut {
  round: boolean;
  length: number;
  width: number;
  wanted: Wanted[];
}

export interface Laid<T> {
  sheet: T;
  plan: Arrangement;
}

function ask(worker: Worker, { nth, sheet }: { nth: number; sheet: SheetToCut }): void {
  const { round, length, width, wanted } = sheet;
  worker.postMessage({ nth, round, length, width, wanted });
}

/**
 * The arrangement of a sheet, worked out by a worker beside the page; the last one stays until the next is there, and comes
 * with the sheet that it belongs to. Null before the first, and while there is no sheet.
 */
export function useArrangement<T extends SheetToCut>(sheet: T | null): Laid<T> | null {
  const worker = useRef<Worker | null>(null);
  const asked = useRef<{ nth: number; sheet: T } | null>(null);
  const [laid, setLaid] = useState<Laid<T> | null>(null);
  useEffect(() => {
    const own = new Worker(new URL('../../workers/cut-plan.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<{ nth: number; plan: Arrangement }>) => {
      if (asked.current?.nth === data.nth) setLaid({ sheet: asked.current.sheet, plan: data.plan });
    };
    worker.current = own;
    if (asked.current) ask(own, asked.current);
    return () => own.terminate();
  }, []);
  useEffect(() => {
    if (!sheet) return;
    asked.current = { nth: (asked.current?.nth ?? 0) + 1, sheet };
    if (worker.current) ask(worker.current, asked.current);
  }, [sheet]);
  return sheet ? laid : null;
}
