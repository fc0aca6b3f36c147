import { useCallback, useEffect, useRef, useState } from 'react';

/** How fast a practice night may run against the real clock. */
export const SPEEDS = [1, 10, 60, 300] as const;
export type Speed = (typeof SPEEDS)[number];

/** How often the clock is moved on, ms. */
const TICK = 250;

/** The clock of a practice night: it runs as fast as whoever works it wants, stands still, and is moved on by hand. */
export function useNightClock(opensAt: number, closesAt: number) {
  const [now, setNow] = useState(opensAt);
  const [speed, setSpeed] = useState<Speed>(60);
  const [paused, setPaused] = useState(true);
  const last = useRef(0);
  useEffect(() => {
    if (paused) return;
    last.current = performance.now();
    const timer = setInterval(() => {
      const real = performance.now();
      const passed = (real - last.current) * speed;
      last.current = real;
      setNow((before) => Math.min(closesAt, before + passed));
    }, TICK);
    return () => clearInterval(timer);
  }, [paused, speed, closesAt]);
  const moveTo = useCallback(
    (at: number) => setNow((before) => Math.min(closesAt, Math.max(before, at))),
    [closesAt],
  );
  return {
    now,
    ...{ speed, setSpeed, paused, setPaused },
    /** Moves the clock on; it is never set back. */
    moveTo,
  };
}
