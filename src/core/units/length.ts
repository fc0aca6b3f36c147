import { headNumber } from './number';

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
