import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { parseLocal } from '@/core/time/local';
import { freshDatabase } from '../../../test-support/house';
import { rowsOf } from '../db/rows';
import { doughById } from '../store/doughs';
import { findBatches } from '../store/batches';
import { OPENING, ZONE } from './bakery';
import { readMonth, withIds, withPlaces } from './month';
import { seedDemo } from './seed';

const NOW = parseLocal(OPENING, ZONE) ?? 0;
const DAY = 24 * 3_600_000;
const month = readMonth();
let house: Awaited<ReturnType<typeof freshDatabase>>;

beforeAll(async () => {
  house = await freshDatabase();
  await seedDemo(house.pool, { month: true });
});
afterAll(() => house.close());

describe('the month before the demo opens', () => {
  it('ends before it, and reaches four weeks back', () => {
    const last = month.doughs.flatMap(({ events }) => events.map(([, minute]) => minute));
    expect(Math.max(...last) / (24 * 60)).toBeLessThan(month.days);
    expect(Math.min(...month.doughs.flatMap(({ outputs }) => outputs.map(({ day }) => day)))).toBe(2);
  });

  it('is in the log: batches of four weeks are found, counted and judged, none of them twice', async () => {
    const found = await findBatches(house.pool, NOW, { from: NOW - 35 * DAY, to: NOW - 2 * DAY });
    expect(found).toHaveLength(60);
    expect(found.every(({ counted, mean }) => counted !== null && mean !== null)).toBe(true);
    const names = await rowsOf<{ name: string }>(house.pool, 'SELECT name FROM dough');
    expect(new Set(names.map(({ name }) => name)).size).toBe(names.length);
  });

  it('has every step that was begun in the plan of its dough, and nothing open', async () => {
    const doughs = await rowsOf<{ id: number }>(house.pool, 'SELECT id FROM dough ORDER BY id LIMIT 12');
    for (const { id } of doughs) {
      const dough = await doughById(house.pool, id);
      const keys = new Set(dough?.steps.map(({ key }) => key));
      expect(dough?.events.filter(({ stepKey }) => !keys.has(stepKey ?? ''))).toEqual([]);
      expect(dough?.finished).toBeLessThan(NOW);
    }
  });

  it('has taught what its events say, and nothing besides', async () => {
    const rows = await rowsOf<{ kind: string; eventKind: string }>(
      house.pool,
      'SELECT v.kind, e.kind AS eventKind FROM evidence v JOIN floor_event e ON e.id = v.event_id AND e.dough_id = v.dough_id',
    );
    expect(rows).toHaveLength(month.evidence.length);
    const right = { reference: 'verdict', bake: 'finish' } as Record<string, string>;
    expect(rows.filter(({ kind, eventKind }) => right[kind] !== eventKind)).toEqual([]);
  });
});

describe('keys of steps', () => {
  it('name outputs by their place in the file, and by their id in the house', () => {
    const outputs = [{ id: 7 }, { id: 71 }];
    for (const key of ['mix', '7.1.proof', '71.2.bake'])
      expect(withIds(withPlaces(key, outputs), [{ id: 1 }, { id: 12 }])).toBe(
        key.replace('71.', '12.').replace('7.', '1.'),
      );
  });
});
