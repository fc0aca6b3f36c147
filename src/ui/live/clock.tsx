'use client';

import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';

/** How the house's clock runs, as the page was made: what it shows, how fast it goes on. */
export interface RunningClock {
  demo: boolean;
  now: number;
  rate: number;
  paused: boolean;
}

/** When the newest page was first seen, by this tablet's own clock: only differences of it count. */
const SEEN = 'hefeteig-page-seen';

const Clock = createContext<RunningClock>({ demo: false, now: 0, rate: 1, paused: true });

/**
 * Keeps the house's time ticking in the browser. It goes by the time since the page was made and not by the tablet's
 * own clock, which may be hours off.
 */
export function ClockProvider({ made, children }: { made: RunningClock; children: ReactNode }) {
  const { now, rate, paused } = made;
  const [shown, setShown] = useState(now);
  useEffect(() => {
    const begun = performance.now();
    const age = ageOf(now);
    const tick = () => setShown(paused ? now : now + (age + performance.now() - begun) * rate);
    tick();
    const timer = setInterval(tick, rate > 1 ? 250 : 1000);
    return () => clearInterval(timer);
  }, [now, rate, paused]);
  return <Clock value={{ ...made, now: shown }}>{children}</Clock>;
}

/** A clock that somebody else keeps: that of a practice night, which is not the house's. */
export function ClockAt({ now, children }: { now: number; children: ReactNode }) {
  const clock = useMemo(() => ({ demo: false, now, rate: 1, paused: true }), [now]);
  return <Clock value={clock}>{children}</Clock>;
}

/** How long ago a page was made, ms: a page that is shown again without a line is not new. */
function ageOf(made: number): number {
  const seen = JSON.parse(localStorage.getItem(SEEN) ?? 'null') as { made: number; at: number } | null;
  if (seen?.made === made) return Math.max(0, Date.now() - seen.at);
  localStorage.setItem(SEEN, JSON.stringify({ made, at: Date.now() }));
  return 0;
}

/** What the house's clock shows, ticking. */
export function useClock(): RunningClock {
  return useContext(Clock);
}

/** The house's time, full minutes only: for what need not be drawn anew each second. */
export function useMinute(): number {
  return Math.floor(useClock().now / 60_000) * 60_000;
}
