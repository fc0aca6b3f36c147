/** The first pause after something came to nothing, and the longest, ms. */
const FIRST = 500;
const LONGEST = 5_000;

/**
 * How long to wait before the next try: longer with each failure, and by chance a little more or less, so that not all
 * tablets of a house come at the same moment.
 *
 * @param failures - tries in a row that came to nothing
 * @returns ms, 5 s at most
 */
export function pauseBefore(failures: number): number {
  const most = Math.min(LONGEST, FIRST * 2 ** Math.min(failures, 10));
  return most * (0.5 + Math.random() / 2);
}

/** Runs `work` in one tab of this browser at a time, where the browser can tell; the others wait for their turn. */
export async function oneTabAtATime(name: string, work: () => Promise<void>): Promise<void> {
  // Only pages that were sent safely have locks; elsewhere ids alone keep a repeat from counting.
  const { locks } = (globalThis as { navigator?: { locks?: LockManager | null } }).navigator ?? {};
  if (!locks) return work();
  await locks.request(name, work);
}
