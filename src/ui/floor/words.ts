import type { Machine } from '@/core/bakery/machines';
import { clockTime, dayName, dayTime } from '@/core/time/local';

const DAY = 24 * 3_600_000;

/** A time as the floor reads it: the day is said only where it is not today. */
export function nearTime(at: number, now: number, zone: string): string {
  const today = Math.abs(at - now) < DAY && dayName(at, zone) === dayName(now, zone);
  return today ? clockTime(at, zone) : dayTime(at, zone);
}

/** A machine as a sentence calls it: "the oven" where there is one of its kind, "the small oven" by its own name otherwise. */
export function machineName(id: string | undefined, machines: readonly Machine[]): string {
  const machine = machines.find((one) => one.id === id);
  if (!machine) return 'machine';
  const alone = machines.filter(({ kind }) => kind === machine.kind).length === 1;
  return alone ? machine.kind : machine.label.toLowerCase();
}
