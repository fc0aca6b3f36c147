import { headNumber } from './number';
import { decimal, type ReaderUnits } from './reader';

const MILLIMETRES: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: 25.4,
  inch: 25.4,
  inches: 25.4,
  '"': 25.4,
  '″': 25.4,
};

/**
 * Reads a length as typed: `25 mm`, `2,5 cm`, `1 in`, `3/8"`. Returns millimetres, or null where it is none.
 * Without a unit it is in `without`.
 */
export function parseMillimetres(text: string, without: 'mm' | 'cm' | 'in' = 'mm'): number | null {
  const head = headNumber(text);
  if (!head) return null;
  const unit = head.rest.trim().toLowerCase();
  const factor = MILLIMETRES[unit === '' ? without : unit];
  return factor === undefined ? null : head.value * factor;
}

/** Sixteenths of an inch as a fraction in its lowest terms: `4 1/8`, `10`, `3/4`. */
function inchFraction(inches: number): string {
  const sixteenths = Math.round(inches * 16);
  const [whole, rest] = [Math.floor(sixteenths / 16), sixteenths % 16];
  if (rest === 0) return String(whole);
  const common = rest % 8 === 0 ? 8 : rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1;
  return `${whole > 0 ? `${whole} ` : ''}${rest / common}/${16 / common}`;
}

/** A mark on a ruler: centimetres to the millimetre, or inches to the sixteenth; without the unit. */
export function rulerMark(cm: number, reader: Pick<ReaderUnits, 'length' | 'comma'>): string {
  return reader.length === 'in' ? inchFraction(cm / 2.54) : decimal(String(Math.round(cm * 10) / 10), reader);
}

/** A length to roll or cut by: `41.5 cm`, or `16 3/8 in`. */
export function rulerLength(cm: number, reader: Pick<ReaderUnits, 'length' | 'comma'>): string {
  return `${rulerMark(cm, reader)} ${reader.length}`;
}
