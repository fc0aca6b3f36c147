import type { Kitchen } from './measures';
import { toFahrenheit } from './temperature';

/** How one reader likes to read: what is kept is SI all the same. */
export interface ReaderUnits {
  mass: 'g' | 'oz';
  temperature: 'C' | 'F';
  length: 'cm' | 'in';
  kitchen: Kitchen;
  /** True where decimals follow a comma: "6,5". */
  comma?: boolean | undefined;
}

export const METRIC: ReaderUnits = { mass: 'g', temperature: 'C', length: 'cm', kitchen: 'metric' };

/** A number that is written with a point, as its reader writes it: `6.5`, `6,5`. */
export const decimal = (number: string, { comma }: Pick<ReaderUnits, 'comma'>): string =>
  comma ? number.replace('.', ',') : number;

/** Grams as read from a scale: `0.8 g`, `540 g`, `9.00 kg`, or `19.05 oz`, `19 lb 13.5 oz`. */
export const showMass = (grams: number, reader: Pick<ReaderUnits, 'mass' | 'comma'>): string =>
  decimal(reader.mass === 'oz' ? inOunces(grams) : inGrams(grams), reader);

function inOunces(grams: number): string {
  const ounces = grams / 28.3495;
  if (Math.abs(ounces) < 32) return `${ounces.toFixed(2)} oz`;
  const pounds = Math.trunc(ounces / 16);
  return `${pounds} lb ${(Math.abs(ounces) - Math.abs(pounds) * 16).toFixed(1)} oz`;
}

function inGrams(grams: number): string {
  const size = Math.abs(grams);
  if (size < 20) return `${(Math.round(grams * 10) / 10).toFixed(1)} g`;
  if (size < 200) return `${Math.round(grams * 10) / 10} g`;
  if (size < 1000) return `${Math.round(grams)} g`;
  return `${(grams / 1000).toFixed(size < 10_000 ? 3 : 2)} kg`;
}

/** °C, or °F for those who read it: `23.9 °C`, `75 °F`. */
export function showCelsius(celsius: number, reader: Pick<ReaderUnits, 'temperature' | 'comma'>): string {
  if (reader.temperature === 'F') return `${Math.round(toFahrenheit(celsius))} °F`;
  return `${decimal(String(Math.round(celsius * 10) / 10), reader)} °C`;
}

/** A difference of temperatures: `2.5 °C`, or `4.5 °F`. */
export function showDifference(celsius: number, reader: Pick<ReaderUnits, 'temperature' | 'comma'>): string {
  const degrees = reader.temperature === 'F' ? celsius * 1.8 : celsius;
  return `${decimal(String(Math.round(degrees * 10) / 10), reader)} °${reader.temperature}`;
}

/** Millimetres as `25 mm`, `41.5 cm` or `1.63 in`. */
export function showLength(millimetres: number, reader: Pick<ReaderUnits, 'length' | 'comma'>): string {
  const number = (value: number) => decimal(String(value), reader);
  if (reader.length === 'in') return `${number(Math.round((millimetres / 25.4) * 100) / 100)} in`;
  if (Math.abs(millimetres) < 100) return `${number(Math.round(millimetres * 10) / 10)} mm`;
  return `${number(Math.round(millimetres) / 10)} cm`;
}
