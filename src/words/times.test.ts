import { describe, expect, it } from 'vitest';
import { parseLocal } from '@/core/time/local';
import { wordsIn } from './compile';
import { fromNow } from './from-now';
import { timesIn } from './times';

const ZONE = 'Europe/Berlin';
const at = parseLocal('2026-10-27T04:30', ZONE) ?? Number.NaN;

describe('days and times', () => {
  it.each([
    ['en', 'Tue 04:30', 'Tuesday', '27 Oct', 'Tue 27 Oct 04:30', '27 Oct 2026'],
    ['de', 'Di 04:30', 'Dienstag', '27. Okt', 'Di 27. Okt 04:30', '27. Okt 2026'],
    ['fr', 'mar. 04:30', 'mardi', '27 oct.', 'mar. 27 oct. 04:30', '27 oct. 2026'],
  ] as const)('are written in %s as that language writes them', (language, time, day, month, both, full) => {
    const times = timesIn(language);
    expect(times.dayTime(at, ZONE)).toBe(time);
    expect(times.longDayName(at, ZONE)).toBe(day);
    expect(times.dayMonth(at, ZONE)).toBe(month);
    expect(times.dateTime(at, ZONE)).toBe(both);
    expect(times.fullDate(at, ZONE)).toBe(full);
  });

  it('are of the bakery’s own day, whatever day it is elsewhere', () => {
    expect(timesIn('en').dayMonth(Date.UTC(2026, 9, 26, 23, 30), ZONE)).toBe('27 Oct');
  });

  it('from now are ahead, past or now', () => {
    const said = [25, 0, -12].map((minutes) => wordsIn('en').coded(fromNow(minutes)));
    expect(said).toEqual(['in 25 min', 'now', '12 min ago']);
  });
});

describe('numbers', () => {
  it('have a comma where the language has one, alone, in a quantity and in a message', () => {
    const [de, en] = [wordsIn('de'), wordsIn('en')];
    expect([de.number(6.5, 2), en.number(6.5, 2)]).toEqual(['6,50', '6.50']);
    expect([{ celsius: 23.96 }, { grams: 9000 }, { cm: 10.5 }, { percent: 26.64 }].map(de.shown)).toEqual([
      ...['24 °C', '9,000 kg', '10,5 cm', '26,6 %'],
    ]);
    expect(de('batch.of5', { mean: 3.5 })).toBe('3,5 von 5');
    expect(en('batch.of5', { mean: 3.5 })).toBe('3.5 of 5');
  });

  it('are still numbers where a message counts by them', () => {
    expect([1, 2].map((count) => wordsIn('fr')('plan.hours', { count }))).toEqual(['1 heure', '2 heures']);
    expect(wordsIn('fr')('plan.hours', { count: 1.5 })).toBe('1,5 heure');
  });
});

describe('a name within a line', () => {
  it('begins small, but in German, which writes nouns as names', () => {
    expect(wordsIn('en').inLine('Core temperature')).toBe('core temperature');
    expect(wordsIn('de').inLine('Kerntemperatur')).toBe('Kerntemperatur');
  });
});

describe('French', () => {
  it('lets no sign that stands off its word begin a line', () => {
    expect(wordsIn('fr')('bench.isTheAlive', { of: 'sponge' })).toBe('Actif\u00a0: levain-levure\u00a0?');
  });
});
