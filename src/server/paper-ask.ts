import { dayOf } from '@/core/demand/orders';
import { localMidnight, parseLocal } from '@/core/time/local';
import { PAPERS, type PaperKind } from '@/core/exchange/papers';

/** Which list of which day is asked for; null for what is none. Without a day it is today's. */
export function readPaperAsk(
  kind: string | null,
  day: string | null,
  { now, zone }: { now: number; zone: string },
): { kind: PaperKind; day: string; from: number } | null {
  const known = PAPERS.find((one) => one === kind);
  const from = day === null ? localMidnight(now, zone) : parseLocal(`${day}T00:00`, zone);
  return known && from !== null ? { kind: known, day: dayOf(from, zone), from } : null;
}
