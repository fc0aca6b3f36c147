import { coded, type Coded } from '../codes/coded';
import { minutesUntil, type Warming } from './conduction';

/** Skin colder than this, with butter inside, cracks at the edges when it is rolled. */
const CRACKS = 3;
/** A core this much warmer than its skin is not one temperature to a rolling pin. */
const UNEVEN = 4;

/**
 * What a piece's temperatures come to, in words: when its core is there, what its skin has by then, and whether that
 * harms the butter. `laminated`: there is butter at the edges.
 */
export function chillMessages(warming: Warming, target: number, laminated: boolean): Coded[] {
  const at = minutesUntil(warming, warming.core, target);
  const degrees = (celsius: number) => ({ celsius: Math.round(celsius) });
  const begin = warming.core[0] ?? target;
  if (at === null) {
    const last = warming.core.at(-1) ?? begin;
    return [
      coded('heat.theCoreDoesNotCome', {
        celsius: degrees(target),
        duration: { minutes: warming.minutes.at(-1) ?? 0 },
        celsius2: degrees(last),
      }),
    ];
  }
  const words = [coded('heat.coreAtIn', { celsius: degrees(target), duration: { minutes: at } })];
  const index = Math.min(warming.surface.length - 1, Math.ceil(at));
  const skin = warming.surface[index] ?? target;
  if (begin > target && skin < CRACKS && laminated) {
    words.push(coded('heat.byThenTheSkinIs', { celsius: degrees(skin) }));
  } else if (Math.abs(skin - target) > UNEVEN) {
    words.push(coded('heat.byThenTheSkinIs2', { celsius: degrees(skin) }));
  }
  return words;
}
