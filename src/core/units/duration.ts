import { parseNumber } from './number';

const UNITS = { min: 1, h: 60, d: 1440 } as const;
const PART =
  /(\d[\d.,/ ½¼¾]*|[½¼¾])\s*(min(?:utes?|uten)?|m|h(?:ours?)?|std\.?|d(?:ays?)?|tage?|j(?:ours?)?)?(?=\s|\d|$)/gi;

function unitOf(word: string | undefined): keyof typeof UNITS {
  const first = word?.charAt(0).toLowerCase() ?? 'm';
  if (first === 'h' || first === 's') return 'h';
  return first === 'd' || first === 't' || first === 'j' ? 'd' : 'min';
}

/**
 * Minutes of a length of time as people write it; a bare number is minutes, and one behind hours too. Null where it is none.
 *
 * @example
 * parseMinutes('90'); // 90
 * parseMinutes('1 h 30'); // 90
 * parseMinutes('1,5 h'); // 90
 * parseMinutes('soon'); // null
 */
export function parseMinutes(text: string): number | null {
  const trimmed = text.trim();
  const parts = [...trimmed.matchAll(PART)];
  const left = trimmed.replace(PART, '').trim();
  if (parts.length === 0 || left !== '') return null;
  let sum = 0;
  for (const [, amount = '', word] of parts) {
    const value = parseNumber(amount.trim());
    if (value === null) return null;
    sum += value * UNITS[unitOf(word)];
  }
  return sum;
}

/**
 * A length of time for a field, read back as the same number.
 *
 * @example
 * showMinutes(90); // '1 h 30 min'
 */
export function showMinutes(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  const rest = Number((minutes - hours * 60).toFixed(2));
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}
