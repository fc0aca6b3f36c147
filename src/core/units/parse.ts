/**
 * Reads a temperature as typed: `24`, `24.5`, `24,5 °C`, `75F`. Returns °C, or null where it is none.
 * Without a unit it is °C.
 */
export function parseCelsius(text: string): number | null {
  const match = /^\s*([-+−]?\d+(?:[.,]\d+)?)\s*(?:°?\s*([cf]))?\s*$/i.exec(text);
  if (!match?.[1]) return null;
  const value = Number(match[1].replace('−', '-').replace(',', '.'));
  return match[2]?.toLowerCase() === 'f' ? ((value - 32) * 5) / 9 : value;
}
