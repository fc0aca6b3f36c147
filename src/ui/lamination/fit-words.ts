import type { Say } from '@/words/say';
import type { Fit } from '@/core/lamination/lock-in';
import { rulerLength, rulerMark } from '@/core/units/length';
import { showLength, showMass, type ReaderUnits } from '@/core/units/reader';

/** Less than this nobody sees on a ruler, cm. */
const SEEN = 0.1;

/** Whether a butter block fits its dough, by how much not, and what to do: sentences for the bench. */
export function fitWords(say: Say, fit: Fit, units: Pick<ReaderUnits, 'length' | 'mass'>): string[] {
  const size = ([a, b]: readonly [number, number]) => `${rulerMark(a, units)} × ${rulerLength(b, units)}`;
  if (fit.fits) return [fit.turned ? say('lamination.itFitsWithTheDough') : say('lamination.itFits')];
  const short = [
    fit.short[0] >= SEEN ? say('lamination.tooShort', { rulerLength: rulerLength(fit.short[0], units) }) : '',
    fit.short[1] >= SEEN
      ? say('lamination.tooNarrow', { rulerLength: rulerLength(fit.short[1], units) })
      : '',
  ].filter(Boolean);
  const trim =
    fit.trimTo.size[0] > 0 && fit.trimTo.size[1] > 0
      ? [
          say('lamination.orTrimTheButterTo', {
            size: size(fit.trimTo.size),
            mass: showMass(fit.trimTo.grams, units),
          }),
        ]
      : [];
  return [
    say('lamination.theDoughIs', { short: short.join(' and ') }),
    say('lamination.turnItByAQuarter', {
      isTurned: fit.turned,
      size: size(fit.rollTo.size),
      length: showLength(fit.rollTo.mm, units),
    }),
    ...trim,
  ];
}
