import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { crewDays, type CrewDays } from '../test-support/crew-days';
import { PEOPLE } from '@/server/demo/bakery';
import { stateOf } from '@/core/record/dough';

const idOf = (name: string) => 1 + PEOPLE.findIndex((person) => person.name === name);
const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-crew-'));
let day: CrewDays;

beforeAll(async () => {
  day = await crewDays(1, { build: 'build/test', log: join(scratch, 'application.log') });
}, 900_000);
afterAll(() => rmSync(scratch, { recursive: true, force: true }));

describe('a day in which only the simulated crew works', () => {
  it('passes without an error, and without a tap that the house refuses', () => {
    expect(day.errors).toEqual([]);
    const refused = day.acts.filter(
      ({ what, refused: why }) => why !== null && !what.startsWith('take-alarm'),
    );
    expect(refused).toEqual([]);
  });

  it('is worked as planned: what was due is baked and counted, all of it by who was there', () => {
    const over = day.doughs.filter((dough) => stateOf(dough).finished);
    expect(over.length).toBeGreaterThanOrEqual(2);
    for (const dough of over) {
      const counted = dough.events.filter(({ kind }) => kind === 'count');
      expect([dough.name, counted.length]).not.toEqual([dough.name, 0]);
    }
    expect(new Set(day.acts.map(({ personId }) => personId)).size).toBeGreaterThanOrEqual(4);
    for (const kind of [
      'temperature',
      'verdict',
      'alive',
      'turn',
      'count',
      'marks',
      'deck',
      'take-alarm',
      'write-handover',
      'sign-handover',
    ])
      expect([kind, day.acts.some(({ what }) => what.includes(kind))]).toEqual([kind, true]);
  });

  it('is planned ahead by the planner: what is ordered for the next days has its dough', () => {
    expect(day.acts.filter(({ what }) => what.startsWith('add-dough')).length).toBeGreaterThan(0);
  });

  it('leaves the application no larger than it was after its first looks', () => {
    expect(day.memory.at(-1)).toBeLessThan(900);
  });
});

describe('hours in which a visitor has taken somebody’s place', () => {
  it('leave that person’s work to the visitor, while the others go on', async () => {
    const log = join(scratch, 'visited.log');
    const { acts, errors } = await crewDays(3 / 24, { build: 'build/test', log, visitor: 'Ida' });
    expect(errors).toEqual([]);
    const byIda = acts.filter(({ personId }) => personId === idOf('Ida'));
    expect(byIda).toEqual([]);
    expect(acts.some(({ personId, what }) => personId === idOf('Jonas') && what.includes('start'))).toBe(
      true,
    );
  }, 300_000);
});
