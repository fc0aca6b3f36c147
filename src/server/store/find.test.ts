import { afterAll, beforeAll, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { houseNow } from './clock';
import { findByName } from './find';
import { FLOOR_DAYS, sharedBoard } from './shared-board';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
});
afterAll(() => house.close());

const find = async (text: string) => {
  const found = await findByName(house.pool, await houseNow(house.pool), text);
  return found.map(({ kind, name, href }) => ({ kind, name, href }));
};

it('open doughs lead to their work, finished ones to their record', async () => {
  const now = await houseNow(house.pool);
  const { doughs } = await sharedBoard(house.pool, now, FLOOR_DAYS);
  const open = doughs.find(({ finished }) => finished === undefined);
  const over = doughs.find(({ finished }) => finished !== undefined);
  expect(await find(open?.name ?? '')).toContainEqual({
    ...{ kind: 'dough', name: open?.name, href: `/dough/${open?.id}` },
  });
  expect(await find(over?.name ?? '')).toContainEqual({
    ...{ kind: 'batch', name: over?.name, href: `/batch/${over?.id}` },
  });
});

it('products, formulas, people and customers are found by a part of their names', async () => {
  expect((await find('utter cresc')).some(({ kind }) => kind === 'product')).toBe(true);
  expect((await find('crescent dough')).some(({ kind }) => kind === 'formula')).toBe(true);
  expect(await find('jonas')).toEqual([{ kind: 'person', name: 'Jonas', href: '/plan?rows=person' }]);
});

it.each(['%', '_', '\\', "'; DROP TABLE dough; --", 'zzzz'])(
  '%s is looked for as it is typed',
  async (text) => {
    expect(await find(text)).toEqual([]);
  },
);

it('nothing typed finds nothing', async () => {
  expect(await find('   ')).toEqual([]);
});
