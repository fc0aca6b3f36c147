import { rulerLength } from './length';
import { type ReaderUnits, showCelsius, showLength, showMass } from './reader';

/** A measure in a sentence, one of two with × between: "24 × 20 cm". Pieces of a product's name are none: a space stands before. */
const MEASURE =
  /(-?\d+(?:[.,]\d+)?)(?: (×|to|and|bis|und|à|et) (-?\d+(?:[.,]\d+)?))? (°C|mm|cm|kg|g)(?![\p{L}/·³])/gu;

/**
 * A sentence of the house, which speaks in °C, centimetres and grams, in the units of its reader.
 *
 * @example retold('At 4 °C the core does not come to 7 °C.', { ...METRIC, temperature: 'F' })
 * // 'At 39 °F the core does not come to 45 °F.'
 */
export function retold(sentence: string, units: ReaderUnits): string {
  const shown = (value: string, unit: string): string | null => {
    const number = Number(value.replace(',', '.'));
    switch (unit) {
      case '°C':
        return units.temperature === 'F' ? showCelsius(number, units) : null;
      case 'mm':
        return units.length === 'in' ? showLength(number, units) : null;
      case 'cm':
        return units.length === 'in' ? rulerLength(number, units) : null;
      default:
        return units.mass === 'g' ? null : showMass(number * (unit === 'kg' ? 1000 : 1), units);
    }
  };
  return sentence.replace(MEASURE, (whole, ...found: (string | undefined)[]) => {
    const [first = '', between, second, unit = ''] = found;
    const [one, two] = [shown(first, unit), second === undefined ? '' : shown(second, unit)];
    if (one === null || two === null) return whole;
    return between === undefined ? one : `${one} ${between} ${two}`;
  });
}
