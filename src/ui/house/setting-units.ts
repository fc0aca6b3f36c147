import { type SettingName, SETTINGS } from '@/core/bakery/settings';
import { type MeasureKind, readMeasure, showMeasure } from '@/core/units/measure';
import { parseNumber } from '@/core/units/number';
import type { ReaderUnits } from '@/core/units/reader';

/** How a setting is shown and typed by one reader. Values are in the setting's own unit. */
export interface SettingUnits {
  /** Its unit; empty for a number alone. */
  unit: string;
  show: (value: number) => string;
  /** Null where it is no number. */
  read: (text: string) => number | null;
}

/** Settings of kilograms are measured in grams. */
const MEASURES: Record<string, { kind: MeasureKind; times: number }> = {
  '°C': { kind: 'celsius', times: 1 },
  cm: { kind: 'cm', times: 1 },
  mm: { kind: 'mm', times: 1 },
  g: { kind: 'grams', times: 1 },
  kg: { kind: 'grams', times: 1000 },
};

/** A setting in the units of a reader: 240 cm are 94.49 in for one who reads inches. */
export function settingUnits(name: SettingName, units: ReaderUnits): SettingUnits {
  const { unit, isDifference } = SETTINGS[name] as (typeof SETTINGS)[SettingName] & { isDifference?: true };
  const measured = MEASURES[unit];
  const reads = measured && readerUnit(measured.kind, units);
  if (!measured || !reads)
    return { unit: unit === '1' ? '' : unit, show: (value) => String(value), read: parseNumber };
  const kind = isDifference ? 'difference' : measured.kind;
  return {
    unit: reads,
    show: (value) => showMeasure({ kind, value: value * measured.times }, units).replace(` ${reads}`, ''),
    read(text) {
      const value = readMeasure(kind, text, units) / measured.times;
      return Number.isNaN(value) ? null : Number(value.toFixed(4));
    },
  };
}

/** What a reader reads instead of the metric unit of a kind; null where that is the one. */
function readerUnit(kind: MeasureKind, { mass, temperature, length }: ReaderUnits): string | null {
  if (kind === 'celsius' || kind === 'difference') return temperature === 'F' ? '°F' : null;
  if (kind === 'grams') return mass === 'oz' ? 'oz' : null;
  return length === 'in' ? 'in' : null;
}
