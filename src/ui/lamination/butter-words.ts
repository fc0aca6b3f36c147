import type { ButterWindow } from '@/core/lamination/butter-window';
import { clockTime, MINUTE } from '@/core/time/local';
import { duration } from '@/core/units/format';

/** What to do with a butter block now, and until when: sentences for the bench, the first one the next act. */
export function butterWords(window: ButterWindow, now: number, zone: string, room: string): string[] {
  const at = (minutes: number) => clockTime(now + minutes * MINUTE, zone);
  const { state, readyIn, softIn, coldFor } = window;
  const stays = softIn === null ? `At ${room} it stays workable.` : `At ${room} it runs from ${at(softIn)}.`;
  switch (state) {
    case 'soft':
      return [
        coldFor === null
          ? 'Too soft, and the cold does not bring it back within 4 h: make a new block.'
          : `Too soft: ${duration(Math.max(1, coldFor))} in the cold.`,
      ];
    case 'pliable':
      return [
        softIn === null ? 'Pliable now.' : `Pliable now, for another ${duration(softIn)}.`,
        ...(softIn === null ? [stays] : [`On the bench until ${at(softIn)} at ${room}.`]),
      ];
    default:
      return readyIn === null
        ? [`At ${room} it does not become pliable throughout: pound it, or find a warmer place.`]
        : [`${duration(readyIn)} more: pliable at ${at(readyIn)}.`, stays];
  }
}

/** When to take a block out of the cold for a lock-in at a time, in a sentence. */
export function takeOutWords(lockIn: number, temper: number | null, now: number, zone: string): string {
  if (temper === null)
    return 'In this room it smears outside before it bends inside: temper it slower, in a cool place.';
  const out = lockIn - temper * MINUTE;
  const words = `for a lock-in at ${clockTime(lockIn, zone)}`;
  return out < now - MINUTE
    ? `It should have come out at ${clockTime(out, zone)} ${words}; the earliest is ${clockTime(now + temper * MINUTE, zone)}.`
    : `Take it out at ${clockTime(out, zone)} ${words}: ${duration(temper)} in the room.`;
}
