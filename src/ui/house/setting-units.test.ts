import { describe, expect, it } from 'vitest';
import { SETTINGS, type SettingName } from '@/core/bakery/settings';
import { METRIC, type ReaderUnits } from '@/core/units/reader';
import { settingUnits } from './setting-units';

const OTHER: ReaderUnits = { mass: 'oz', temperature: 'F', length: 'in', kitchen: 'us' };
const names = Object.keys(SETTINGS) as SettingName[];

describe('a setting in the units of its reader', () => {
  it.each(names)('%s is read back as it is shown, by everybody', (name) => {
    const { usual, least, most } = SETTINGS[name];
    for (const units of [METRIC, OTHER]) {
      const { show, read } = settingUnits(name, units);
      for (const value of [usual, least, most]) {
        const again = read(show(value)) ?? NaN;
        expect(Math.abs(again - value), `${show(value)}`).toBeLessThanOrEqual(0.01 * Math.abs(value) + 0.06);
      }
    }
  });

  it('says its unit, and none where it is a number alone', () => {
    expect(settingUnits('benchLength', OTHER).unit).toBe('in');
    expect(settingUnits('benchLength', METRIC).unit).toBe('cm');
    expect(settingUnits('coolingRule', OTHER).unit).toBe('');
  });

  it('has no zero point where it is how far two temperatures are apart', () => {
    expect(settingUnits('mixingRise', OTHER).show(5)).toBe('9');
    expect(settingUnits('warmestLiquid', OTHER).show(40)).toBe('104');
  });

  it('takes another unit where one is typed, and nothing that is no number', () => {
    expect(settingUnits('benchLength', OTHER).read('200 cm')).toBeCloseTo(200, 3);
    expect(settingUnits('benchLength', OTHER).read('long')).toBeNull();
  });
});
