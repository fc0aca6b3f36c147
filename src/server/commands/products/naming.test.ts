import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../../test-support/demo-house';
import { ok, refusal } from '../../../../test-support/house';
import { calledIn } from '@/core/bakery/product-names';
import { rowOf } from '../../db/rows';
import { houseWordsIn } from '../../reader';
import { findByName } from '../../store/find';
import { named, namesOf } from '../../store/product-names';
import { runCommand } from '../run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let productId: number;
beforeAll(async () => {
  house = await demoHouse();
  const row = await rowOf<{ id: number }>(house.pool, "SELECT id FROM product WHERE name = 'Sugared bun'");
  productId = row?.id ?? 0;
});
afterAll(() => house.close());

const name = (names: object, who = 'Mara') =>
  runCommand('name-product', house.person(who), { id: productId, names });

describe('names of a product', () => {
  it('are kept by language, and everything is said by them', async () => {
    await ok(
      name({ fr: { one: ' Petit pain sucré ', many: 'Petits pains sucrés' }, de: { one: '', many: '' } }),
    );
    expect((await namesOf(house.pool, 'product', productId))?.names).toEqual({
      fr: { one: 'Petit pain sucré', many: 'Petits pains sucrés' },
    });
    const say = await houseWordsIn(house.pool, 'fr');
    expect(say.named('Sugared bun', 12)).toBe('Petits pains sucrés');
    expect((await houseWordsIn(house.pool, 'de')).named('Sugared bun', 12)).toBe('Sugared bun');
  });

  it('find the product, whatever is read', async () => {
    const found = await findByName(house.pool, house.now ? await house.now() : 0, 'pains sucr');
    expect(found.map(({ name: own }) => own)).toContain('Sugared bun');
  });

  it('of a renamed product stay with it', async () => {
    const called = calledIn(await named(house.pool), 'fr');
    expect(called.find(([own]) => own === 'Sugared bun')?.[1].many).toBe('Petits pains sucrés');
  });

  it('are taken back by leaving them empty', async () => {
    await ok(name({ fr: { one: '', many: '' } }));
    expect((await namesOf(house.pool, 'product', productId))?.names).toEqual({});
  });

  it('are refused where they cannot be names, and to who does not plan', async () => {
    expect((await refusal(name({ fr: { one: 'x'.repeat(61), many: '' } }))).field).toBe('names.fr.one');
    await refusal(name({ nl: { one: 'Suikerbroodje', many: '' } }));
    await refusal(name({ fr: { one: 7, many: '' } }));
    await refusal(name({ fr: { one: 'Petit pain', many: '' } }, 'Jonas'));
    await refusal(runCommand('name-product', house.person('Mara'), { id: 99_999, names: {} }));
  });
});

describe('names of a formula', () => {
  it('are kept, said and found like those of a product', async () => {
    const formula = await rowOf<{ id: number }>(
      house.pool,
      "SELECT id FROM formula WHERE name = 'Brioche dough'",
    );
    const id = formula?.id ?? 0;
    const called = { one: 'Pâte à brioche maison', many: '' };
    await ok(runCommand('name-formula', house.person('Mara'), { id, names: { fr: called } }));
    const say = await houseWordsIn(house.pool, 'fr');
    expect(say.named('Brioche dough')).toBe('Pâte à brioche maison');
    const found = await findByName(house.pool, house.now ? await house.now() : 0, 'brioche maison');
    expect(found).toMatchObject([{ kind: 'formula', name: 'Brioche dough' }]);
    await refusal(runCommand('name-formula', house.person('Jonas'), { id, names: {} }));
    await refusal(runCommand('name-formula', house.person('Mara'), { id: 99_999, names: {} }));
  });
});
