import { describe, expect, it } from 'vitest';
import { duration, weight } from './format';
import { METRIC } from './reader';
import { parseCelsius } from './temperature';

describe('what a baker types as a temperature', () => {
  it.each([
    ['24', 24],
    ['24,5', 24.5],
    [' 24.5 °C ', 24.5],
    ['-18c', -18],
    ['−18', -18],
  ])('%s is read', (text, value) => expect(parseCelsius(text)).toBe(value));

  it('may be in Fahrenheit', () => {
    expect(parseCelsius('75F')).toBeCloseTo(23.9, 1);
    expect(parseCelsius('32 °F')).toBe(0);
  });

  it.each(['', 'warm', '24 25', '1e3', '24 K', '--3'])('%j is none', (text) =>
    expect(parseCelsius(text)).toBeNull(),
  );
});

describe('what a baker reads', () => {
  it('has hours and minutes, not minutes alone', () => {
    expect([45, 60, 860, 0].map(duration)).toEqual(['45 min', '1 h', '14 h 20 min', '0 min']);
  });

  it('has grams below a kilogram', () => {
    expect([weight(0.64, METRIC), weight(17.64, METRIC), weight(17.64, { comma: true })]).toEqual([
      '640 g',
      '17.6 kg',
      '17,6 kg',
    ]);
  });
});
