import type { HandoverWords } from '../shopfloor/handover-words';
import { MINUTE } from '../time/local';
import { hiddenOf } from './dough-truth';
import { onShift, type CrewLook } from './shift-work';

/** Words that somebody leaves, or has read. */
export type HandoverTap =
  { personId: number; shift: number; words: string } | { personId: number; handover: number };

/** Somebody writes so long before their shift ends, and reads so long after it has begun, minutes. */
const WRITES = 12;
const READS = 30;
/** A dough that rises so much slower than its formula says has been noticed. */
const SLOW = 0.93;

/** What those who are about to leave write for the next, and what those who have just come have read. */
export function handoverTaps(look: CrewLook, words: readonly HandoverWords[]): HandoverTap[] {
  const { board, now } = look;
  const bakers = onShift(look).filter(({ role }) => role === 'baker');
  return bakers.flatMap(({ id, name }): HandoverTap[] => {
    const shift = board.presences.find(
      ({ personId, start, end }) => personId === id && start <= now && now < end,
    );
    if (!shift) return [];
    if (shift.end - now <= WRITES * MINUTE)
      return [{ personId: id, shift: shift.start, words: wordsOf(look) }];
    if (now - shift.start > READS * MINUTE) return [];
    return words
      .filter(({ by, readBy }) => by !== name && !readBy.includes(name))
      .map((one) => ({ personId: id, handover: one.id }));
  });
}

/** Where things stand, as whoever leaves says it in a line. */
function wordsOf({ doughs, seed }: CrewLook): string {
  const open = doughs.filter(({ state }) => state.started && !state.finished);
  const slow = open.filter(({ id }) => hiddenOf(id, seed).vigour < SLOW).map(({ name }) => name);
  const going = open.map(({ name }) => name).join(', ');
  const first = open.length === 0 ? 'All doughs are done.' : `Still going: ${going}.`;
  return slow.length === 0
    ? first
    : `${first} ${slow.join(' and ')} ${slow.length === 1 ? 'is' : 'are'} slow.`;
}
