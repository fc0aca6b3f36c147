import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '@/core/bakery/people';
import { METRIC } from '@/core/units/reader';
import { demoHouse } from '../../../../test-support/demo-house';
import { ok, refusal } from '../../../../test-support/house';
import { house } from '../../store/house';
import { orderBook } from '../../store/orders';
import { runCommand } from '../run';

let demo: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;

beforeAll(async () => {
  demo = await demoHouse();
  mara = demo.person('Mara');
}, 120_000);
afterAll(() => demo.close());

describe('the house', () => {
  it('is called, is where, and writes as its planner says; what was not said stays', async () => {
    await ok(runCommand('save-house', mara, { name: 'Backhaus am Markt' }));
    const units = { ...METRIC, temperature: 'F', length: 'in' };
    await ok(runCommand('save-house', mara, { units }));
    expect(await house(demo.pool)).toMatchObject({ name: 'Backhaus am Markt', zone: 'Europe/Berlin', units });
  });

  it('keeps the allergens apart that it names, in what is proposed at once', async () => {
    const apartOf = async () => (await orderBook(demo.pool, await demo.now())).making.apart;
    expect(await apartOf()).toEqual(['nuts', 'peanut']);
    await ok(runCommand('save-house', mara, { apart: ['sesame'] }));
    expect(await apartOf()).toEqual(['sesame']);
  });

  it.each([
    [{ name: ' ' }, /name/],
    [{ zone: 'Moon/Base' }, /time zone/i],
    [{ apart: ['moon dust'] }, /./],
    [{ units: { mass: 'stones' } }, /./],
  ])('refuses %j', async (part, words) => {
    expect((await refusal(runCommand('save-house', mara, part))).message).toMatch(words);
  });
});
