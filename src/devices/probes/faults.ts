import type { Random } from '@/core/solver/random';

export const FAULTS = ['door', 'dead', 'silent', 'drift', 'gaps', 'nonsense'] as const;
/**
 * What can be wrong with a place or its probe: the door is left open; its machine has no current; the battery is flat;
 * the probe drifts by 1 °C in an hour; two readings of three get lost; it says now and then what broken sensors say.
 */
export type FaultKind = (typeof FAULTS)[number];

/** A fault from some minute after the start on, for some minutes or for good. */
export interface Fault {
  place: string;
  kind: FaultKind;
  from: number;
  minutes: number;
}

/**
 * Reads `retarder:door@10+45,proofer:drift`: what is wrong with which place, from which minute on and for how many.
 * Throws a sentence on anything else.
 */
export function readFaults(text: string): Fault[] {
  return text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => {
      const found = /^([\w-]+):(\w+)(?:@(\d+))?(?:\+(\d+))?$/.exec(part);
      const kind = FAULTS.find((one) => one === found?.[2]);
      if (!found || !kind)
        throw new Error(
          `“${part}” is no fault. Write place:fault, such as retarder:door@10+45 (from minute 10, for 45 min); faults are ${FAULTS.join(', ')}.`,
        );
      const [, place = '', , from, minutes] = found;
      return { place, kind, from: Number(from ?? 0), minutes: minutes ? Number(minutes) : Infinity };
    });
}

/** Tells whether a place has a fault at that minute. */
export function hasFault(faults: readonly Fault[], place: string, kind: FaultKind, minute: number): boolean {
  return faults.some(
    (fault) =>
      fault.place === place &&
      fault.kind === kind &&
      minute >= fault.from &&
      minute < fault.from + fault.minutes,
  );
}

/** How fast a drifting probe goes wrong, °C an hour. */
const DRIFT = 1;
/** What broken sensors are known to say, °C. */
const NONSENSE = [85, -127, 999];

/** What the probe of a place says of a true temperature; null where it says nothing. */
export function saidBy(
  place: string,
  celsius: number,
  { faults, minute, random }: { faults: readonly Fault[]; minute: number; random: Random },
): number | null {
  const has = (kind: FaultKind) => hasFault(faults, place, kind, minute);
  if (has('silent')) return null;
  if (has('gaps') && random.below(3) > 0) return null;
  if (has('nonsense') && random.below(4) === 0) return NONSENSE[random.below(NONSENSE.length)] ?? null;
  const since = faults.find((fault) => fault.place === place && fault.kind === 'drift')?.from ?? minute;
  const drifted = has('drift') ? ((minute - since) / 60) * DRIFT : 0;
  // What a cheap sensor resolves, and its noise.
  return Math.round((celsius + drifted + (random.unit() - 0.5) * 0.12) * 10) / 10;
}
