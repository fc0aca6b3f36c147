import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../test-support/demo-house';
import { ok, refusal } from '../../test-support/house';
import { wordsIn } from '@/words/compile';
import { LANGUAGES } from '@/words/message';
import { runCommand } from './commands/run';
import { spokenRecord } from './spoken';
import { houseBook } from './store/house-book';
import { houseRecord } from './store/house-record';
import { planHistory } from './store/plan-history';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
});
afterAll(() => house.close());

const order = { customer: 'Choir of the old town hall', productId: 1, pieces: 12, due: '2026-11-22T10:30' };

describe('what is kept', () => {
  it('is read by everybody in their own language, with days as that language writes them', async () => {
    const mara = house.person('Mara');
    await ok(runCommand('add-order', mara, { clientId: randomUUID(), ...order }));
    const record = await houseRecord(house.pool, mara);
    const subjects = LANGUAGES.map((language) => spokenRecord(wordsIn(language), record).changes[0]?.subject);
    expect(subjects).toEqual([
      'Bestellung von Choir of the old town hall, So 10:30',
      'order of Choir of the old town hall, Sun 10:30',
      'commande de Choir of the old town hall, dim. 10:30',
    ]);
  });

  it('of the plan says why it was changed, to whoever undoes it', async () => {
    const outputs = [{ productId: 1, pieces: 12, due: '2026-11-23T07:30', way: 'fresh' }];
    await ok(runCommand('add-dough', house.person('Mara'), { clientId: randomUUID(), outputs }));
    const { undo } = await planHistory(house.pool);
    const said = LANGUAGES.map((language) => wordsIn(language).coded(undo?.reason ?? ''));
    expect(said.map((words) => words.replace(/^\S+ \d+ /, ''))).toEqual(['hinzugefügt', 'added', 'ajouté']);
    const undone = await ok(runCommand('undo-plan', house.person('Mara'), {}, { language: 'fr' }));
    expect(undone).toEqual({ reason: expect.stringMatching(/ajouté$/) as string });
  });

  it('is refused in the language of whoever asked', async () => {
    const past = { clientId: randomUUID(), ...order, due: '2026-11-01T10:30' };
    const answer = await refusal(runCommand('add-order', house.person('Mara'), past, { language: 'de' }));
    expect(answer.message).toBe('So 10:30 ist vorbei.');
  });
});

describe('somebody’s language', () => {
  it('is their own to choose, or a planner’s to set, and none that there is no catalog of', async () => {
    const ida = house.person('Ida');
    const reads = async () =>
      (await houseBook(house.pool, await house.now())).people.find(({ id }) => id === ida.id);
    expect((await reads())?.language).toBeNull();
    await ok(runCommand('choose-language', ida, { language: 'fr' }));
    expect((await reads())?.language).toBe('fr');
    await refusal(runCommand('choose-language', ida, { language: 'nl' }));
    const known = {
      id: ida.id,
      name: 'Ida',
      role: 'baker',
      team: 'nights',
      pin: '',
      skills: [],
      active: true,
    };
    await ok(runCommand('save-person', house.person('Mara'), { ...known, language: 'de', sure: true }));
    expect((await reads())?.language).toBe('de');
  });
});
