import type { Say } from '@/words/say';
import type { ButterWindow } from '@/core/lamination/butter-window';
import { clockTime, MINUTE } from '@/core/time/local';
import { duration } from '@/core/units/format';

/** Clock and zone, and the room's temperature as the reader sees it. */
export interface Reader {
  now: number;
  zone: string;
  room: string;
}

/** What to do with a butter block now, and until when: sentences for the bench, the first one the next act. */
export function butterWords(say: Say, window: ButterWindow, { now, zone, room }: Reader): string[] {
  const at = (minutes: number) => clockTime(now + minutes * MINUTE, zone);
  const { state, readyIn, softIn, coldFor } = window;
  const stays =
    softIn === null
      ? say('lamination.atItStaysWorkable', { room })
      : say('lamination.atItRunsFrom', { room, at: at(softIn) });
  switch (state) {
    case 'soft':
      return [
        coldFor === null
          ? say('lamination.tooSoftAndTheCold')
          : say('lamination.tooSoftInTheCold', { duration: duration(Math.max(1, coldFor)) }),
      ];
    case 'pliable':
      return [
        softIn === null
          ? say('lamination.pliableNow')
          : say('lamination.pliableNowForAnother', { duration: duration(softIn) }),
        ...(softIn === null ? [stays] : [say('lamination.onTheBenchUntilAt', { at: at(softIn), room })]),
      ];
    default:
      return readyIn === null
        ? [say('lamination.atItDoesNotBecome', { room })]
        : [say('lamination.morePliableAt', { duration: duration(readyIn), at: at(readyIn) }), stays];
  }
}

export interface TakingOut {
  temper: number | null;
  now: number;
  zone: string;
}

/** When to take a block out of the cold for a lock-in at a time, in a sentence. */
export function takeOutWords(say: Say, lockIn: number, { temper, now, zone }: TakingOut): string {
  if (temper === null) return say('lamination.inThisRoomItSmears');
  const out = lockIn - temper * MINUTE;
  const words = say('lamination.forALockInAt', { time: clockTime(lockIn, zone) });
  return out < now - MINUTE
    ? say('lamination.itShouldHaveComeOut', {
        time: clockTime(out, zone),
        words,
        time2: clockTime(now + temper * MINUTE, zone),
      })
    : say('lamination.takeItOutAtIn', { time: clockTime(out, zone), words, duration: duration(temper) });
}
