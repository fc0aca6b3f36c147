import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../test-support/house';
import { write } from '../db/rows';
import { hashPin, signIn, waitAfter } from './pin';

let house: Awaited<ReturnType<typeof freshDatabase>>;
let id: number;
beforeAll(async () => {
  house = await freshDatabase();
  const row = await write(
    house.pool,
    "INSERT INTO person (name, role, team, pin_hash) VALUES ('Ida', 'baker', 'nights', ?)",
    [await hashPin('2806')],
  );
  id = row.id;
});
afterAll(() => house.close());

describe('signing in', () => {
  it('keeps PINs as argon2 hashes, each with its own salt', async () => {
    const [one, two] = await Promise.all([hashPin('2806'), hashPin('2806')]);
    expect(one).toMatch(/^\$argon2id\$/);
    expect(one).not.toBe(two);
  });

  it('takes the right PIN and no other', async () => {
    expect(await signIn(house.pool, id, '1111')).toEqual({ refusal: 'That is not Ida’s PIN.' });
    expect(await signIn(house.pool, id, '2806')).toMatchObject({ person: { name: 'Ida', role: 'baker' } });
    expect(await signIn(house.pool, 999, '2806')).toEqual({ refusal: 'Nobody of that name works here.' });
  });

  it('makes everybody wait after five wrong PINs, also with the right one, also when tried all at once', async () => {
    const tries = await Promise.all(Array.from({ length: 12 }, () => signIn(house.pool, id, '0000')));
    expect(tries.every((answer) => 'refusal' in answer)).toBe(true);
    expect(await signIn(house.pool, id, '2806')).toMatchObject({
      refusal: expect.stringMatching(/Try again in \d+ s/) as string,
    });
  });

  it('checks a handful of a thousand guesses, and lets none of them in, the right one among them', async () => {
    const row = await write(
      house.pool,
      "INSERT INTO person (name, role, team, pin_hash) VALUES ('Piet', 'baker', 'mixing', ?)",
      [await hashPin('0777')],
    );
    const said: string[] = [];
    for (let first = 0; first < 1000; first += 20) {
      const guesses = Array.from({ length: 20 }, (_, i) => String(first + i).padStart(4, '0'));
      const answers = await Promise.all(guesses.map((pin) => signIn(house.pool, row.id, pin)));
      said.push(...answers.map((answer) => ('refusal' in answer ? answer.refusal : 'in')));
    }
    expect(said).toHaveLength(1000);
    expect(said).not.toContain('in');
    expect(said.filter((words) => words === 'That is not Piet’s PIN.').length).toBeLessThanOrEqual(20);
    expect(said.at(-1)).toMatch(/Too many wrong PINs\. Try again in \d+ s/);
  });

  it('doubles the wait up to ten minutes', () => {
    expect([0, 4, 5, 6, 7, 20].map(waitAfter)).toEqual([0, 0, 10, 20, 40, 600]);
  });
});
