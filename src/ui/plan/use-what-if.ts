'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { WholePlan } from '@/core/schedule/whole-plan';
import type { TaskMove, Reach } from '@/core/solver/what-if';
import type { WhatIfAnswer, WhatIfAsk } from '@/core/wire/what-if-message';

/** What was asked last, and what came of it. */
export interface WhatIfQuestion {
  task: string;
  start: number;
  whole: boolean;
}

type Reaches = { earlier: Reach; later: Reach };

/**
 * Supposes things of a plan in a worker beside the page. Of questions that come faster than answers only the last is
 * asked: a drag is never behind the hand by more than one answer.
 */
export function useWhatIf(whole: WholePlan, stay: number) {
  const worker = useRef<Worker | null>(null);
  const told = useRef<WholePlan | null>(null);
  const nth = useRef(0);
  const busy = useRef(false);
  const waiting = useRef<WhatIfQuestion | null>(null);
  const reachFor = useRef<{ nth: number; done: (reach: Reaches | null) => void } | null>(null);
  const [supposed, setSupposed] = useState<{ asked: WhatIfQuestion; found: TaskMove | null } | null>(null);
  const current = useRef<WhatIfQuestion | null>(null);

  useEffect(() => () => worker.current?.terminate(), []);

  const post = useCallback((message: WhatIfAsk) => worker.current?.postMessage(message), []);

  const next = useCallback(() => {
    const asked = waiting.current;
    if (!asked || busy.current) return;
    waiting.current = null;
    busy.current = true;
    current.current = asked;
    nth.current++;
    post({ ask: 'move', nth: nth.current, ...asked });
  }, [post]);

  const ready = useCallback(() => {
    if (!worker.current) {
      const own = new Worker(new URL('../../workers/what-if.ts', import.meta.url), { type: 'module' });
      own.onmessage = ({ data }: MessageEvent<WhatIfAnswer>) => {
        if ('reach' in data) {
          if (reachFor.current?.nth === data.nth) reachFor.current.done(data.reach);
          return;
        }
        busy.current = false;
        if (current.current) setSupposed({ asked: current.current, found: data.supposed });
        next();
      };
      worker.current = own;
    }
    if (told.current !== whole) {
      told.current = whole;
      const { problem, present, hands } = whole;
      post({ ask: 'plan', problem, present, hands, stay });
    }
  }, [whole, stay, post, next]);

  const suppose = useCallback(
    (asked: WhatIfQuestion) => {
      ready();
      waiting.current = asked;
      next();
    },
    [ready, next],
  );

  const forget = useCallback(() => {
    waiting.current = null;
    current.current = null;
    setSupposed(null);
  }, []);

  const reach = useCallback(
    (task: string): Promise<Reaches | null> => {
      ready();
      nth.current++;
      const asked = nth.current;
      return new Promise((done) => {
        reachFor.current = { nth: asked, done };
        post({ ask: 'reach', nth: asked, task });
      });
    },
    [ready, post],
  );

  return { supposed, suppose, forget, reach };
}
