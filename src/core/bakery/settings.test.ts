import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { isMeant, SETTINGS, settingsOf, type SettingName } from './settings';

const NAMES = Object.keys(SETTINGS) as SettingName[];

describe('the settings of a bakery', () => {
  it('are usual where it has set nothing, and its own where it has', () => {
    const own = settingsOf({ planSeconds: 5, stayCost: 0 });
    expect(own).toMatchObject({ planSeconds: 5, stayCost: 0, lateMatters: SETTINGS.lateMatters.usual });
    expect(Object.keys(own)).toEqual(NAMES);
  });

  it('are what can be meant: a value outside its range is not taken', () => {
    expect(settingsOf({ planSeconds: -1, iceCream: 4 })).toEqual(settingsOf({}));
    for (const name of NAMES) {
      const { least, usual, most } = SETTINGS[name];
      expect([name, isMeant(name, usual), isMeant(name, least), isMeant(name, most)]).toEqual([
        ...[name, true, true, true],
      ]);
      expect(isMeant(name, least - 1) || isMeant(name, most + 1), name).toBe(false);
      expect(least, name).toBeLessThan(most);
    }
  });

  it('are those that the database begins with, at the same values', () => {
    const migrations = readdirSync('db/migrations').map((file) =>
      readFileSync(`db/migrations/${file}`, 'utf8'),
    );
    const snake = (name: string) => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
    for (const name of NAMES) {
      const first = migrations.flatMap(
        (sql) => new RegExp(`\\('${snake(name)}', (-?[\\d.]+),`).exec(sql)?.[1] ?? [],
      );
      expect(first.map(Number), name).toEqual([SETTINGS[name].usual]);
    }
  });
});
