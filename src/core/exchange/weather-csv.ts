import Papa from 'papaparse';
import type { Temperature } from '../climate/room-course';
import { coded, type Coded } from '../codes/coded';
import { parseNumber } from '../units/number';
import { fromFahrenheit } from '../units/temperature';
import { parseLocal } from '../time/local';

/** Longest weather file that is read, characters: some months of hours. */
export const LONGEST_WEATHER = 500_000;
/** Hours that one file may hold. */
const MOST = 24 * 31;
/** °C that no air outdoors has. */
const [COLDEST, WARMEST] = [-60, 60];

/** Names of columns that hold the time and the temperature, in any of the house's languages. */
const TIME = /^(time|date|datetime|datum|zeit|heure)/i;
const CELSIUS = /temp|°c|°f|celsius/i;

/**
 * Reads the temperatures of a weather file: a table with one column for the time and one for the temperature; commas,
 * semicolons or tabs. Times with an offset are what they say, others are of the house's zone. Lines before the heading, which
 * some services put there, are passed over. °F where the heading says so.
 */
export function readWeatherCsv(text: string, zone: string): { hours: Temperature[]; fault: Coded | null } {
  const nothing = (fault: Coded) => ({ hours: [], fault });
  if (text.length > LONGEST_WEATHER) return nothing(coded('files.theFileIsTooLong'));
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const head = data.findIndex(
    (cells) => cells.some((cell) => TIME.test(cell.trim())) && cells.some((cell) => CELSIUS.test(cell)),
  );
  const names = data[head] ?? [];
  const [time, temperature] = [
    names.findIndex((cell) => TIME.test(cell.trim())),
    names.findIndex((cell) => CELSIUS.test(cell)),
  ];
  if (head < 0) return nothing(coded('files.weatherNeedsTimeAndTemperature'));
  const isFahrenheit = /°?f\b|fahrenheit/i.test(names[temperature] ?? '');
  const hours: Temperature[] = [];
  for (const [i, cells] of data.slice(head + 1).entries()) {
    const at = instantOf((cells[time] ?? '').trim(), zone);
    const value = parseNumber((cells[temperature] ?? '').replace(/°|[cf]$/gi, '').trim());
    if (value === null && (cells[temperature] ?? '').trim() === '') continue;
    const celsius = value === null ? NaN : isFahrenheit ? fromFahrenheit(value) : value;
    if (at === null || !(celsius >= COLDEST && celsius <= WARMEST))
      return nothing(coded('files.weatherLineIsNotRead', { line: head + i + 2 }));
    hours.push({ at, celsius: Math.round(celsius * 10) / 10 });
  }
  if (hours.length === 0) return nothing(coded('files.weatherHasNoHours'));
  hours.sort((a, b) => a.at - b.at);
  return { hours: hours.slice(0, MOST), fault: null };
}

/** `2026-07-01T14:00Z`, `2026-07-01 14:00+02:00`, or without an offset in the house's zone. */
function instantOf(text: string, zone: string): number | null {
  const own = text.replace(' ', 'T');
  if (!/^\d{4}-\d{2}-\d{2}T\d{2}/.test(own)) return null;
  if (/(Z|[+-]\d{2}:?\d{2})$/.test(own)) {
    const at = Date.parse(own);
    return Number.isNaN(at) ? null : at;
  }
  return parseLocal(own.length === 13 ? `${own}:00` : own.slice(0, 16), zone);
}
