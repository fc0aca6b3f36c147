import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '@/core/bakery/people';
import { demoHouse } from '../../../../test-support/demo-house';
import { ok, refusal } from '../../../../test-support/house';
import { deviceOf } from '../../intake/device';
import { houseBook } from '../../store/house-book';
import { places } from '../../store/places';
import { runCommand } from '../run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;

beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas] = [house.person('Mara'), house.person('Jonas')];
}, 120_000);
afterAll(() => house.close());

const book = async () => houseBook(house.pool, await house.now());
const CELLAR = {
  ...{ id: '', label: 'Cellar', kind: 'room', purpose: 'dough', inDough: false },
  ...{ usual: 14, lowest: 2, highest: 30 },
};

describe('places', () => {
  it('are added, changed and taken out of use by a planner; nobody else', async () => {
    const { id } = await ok<{ id: string }>(runCommand('save-place', mara, CELLAR));
    expect((await places(house.pool, await house.now())).find((one) => one.id === id)).toMatchObject({
      ...{ label: 'Cellar', usual: 14, kind: 'room' },
    });
    await ok(runCommand('save-place', mara, { ...CELLAR, id, label: 'Cool cellar', usual: 12 }));
    expect((await book()).places.find((one) => one.id === id)).toMatchObject({
      label: 'Cool cellar',
      usual: 12,
    });
    await ok(runCommand('remove-place', mara, { id }));
    expect((await book()).places.map(({ label }) => label)).not.toContain('Cool cellar');
    // A name that is free again, and an id that is not.
    const again = await ok<{ id: string }>(runCommand('save-place', mara, CELLAR));
    expect(again.id).not.toBe(id);
    expect((await refusal(runCommand('save-place', jonas, CELLAR))).message).toMatch(/planner/);
  });

  it.each<[string, object, RegExp]>([
    ['of a name that is there', { label: 'Bakery' }, /already a place called Bakery/],
    ['without a name', { label: ' ' }, /name of 1 to 60/],
    ['of −200 °C', { usual: -200 }, /Enter -60 °C to 350 °C/],
    ['warm in words', { usual: 'warm' }, /Enter -60 °C to 350 °C/],
    ['usually what it never is', { usual: 40 }, /must be between the lowest and the highest/],
    ['that nobody knows', { id: 'moon' }, /place does not exist/],
  ])('%s are refused in a sentence', async (_, part, words) => {
    expect(
      (await refusal(runCommand('save-place', mara, { ...CELLAR, label: 'Attic', ...part }))).message,
    ).toMatch(words);
  });

  it('inside a machine stay what the machine is, and go with it', async () => {
    const inside = (await book()).places.find(({ machine }) => machine === 'Proofer');
    if (!inside) throw new Error('The demo has a proofer.');
    const { machine, ...input } = inside;
    expect(machine).toBe('Proofer');
    await ok(runCommand('save-place', mara, { ...input, kind: 'room', usual: 27 }));
    expect((await book()).places.find(({ id }) => id === inside.id)).toMatchObject({
      kind: 'proofer',
      usual: 27,
    });
    expect((await refusal(runCommand('remove-place', mara, { id: inside.id }))).message).toMatch(
      /inside of Proofer/,
    );
  });
});

describe('probes and scales', () => {
  const asks = (token: string) =>
    deviceOf(
      house.pool,
      new Request('http://localhost', { headers: { authorization: `Bearer ${token}` } }),
      'probes',
    );

  it('send from when their token was made until it is withdrawn', async () => {
    const input = { kind: 'probes', label: 'Cold room gateway' };
    const { token } = await ok<{ token: string }>(runCommand('make-sender', mara, input));
    expect(await asks(token)).not.toBeNull();
    expect((await refusal(runCommand('make-sender', mara, input))).message).toMatch(
      /called Cold room gateway/,
    );
    const own = (await book()).senders.find(({ label }) => label === input.label);
    await ok(runCommand('withdraw-sender', mara, { id: own?.id }));
    expect(await asks(token)).toBeNull();
    expect((await refusal(runCommand('withdraw-sender', mara, { id: own?.id }))).message).toMatch(/already/);
    expect((await refusal(runCommand('make-sender', jonas, input))).message).toMatch(/planner/);
  });
});
