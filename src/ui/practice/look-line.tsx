import type { NightLook } from '@/core/practice/night-record';
import { clockTime } from '@/core/time/local';
import { RISE_SIGNS } from '../bench/wait-words';
import { useWords } from '../kit/words';
import { useCelsius } from '../live/units';

/** What somebody found, in the words in which it is looked for. */
export function LookLine({ look: { at, found }, zone }: { look: NightLook; zone: string }) {
  const say = useWords();
  const celsius = useCelsius();
  const time = clockTime(at, zone);
  if (found.sense === 'thermometer')
    return say('practice.foundCelsius', { time, celsius: celsius(found.celsius) });
  if (found.sense === 'hand')
    return found.check === 'spring'
      ? say('practice.foundSpring', { time, answer: found.answer })
      : say('practice.foundBend', { time, answer: found.answer });
  return found.of === 'bake'
    ? say('practice.foundBake', { time, colour: found.colour })
    : say('practice.foundRise', {
        ...{ time, sign: say.coded(RISE_SIGNS[found.phase][found.verdict]) },
        isDry: found.isDry === true,
      });
}
