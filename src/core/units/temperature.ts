import { headNumber } from './number';

/**
 * Reads a temperature as typed: `24`, `24.5`, `24,5 °C`, `75F`. Returns °C, or null where it is none.
 * Without a unit it is °C, or °F where the reader reads °F.
 */
export function parseCelsius(text: string, reads: 'C' | 'F' = 'C'): number | null {
  const head = headNumber(text);
  const unit = head && /^\s*(?:°?\s*([cf]))?\s*$/i.exec(head.rest);
  if (!head || !unit) return null;
  return (unit[1]?.toUpperCase() ?? reads) === 'F' ? fromFahrenheit(head.value) : head.value;
}

export const fromFahrenheit = (degrees: number) => ((degrees - 32) * 5) / 9;

export const toFahrenheit = (celsius: number) => (celsius * 9) / 5 + 32;
