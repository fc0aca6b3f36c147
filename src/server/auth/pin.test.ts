import { hash } from '@node-rs/argon2';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { inEnglish, say } from '../../../test-support/words';
import { coded } from '@/core/codes/coded';
import { freshDatabase } from '../../../test-support/house';
import { rowsOf, write } from '../db/rows';
import { forgetGuesses, waitAfter } from './guesses';
import { hashPin, pinFault, signIn } from './pin';

let house: Awaited<ReturnType<typeof freshDatabase>>;
let id: number;
const [BENCH, ELSEWHERE] = [1, 2];
const hire = async (name: string, pinHash: string, peppered = true) => {
  const row = await write(
    house.pool,
    "INSERT INTO person (name, role, team, pin_hash, pin_peppered) VALUES (?, 'baker', 'nights', ?, ?)",
    [name, pinHash, peppered],
  );
  return row.id;
};
beforeAll(async () => {
  house = await freshDatabase();
  id = await hire('Ida', await hashPin('2806'));
});
afterAll(() => house.close());

describe('PINs', () => {
  it('are kept as argon2id hashes with settings that are written down, each with its own salt', async () => {
    const [one, two] = await Promise.all([hashPin('2806'), hashPin('2806')]);
    expect(one).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    expect(one).not.toBe(two);
  });

  it('cannot be found out from the database alone: their hash needs the pepper', async () => {
    const { verify } = await import('@node-rs/argon2');
    expect(await verify(await hashPin('2806'), '2806')).toBe(false);
  });

  it('from before the pepper still count, and have it from the first right time on', async () => {
    const old = await hire('Selma', await hash('3317'), false);
    expect(await signIn(house.pool, BENCH, old, '3317')).toMatchObject({ person: { name: 'Selma' } });
    const [row] = await rowsOf<{ peppered: number }>(
      house.pool,
      'SELECT pin_peppered AS peppered FROM person WHERE id = ?',
      [old],
    );
    expect(row?.peppered).toBe(1);
    expect(await signIn(house.pool, BENCH, old, '3317')).toMatchObject({ person: { name: 'Selma' } });
  });

  it('have four digits at least, six for whoever plans, and eight at most', () => {
    expect([pinFault('123', 'baker'), pinFault('1234', 'baker')].map(Boolean)).toEqual([true, false]);
    expect([pinFault('12345', 'planner'), pinFault('123456', 'planner')].map(Boolean)).toEqual([true, false]);
    expect(inEnglish(pinFault('123456789', 'planner'))).toMatch(/6 to 8 digits/);
    expect(inEnglish(pinFault('12a4', 'helper'))).toMatch(/4 to 8 digits/);
  });
});

describe('signing in', () => {
  it('takes the right PIN and no other', async () => {
    expect(await signIn(house.pool, BENCH, id, '1111')).toEqual({
      refusal: coded('refusals.thatIsNotTheirPin', { name: 'Ida' }),
    });
    expect(await signIn(house.pool, BENCH, id, '2806')).toMatchObject({
      person: { name: 'Ida', role: 'baker' },
    });
    expect(await signIn(house.pool, BENCH, 999, '2806')).toEqual({
      refusal: coded('refusals.nobodyOfThatNameWorksHere'),
    });
  });

  it('checks five of three hundred guesses made at once, and lets none of them in', async () => {
    const guessed = await hire('Piet', await hashPin('0277'));
    const answers = await Promise.all(
      Array.from({ length: 300 }, (_, i) =>
        signIn(house.pool, BENCH, guessed, String(i).padStart(4, '0')).then((answer) =>
          'refusal' in answer ? say.coded(answer.refusal) : 'in',
        ),
      ),
    );
    expect(answers).toHaveLength(300);
    expect(answers).not.toContain('in');
    expect(answers.filter((words) => words === 'That is not Piet’s PIN.')).toHaveLength(5);
    expect(answers.filter((words) => /^Too many wrong PINs\. Try again in \d+ s/.test(words))).toHaveLength(
      295,
    );
  });

  it('makes nobody wait on a tablet for what was guessed on another', async () => {
    const guessed = await hire('Anton', await hashPin('5090'));
    await Promise.all(Array.from({ length: 12 }, () => signIn(house.pool, ELSEWHERE, guessed, '0000')));
    expect(await signIn(house.pool, ELSEWHERE, guessed, '5090')).toMatchObject({
      refusal: { code: 'refusals.tooManyWrongPINsTryAgain' },
    });
    expect(await signIn(house.pool, BENCH, guessed, '5090')).toMatchObject({ person: { name: 'Anton' } });
  });

  it('counts a tablet as well, so that it cannot go through everybody', async () => {
    const tablet = 7;
    const people = await Promise.all(
      Array.from({ length: 8 }, async (_, i) => hire(`Guessed ${i}`, await hashPin('4242'))),
    );
    const answers: string[] = [];
    for (const person of people)
      for (let i = 0; i < 5; i++) {
        const answer = await signIn(house.pool, tablet, person, '0000');
        answers.push('refusal' in answer ? say.coded(answer.refusal) : 'in');
      }
    expect(answers.filter((words) => words.startsWith('That is not'))).toHaveLength(20);
  });

  it('waits no longer when a planner has given a new PIN', async () => {
    const locked = await hire('Nele', await hashPin('1000'));
    for (let i = 0; i < 7; i++) await signIn(house.pool, BENCH + 20, locked, '0000');
    await write(house.pool, 'UPDATE person SET pin_hash = ? WHERE id = ?', [await hashPin('2000'), locked]);
    await forgetGuesses(house.pool, locked);
    expect(await signIn(house.pool, BENCH + 20, locked, '2000')).toMatchObject({ person: { name: 'Nele' } });
  });

  it('doubles the wait up to ten minutes', () => {
    expect([0, 4, 5, 6, 7, 20].map((tries) => waitAfter(tries, 5))).toEqual([0, 0, 10, 20, 40, 600]);
  });
});
