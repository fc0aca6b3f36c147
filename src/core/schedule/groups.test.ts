import { describe, expect, it } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { taskId } from '../process/step-ref';
import type { Person } from '../bakery/people';
import { byPerson, byStation } from './groups';
import { loadBins, settingSpans } from '../shopfloor/loads';
import type { Duty } from './rota';
import { inEnglish } from '../../../test-support/words';

const DAY = { from: 0, to: 1440 * MIN };
const person = (id: number): Person => ({ id, name: `P${id}`, role: 'baker', team: 'nights' });

/** The dough with every step that uses the oven set to one temperature. */
function baked(setting: number) {
  const dough = plannedDough([]);
  const steps = dough.steps.map((step) => ({
    ...step,
    uses: step.step.kind === 'bake' ? [{ resource: 'oven', amount: 3, setting }] : step.uses,
  }));
  return { ...dough, steps };
}

describe('the plan by station', () => {
  it('shows each use once, in order of time, and no trays or shelves', () => {
    const rows = byStation([baked(185)], [machine('oven'), machine('tray'), machine('retarder')]);
    expect(rows.map(({ id }) => id)).toEqual(['oven']);
    expect(inEnglish(rows[0]?.items.map(({ label }) => label))).toEqual(['bake']);
  });

  it('holds in its loads what its rows show', () => {
    const dough = baked(185);
    const [item] = byStation([dough], [machine('oven')])[0]?.items ?? [];
    const bins = loadBins([dough], 'oven', DAY, 30);
    bins.forEach((held, i) => {
      const at = i * 30 * MIN;
      expect(held > 0).toBe(at < (item?.end ?? 0) && at + 30 * MIN > (item?.start ?? 0));
    });
  });
});

describe('the plan by person', () => {
  it('goes by what was recorded, and by the rota for what is to come', () => {
    const dough = plannedDough([
      did('start', 'mix', 2, { personId: 2 }),
      did('finish', 'mix', 20, { personId: 2 }),
    ]);
    const duty = (key: string, id: number): Duty => ({
      ...{ task: taskId(1, key), doughId: 1, dough: 'Crescent 1', label: key, start: 0, end: 0 },
      ...{ personIds: [id], missing: 0, skill: null, strain: 1 },
    });
    const rows = byPerson([dough], [person(1), person(2)], [duty('mix', 1), duty('butter', 1)]);
    expect(inEnglish(rows.map(({ name, items }) => [name, items.map(({ label }) => label)]))).toEqual([
      ['P1', ['butter']],
      ['P2', ['mix']],
    ]);
    expect(inEnglish(rows[1]?.items[0])).toMatchObject({ status: 'done', start: 2 * MIN, end: 20 * MIN });
  });
});

describe('settings of a machine', () => {
  it('are one span as long as they stay the same', () => {
    const later = (dough: ReturnType<typeof baked>, minutes: number) => ({
      ...dough,
      steps: dough.steps.map((step) => ({
        ...step,
        start: step.start + minutes * MIN,
        end: step.end + minutes * MIN,
      })),
    });
    const spans = settingSpans([baked(185), later(baked(185), 60), later(baked(165), 120)], 'oven', DAY);
    expect(spans.map(({ setting }) => setting)).toEqual([185, 165]);
    expect((spans[0]?.end ?? 0) - (spans[0]?.start ?? 0)).toBe((60 + 18) * MIN);
    expect(settingSpans([plannedDough([])], 'mixer', DAY)).toEqual([]);
  });
});
