import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '@/core/bakery/people';
import type { SetUpFile } from '@/core/exchange/set-up-file';
import { SET_UP_PARTS } from '@/core/exchange/set-up-parts';
import { demoHouse } from '../../../../test-support/demo-house';
import { freshDatabase, ok, refusal } from '../../../../test-support/house';
import { openBakery } from '../../setup/open-house';
import { setUpFile } from '../../set-up-out';
import { previewSetUp } from '../../set-up-preview';
import { people } from '../../store/house';
import { runCommand } from '../run';
import { publishedSetUpSchema } from './set-up-schema';

let demo: Awaited<ReturnType<typeof demoHouse>>;
let other: Awaited<ReturnType<typeof freshDatabase>>;
let nora: Person;
let file: SetUpFile;

beforeAll(async () => {
  demo = await demoHouse();
  const mara = demo.person('Mara');
  await ok(
    runCommand('save-machine', mara, {
      ...{ id: '', kind: 'oven', label: 'Small oven', capacity: 3, changeover: 10 },
      details: { fan: true, correction: 4 },
    }),
  );
  await ok(runCommand('set-value', mara, { name: 'benchLength', value: 180 }));
  file = await setUpFile(demo.pool);
  other = await freshDatabase();
  const house = { name: 'Corner bakery', zone: 'Europe/Berlin', planner: 'Nora', pin: '735190' };
  const id = await openBakery(other.pool, house);
  nora = { id, name: 'Nora', role: 'planner', team: 'plan' };
}, 240_000);
afterAll(async () => {
  await other.close();
  await demo.close();
});

describe('the set-up of a bakery as a file', () => {
  it('has the published form', () => {
    const published: unknown = JSON.parse(readFileSync('public/schemas/set-up.schema.json', 'utf8'));
    expect(published).toEqual(JSON.parse(JSON.stringify(publishedSetUpSchema())));
  });

  it('has everything that a bakery is, and no secret', () => {
    expect(file.machines.map(({ label }) => label)).toContain('Small oven');
    expect(file.people.map(({ name }) => name)).toEqual(expect.arrayContaining(['Mara', 'Jonas', 'Piet']));
    expect(file.values).toEqual({ benchLength: 180 });
    expect(file.products).toHaveLength(11);
    expect(JSON.stringify(file)).not.toMatch(/"pin"|"pinHash|"token|471147/);
  });
});

describe('taking a set-up over', () => {
  const take = (parts: readonly string[], text = JSON.stringify(file)) =>
    runCommand('take-set-up', nora, { text, parts });

  it('says first what it would bring', async () => {
    const preview = await previewSetUp(other.pool, JSON.stringify(file));
    expect(preview.brings.machines).toContain('Small oven');
    expect(preview.brings.people).toContain('Jonas');
    expect(preview.brings.products).toContain('Raisin snail');
    expect(preview.values).toEqual([{ name: 'benchLength', was: 200, becomes: 180 }]);
    expect((await people(other.pool)).map(({ name }) => name)).toEqual(['Nora']);
  });

  it('brings another house what was asked for, which is the same in a file again', async () => {
    await ok(take(SET_UP_PARTS));
    const own = await setUpFile(other.pool);
    expect(own.machines).toEqual(file.machines);
    expect(own.products).toEqual(file.products);
    expect(own.formulas).toEqual(file.formulas);
    expect(own.values).toEqual(file.values);
    expect(own.people.filter(({ name }) => name !== 'Nora')).toEqual(file.people);
    // Once more it brings nothing.
    const again = await previewSetUp(other.pool, JSON.stringify(file));
    expect(Object.values(again.brings).flat()).toEqual([]);
    await ok(take(SET_UP_PARTS));
    expect((await setUpFile(other.pool)).machines).toEqual(file.machines);
  });

  it.each<[string, () => unknown, RegExp]>([
    ['no JSON', () => '{\n "format": \n', /line 3|line 2/],
    ['a file of products', () => ({ format: 'hefeteig-products/2' }), /must begin with the format/],
    ['another version', () => ({ ...file, format: 'hefeteig-set-up/9' }), /must begin with the format/],
    [
      'a machine of nothing',
      () => ({ ...file, machines: [{ ...file.machines[0], capacity: 0 }] }),
      /^Line \d+ of the file cannot be read: machines\.0\.capacity/,
    ],
    [
      'two people of one name',
      () => ({ ...file, people: [...file.people, file.people[0]] }),
      /have the same name/,
    ],
    [
      'a value that is too much',
      () => ({ ...file, values: { benchLength: -4 } }),
      /^Line \d+ of the file cannot be read: values\.benchLength/,
    ],
    [
      'a product that is on no shelf',
      () => ({ ...file, beginnings: ['Moon roll'] }),
      /not among the templates/,
    ],
  ])('refuses %s in a sentence, and keeps nothing of it', async (_, change, words) => {
    const made = change();
    const before = await setUpFile(other.pool);
    const text = typeof made === 'string' ? made : JSON.stringify(made);
    expect((await refusal(take(SET_UP_PARTS, text))).message).toMatch(words);
    expect(await setUpFile(other.pool)).toEqual(before);
  });
});
