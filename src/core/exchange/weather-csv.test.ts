import { describe, expect, it } from 'vitest';
import { inEnglish } from '../../../test-support/words';
import { LONGEST_WEATHER, readWeatherCsv } from './weather-csv';

const ZONE = 'Europe/Berlin';
const read = (text: string) => readWeatherCsv(text, ZONE);
const at = (iso: string) => Date.parse(iso);

describe('a weather file', () => {
  it('is read with times of the house’s zone, or what their offset says', () => {
    expect(read('time,temperature\n2026-07-01T14:00,31.2\n2026-07-01T15:00Z,30\n').hours).toEqual([
      { at: at('2026-07-01T12:00Z'), celsius: 31.2 },
      { at: at('2026-07-01T15:00Z'), celsius: 30 },
    ]);
    expect(read('Datum;Temp (°C)\n2026-07-01 14:00;31,2\n').hours).toEqual([
      { at: at('2026-07-01T12:00Z'), celsius: 31.2 },
    ]);
  });

  it('may say where it is from above its heading, in another order, and in °F', () => {
    const text =
      'latitude,50\n\nhumidity,time,temperature (°F)\n60,2026-07-01T14:00Z,86\n,2026-07-01T15:00Z,\n';
    expect(read(text)).toEqual({ hours: [{ at: at('2026-07-01T14:00Z'), celsius: 30 }], fault: null });
  });

  it('is refused as a whole where a line of it is none, named', () => {
    const fault = (text: string) => {
      const found = read(text).fault;
      return found && inEnglish(found);
    };
    expect(fault('time,temperature\n2026-07-01T14:00,31\n2026-02-31T14:00,31\n')).toContain('Line 3');
    expect(fault('time,temperature\n2026-07-01T14:00,hot\n')).toContain('Line 2');
    expect(fault('time,temperature\n2026-07-01T14:00,130\n')).toContain('Line 2');
    expect(fault('a,b\n1,2\n')).toContain('temperature');
    expect(fault('time,temperature\n')).toContain('no hours');
    expect(fault('x'.repeat(LONGEST_WEATHER + 1))).toBeTruthy();
  });
});
