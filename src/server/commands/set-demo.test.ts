import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import { write } from '../db/rows';
import { demoWishes } from '../store/demo-wishes';
import { troublesNow } from '../store/exceptions';
import { tellTime } from '../intake/readings';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
});
afterAll(() => house.close());

const ask = (input: object) => runCommand('set-demo', house.person('Jonas'), input);
const wishes = async () => demoWishes(house.pool, await house.now());
const time = async () => {
  const request = new Request('http://127.0.0.1/api/intake/readings', {
    headers: { authorization: 'Bearer lindenried-probes' },
  });
  return ((await (await tellTime(request)).json()) as { result: object }).result;
};

describe('a visitor of the demo', () => {
  it('lets its bakers work, or not', async () => {
    expect(await wishes()).toEqual({ crew: true, door: null });
    await ok(ask({ crew: false }));
    expect(await wishes()).toEqual({ crew: false, door: null });
    await ok(ask({ crew: true }));
  });

  it('breaks its oven and a person’s day, as bakers report it, and not twice', async () => {
    await ok(ask({ breaks: 'oven' }));
    await ok(ask({ breaks: 'person' }));
    const troubles = await troublesNow(house.pool, await house.now());
    expect(troubles.filter(({ machineId }) => machineId === 'oven')).toHaveLength(1);
    // Ida is there at the time; Jonas asks himself.
    expect(troubles.map(({ personId }) => personId)).toContain(house.person('Ida').id);
    expect((await refusal(ask({ breaks: 'oven' }))).message).toMatch(/already reported/);
  });

  it('leaves a door open for a while, which the probes are told', async () => {
    expect(await time()).not.toHaveProperty('door');
    await ok(ask({ breaks: 'door' }));
    expect(await time()).toMatchObject({ door: { place: 'retarder' } });
    await house.later(61);
    expect(await time()).not.toHaveProperty('door');
  });

  it('can break nothing else, and nothing in a real bakery', async () => {
    expect((await refusal(ask({ breaks: 'roof' }))).message).toMatch(/The demo can/);
    expect((await refusal(ask({}))).message).toMatch(/The demo can/);
    await write(house.pool, 'DELETE FROM demo_clock', []);
    expect((await refusal(ask({ crew: false }))).message).toBe('This is not the demo bakery.');
  });
});
