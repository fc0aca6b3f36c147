import { describe, expect, it } from 'vitest';
import { differences, isBackupLate } from './house-record';

describe('what a change touched', () => {
  it('is told value by value, and what stayed the same is not', () => {
    expect(differences({ label: 'Oven', capacity: 9 }, { label: 'Oven', capacity: 8 })).toEqual([
      { name: 'capacity', was: '9', becomes: '8' },
    ]);
  });

  it('is all of what is new or gone', () => {
    expect(differences(null, { units: 1 })).toEqual([{ name: 'units', was: '–', becomes: '1' }]);
    expect(differences({ pieces: 40 }, null)).toEqual([{ name: 'pieces', was: '40', becomes: '–' }]);
  });

  it('is a list as it stands, and yes or no', () => {
    expect(differences(['milk'], ['milk', 'eggs'])).toEqual([
      { name: '', was: 'milk', becomes: 'milk, eggs' },
    ]);
    expect(differences({ letIn: true }, { letIn: false })).toEqual([
      { name: 'letIn', was: 'yes', becomes: 'no' },
    ]);
    expect(differences([], ['Mon 01:00–09:00'])[0]?.was).toBe('–');
  });
});

describe('a backup of the last night', () => {
  const night = 24 * 3_600_000;
  it.each([
    [null, true],
    [0, false],
    [-1, true],
    [night, false],
  ])('made at %s is late: %s', (madeAt, late) => {
    // A day and two hours later.
    expect(isBackupLate(madeAt, night + 2 * 3_600_000)).toBe(late);
  });
});
