import { duration } from '../units/format';
import type { ReaderUnits } from '../units/reader';
import { showCelsius } from '../units/reader';
import { minutesUntil, type Warming } from './conduction';

/** Skin colder than this, with butter inside, cracks at the edges when it is rolled. */
const CRACKS = 3;
/** A core this much warmer than its skin is not one temperature to a rolling pin. */
const UNEVEN = 4;

/**
 * What a piece's temperatures come to, in words: when its core is there, what its skin has by then, and whether that
 * harms the butter. `laminated`: there is butter at the edges.
 */
export function chillWords(
  warming: Warming,
  target: number,
  { laminated, units }: { laminated: boolean; units: Pick<ReaderUnits, 'temperature'> },
): string[] {
  const at = minutesUntil(warming, warming.core, target);
  const degrees = (celsius: number) => showCelsius(Math.round(celsius), units);
  const begin = warming.core[0] ?? target;
  if (at === null) {
    const last = warming.core.at(-1) ?? begin;
    return [
      `The core does not come to ${degrees(target)} in ${duration(warming.minutes.at(-1) ?? 0)}; it is at ${degrees(last)} by then.`,
    ];
  }
  const words = [`Core at ${degrees(target)} in ${duration(at)}.`];
  const index = Math.min(warming.surface.length - 1, Math.ceil(at));
  const skin = warming.surface[index] ?? target;
  if (begin > target && skin < CRACKS && laminated) {
    words.push(
      `By then the skin is at ${degrees(skin)}, and the butter at the edge will crack. Take it out sooner and let it even out.`,
    );
  } else if (Math.abs(skin - target) > UNEVEN) {
    words.push(`By then the skin is at ${degrees(skin)}: let it even out for some minutes.`);
  }
  return words;
}
