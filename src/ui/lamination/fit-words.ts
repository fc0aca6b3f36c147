import type { Fit } from '@/core/lamination/lock-in';
import { rulerLength, rulerMark } from '@/core/units/length';
import { showLength, showMass, type ReaderUnits } from '@/core/units/reader';

/** Less than this nobody sees on a ruler, cm. */
const SEEN = 0.1;

/** Whether a butter block fits its dough, by how much not, and what to do: sentences for the bench. */
export function fitWords(fit: Fit, units: Pick<ReaderUnits, 'length' | 'mass'>): string[] {
  const size = ([a, b]: readonly [number, number]) =>
    `${rulerMark(a, units.length)} × ${rulerLength(b, units.length)}`;
  if (fit.fits) return [fit.turned ? 'It fits with the dough turned by a quarter.' : 'It fits.'];
  const short = [
    fit.short[0] >= SEEN ? `${rulerLength(fit.short[0], units.length)} too short` : '',
    fit.short[1] >= SEEN ? `${rulerLength(fit.short[1], units.length)} too narrow` : '',
  ].filter(Boolean);
  const trim =
    fit.trimTo.size[0] > 0 && fit.trimTo.size[1] > 0
      ? [
          `Or trim the butter to ${size(fit.trimTo.size)}: ${showMass(fit.trimTo.grams, units)} off, laid on thin spots.`,
        ]
      : [];
  return [
    `The dough is ${short.join(' and ')}.`,
    `${fit.turned ? 'Turn it by a quarter and roll' : 'Roll'} it to ${size(fit.rollTo.size)}; it will be ${showLength(fit.rollTo.mm, units)} thick.`,
    ...trim,
  ];
}
