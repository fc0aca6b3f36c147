import { parseMillimetres } from './length';
import { parseNumber } from './number';
import { decimal, type ReaderUnits } from './reader';
import { parseCelsius, toFahrenheit } from './temperature';
import { typedGrams } from './typed-grams';

/**
 * What a field measures, and so the unit that its value is kept in: °C, a difference in °C, millimetres of thickness,
 * centimetres along a bench, grams.
 */
export type MeasureKind = 'celsius' | 'difference' | 'mm' | 'cm' | 'grams';

/** A measured value as it is kept, whatever its reader reads. */
export interface Measure {
  kind: MeasureKind;
  value: number;
}

export const measure = (kind: MeasureKind, value: number): Measure => ({ kind, value });

const OUNCE = 28.3495;
const INCH = 25.4;
/** A number with so many decimals at most, and none that say nothing. */
const short = (value: number, decimals: number) => String(Number(value.toFixed(decimals)));

/**
 * A value as the text of a field in this reader's units, with its unit, so exact that it is read back as the same number:
 * to 0.1 °C, 0.1 mm, 0.5 mm on the bench, and what a scale shows.
 *
 * @example
 * showMeasure({ kind: 'celsius', value: 24 }, { ...METRIC, temperature: 'F' }); // '75.2 °F'
 */
export const showMeasure = (measured: Measure, reader: ReaderUnits): string =>
  decimal(measureText(measured, reader), reader);

function measureText({ kind, value }: Measure, { mass, temperature, length }: ReaderUnits): string {
  if (!Number.isFinite(value)) return '';
  switch (kind) {
    case 'celsius':
      return temperature === 'F' ? `${short(toFahrenheit(value), 1)} °F` : `${short(value, 1)} °C`;
    case 'difference':
      return temperature === 'F' ? `${short(value * 1.8, 1)} °F` : `${short(value, 1)} °C`;
    case 'mm':
      return length === 'in' ? `${short(value / INCH, 3)} in` : `${short(value, 1)} mm`;
    case 'cm':
      return length === 'in' ? `${short((value * 10) / INCH, 2)} in` : `${short(value, 2)} cm`;
    case 'grams':
      if (mass === 'oz') return `${short(value / OUNCE, value < 10 * OUNCE ? 3 : 2)} oz`;
      return value >= 1000 ? `${short(value / 1000, 3)} kg` : `${short(value, 1)} g`;
  }
}

/** Reads a field in this reader's units; a text may name another unit. NaN where it is no such value. */
export function readMeasure(kind: MeasureKind, text: string, units: ReaderUnits): number {
  switch (kind) {
    case 'celsius':
      return parseCelsius(text, units.temperature) ?? NaN;
    case 'difference':
      return readDifference(text, units.temperature);
    case 'mm':
      return parseMillimetres(text, units.length === 'in' ? 'in' : 'mm') ?? NaN;
    case 'cm':
      return (parseMillimetres(text, units.length) ?? NaN) / 10;
    case 'grams':
      return typedGrams(text, units) ?? NaN;
  }
}

/**
 * A text that was typed in this reader's units as one that says its unit, for whoever reads it elsewhere: `75` of a
 * reader of °F becomes `75 °F`. What is no bare number stays as it is.
 */
export function withUnit(
  kind: MeasureKind,
  text: string,
  { mass, temperature, length }: ReaderUnits,
): string {
  if (parseNumber(text) === null) return text;
  const unit = {
    ...{ celsius: `°${temperature}`, difference: `°${temperature}`, grams: mass },
    ...{ cm: length, mm: length === 'in' ? 'in' : 'mm' },
  }[kind];
  return `${text.trim()} ${unit}`;
}

/** A difference has no zero point: 9 °F are 5 °C. */
function readDifference(text: string, reads: ReaderUnits['temperature']): number {
  const match = /^(.*?)\s*(?:°?\s*([cf]))?\s*$/i.exec(text);
  const value = parseNumber(match?.[1] ?? '') ?? NaN;
  return (match?.[2]?.toUpperCase() ?? reads) === 'F' ? value / 1.8 : value;
}
