'use client';

import { useEffect, useRef, useState } from 'react';
import { spreadOfLog } from '@/core/schedule/log-spread';
import type { WholePlan } from '@/core/schedule/whole-plan';
import type { PlanSample } from '@/core/solver/sampling';

/** Plays of a plan: enough for a share to be right within three in a hundred. */
const RUNS = 1000;
/** A plan that changes again within this is not played yet, ms. */
const SETTLES = 400;

/** How sure each output of the plan is, played through in a worker beside the page; null until it is known. */
export function useSampled({ problem, present, doughs }: WholePlan): PlanSample | null {
  const worker = useRef<Worker | null>(null);
  const nth = useRef(0);
  const [sampled, setSampled] = useState<PlanSample | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);
  useEffect(() => {
    const timer = setTimeout(() => {
      if (!worker.current) {
        const own = new Worker(new URL('../../workers/sample-plan.ts', import.meta.url), { type: 'module' });
        own.onmessage = ({ data }: MessageEvent<{ nth: number; sampled: PlanSample }>) => {
          if (data.nth === nth.current) setSampled(data.sampled);
        };
        worker.current = own;
      }
      nth.current++;
      worker.current.postMessage({
        nth: nth.current,
        problem,
        present,
        runs: RUNS,
        spread: spreadOfLog(doughs).spread,
      });
    }, SETTLES);
    return () => clearTimeout(timer);
  }, [problem, present, doughs]);
  return sampled;
}
