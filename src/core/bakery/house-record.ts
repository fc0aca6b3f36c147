import type { Words } from '../codes/coded';
import type { Instant } from '../time/local';

/** A change of the house: who made it, what it was and what it is; null where there was or is nothing. */
export interface HouseChange {
  id: number;
  at: Instant;
  by: string;
  /** What was changed: "machine Oven". */
  subject: Words;
  was: unknown;
  becomes: unknown;
}

/** What a planner watches over: devices that were let in, addresses that were given out, what was changed by whom. */
export interface HouseRecord {
  devices: { id: number; name: string; enrolledAt: Instant; by: string | null }[];
  addresses: { id: number; of: string | null; by: string; madeAt: Instant }[];
  changes: HouseChange[];
  /** When the last good backup was made, and how large it is; null where that is nobody's care, as in the demo. */
  backup: { last: { madeAt: Instant; bytes: number } | null; isLate: boolean } | null;
}

/** A backup is made every night; one that is older is late, ms: a night and two hours for one that takes its time. */
const NIGHTLY = 26 * 3_600_000;

/** Whether a bakery is without a backup of the last night. */
export const isBackupLate = (madeAt: Instant | null, now: Instant): boolean =>
  madeAt === null || now - madeAt > NIGHTLY;

/** One value that a change touched. */
export interface Difference {
  /** Empty where the change is one value by itself. */
  name: string;
  was: string;
  becomes: string;
}

const spoken = (value: unknown): string => {
  if (Array.isArray(value)) return value.length === 0 ? '–' : value.map(spoken).join(', ');
  if (isRecord(value))
    return Object.entries(value)
      .map(([name, one]) => `${name} ${spoken(one)}`)
      .join(', ');
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '–';
};

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * What a change touched, value by value; what stayed the same is left out.
 *
 * @example
 * differences({ capacity: 9, decks: 3 }, { capacity: 8, decks: 3 }); // [{ name: 'capacity', was: '9', becomes: '8' }]
 */
export function differences(was: unknown, becomes: unknown): Difference[] {
  if (!isRecord(was) && !isRecord(becomes)) return [{ name: '', was: spoken(was), becomes: spoken(becomes) }];
  const [before, after] = [isRecord(was) ? was : {}, isRecord(becomes) ? becomes : {}];
  const names = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  return names
    .map((name) => ({ name, was: spoken(before[name]), becomes: spoken(after[name]) }))
    .filter((one) => one.was !== one.becomes);
}
