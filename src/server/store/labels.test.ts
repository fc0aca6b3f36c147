import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { ok } from '../../../test-support/house';
import { addLocalDays, formatLocal } from '@/core/time/local';
import { runCommand } from '../commands/run';
import { doughById } from './doughs';
import { labelsOf } from './labels';
import { mixSheet } from './mix';
import { currentProducts } from './products';

let house: Awaited<ReturnType<typeof demoHouse>>;
let now: number;
beforeAll(async () => {
  house = await demoHouse();
  now = await house.now();
}, 240_000);
afterAll(() => house.close());

const DAY = 86_400_000;
async function added(...outputs: { product: string; pieces: number; way?: string }[]) {
  const products = await currentProducts(house.pool);
  const due = `${formatLocal(addLocalDays(now, 3, 'Europe/Berlin'), 'Europe/Berlin').slice(0, 10)}T15:00`;
  const { id } = await ok<{ id: number }>(
    runCommand('add-dough', house.person('Mara'), {
      clientId: randomUUID(),
      outputs: outputs.map(({ product, ...more }) => ({
        ...{ productId: products.find(({ name }) => name === product)?.productId, due },
        ...more,
      })),
    }),
  );
  return id;
}
const labelsOfDough = async (id: number) => {
  const dough = await doughById(house.pool, id);
  if (!dough) throw new Error('It is planned.');
  return labelsOf(house.pool, dough);
};

describe('the labels of a dough', () => {
  it('list what is in the goods by weight, with what fills and brushes them; kept dough has neither', async () => {
    const id = await added(
      { product: 'Poppy danish', pieces: 36 },
      { product: 'Poppy danish', pieces: 24, way: 'dough-to-freezer' },
    );
    const [danish, dough] = await labelsOfDough(id);
    const names = (label: typeof danish) => label?.ingredients.map(({ name }) => name.toLowerCase()) ?? [];
    expect(names(danish)[0]).toBe('wheat flour');
    expect(names(danish)).toEqual(expect.arrayContaining(['poppy seed', 'egg']));
    expect(names(dough)).not.toContain('poppy seed');
    const grams = danish?.ingredients.map((one) => one.grams) ?? [];
    expect(grams).toEqual([...grams].sort((a, b) => b - a));
    expect(danish?.contains).toEqual(expect.arrayContaining(['gluten', 'egg', 'milk']));
    expect([danish?.kept, danish?.isMade]).toEqual([null, false]);
    expect(dough?.kept).toBe('frozen-dough');
    expect(dough && dough.bestBefore - dough.madeAt).toBe(21 * DAY);
  });

  it('name what is put on, and not the cut or the bend that tells kinds apart', async () => {
    const id = await added(
      { product: 'Butter crescent', pieces: 30 },
      { product: 'Chocolate roll', pieces: 20 },
      { product: 'Raisin snail', pieces: 20 },
    );
    const [crescent, roll, snail] = (await labelsOfDough(id)).map((one) =>
      one.ingredients.map(({ name }) => name.toLowerCase()),
    );
    expect(crescent).not.toContain('plain, tips bent in');
    expect(roll).not.toContain('two slits across');
    expect(roll).toContain('chocolate sticks');
    expect(snail).toContain('almond flakes');
  });

  it('follow what was taken instead while it was mixed', async () => {
    const id = await added({ product: 'Butter crescent', pieces: 30 });
    const dough = await doughById(house.pool, id);
    const sheet = dough && (await mixSheet(house.pool, dough));
    const at = sheet?.whole.stages.flatMap(({ kind, lines }, stage) =>
      lines.flatMap(({ ingredient }, line) =>
        kind === 'dough' && ingredient === 'milk' ? [`${stage}.${line}`] : [],
      ),
    )[0];
    expect(at).toBeDefined();
    const milkIn = async () =>
      (await labelsOfDough(id))[0]?.ingredients.find(({ name }) => name.toLowerCase() === 'milk')?.grams ?? 0;
    const before = await milkIn();
    expect(before).toBeGreaterThan(0);
    await ok(
      runCommand('record-event', house.person('Mara'), {
        ...{ id: randomUUID(), doughId: id, stepKey: 'mix', kind: 'mix' },
        data: { kind: 'swapped', line: at, ingredient: 'water' },
      }),
    );
    expect(await milkIn()).toBeLessThan(before);
  });
});
