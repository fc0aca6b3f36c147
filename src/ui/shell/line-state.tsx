'use client';

import { useWords } from '../kit/words';
import { useAway } from '../live/away';
import { useWaiting } from '../live/outbox';

/** The state of the line to the bakery's computer, always visible and calm; what waits here is counted whatever it is. */
export function LineState() {
  const say = useWords();
  const open = !useAway();
  const waiting = [...useWaiting().values()].reduce((sum, n) => sum + n, 0);
  const words = open ? say('shell.live') : say('shell.offline');
  return (
    <span role="status" className="flex items-center gap-2 text-sm text-quiet">
      <svg aria-hidden width="12" height="12" viewBox="0 0 12 12">
        <circle
          cx="6"
          cy="6"
          r="4.5"
          fill={open ? 'none' : 'var(--ink)'}
          stroke="var(--ink)"
          strokeWidth="1.8"
        />
      </svg>
      <span className={open ? 'max-[1400px]:sr-only' : ''}>
        {waiting > 0 ? say('shell.toSend', { words, waiting }) : words}
      </span>
      {open && waiting > 0 && (
        <span aria-hidden className="min-[1400px]:hidden">
          {waiting}
        </span>
      )}
    </span>
  );
}
