import type { Fit } from '@/core/lamination/lock-in';
import { rulerLength, rulerMark } from '@/core/units/length';
import { showMass, type ReaderUnits } from '@/core/units/reader';

/** Whether a butter block fits its dough, by how much not, and what to do: sentences for the bench. */
export function fitWords(fit: Fit, units: Pick<ReaderUnits, 'length' | 'mass'>): string[] {
  const size = ([a, b]: readonly [number, number]) =>
    `${rulerMark(a, units.length)} × ${rulerLength(b, units.length)}`;
  if (fit.fits) return ['It fits.'];
  if (fit.turned) return ['It fits when the dough is turned by a quarter.'];
  const short = [
    fit.short[0] >= 0.005 ? `${rulerLength(fit.short[0], units.length)} in length` : '',
    fit.short[1] >= 0.005 ? `${rulerLength(fit.short[1], units.length)} in width` : '',
  ].filter(Boolean);
  const mm = Math.round(fit.rollTo.mm * 10) / 10;
  const trim =
    fit.trimTo.size[0] > 0 && fit.trimTo.size[1] > 0
      ? [
          `Or trim the butter to ${size(fit.trimTo.size)}: ${showMass(fit.trimTo.grams, units)} off, laid on thin spots.`,
        ]
      : [];
  return [
    `It does not fit: the dough is ${short.join(' and ')} too small.`,
    `Roll the dough to ${size(fit.rollTo.size)}; it will be ${mm} mm thick.`,
    ...trim,
  ];
}
