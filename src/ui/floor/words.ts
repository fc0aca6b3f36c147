import { MACHINE_WORDS } from '@/core/bakery/machine-words';
import type { Machine } from '@/core/bakery/machines';
import { clockTime } from '@/core/time/local';
import type { Say } from '@/words/say';
import type { Times } from '@/words/times';

const DAY = 24 * 3_600_000;

/** A time as the floor reads it: the day is said only where it is not today. */
export function nearTime(say: Times, at: number, now: number, zone: string): string {
  const today = Math.abs(at - now) < DAY && say.dayName(at, zone) === say.dayName(now, zone);
  return today ? clockTime(at, zone) : say.dayTime(at, zone);
}

/** A machine as a sentence calls it: "the oven" where there is one of its kind, "the small oven" by its own name otherwise. */
export function machineName(say: Say, id: string | undefined, machines: readonly Machine[]): string {
  const machine = machines.find((one) => one.id === id);
  if (!machine) return say.inLine(say('common.machine'));
  const alone = machines.filter(({ kind }) => kind === machine.kind).length === 1;
  return say.inLine(alone ? say.coded(MACHINE_WORDS[machine.kind]) : machine.label);
}
