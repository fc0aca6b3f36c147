import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { SKILLS, type Person, type Skill } from '@/core/bakery/people';
import { forgetGuesses } from '../../auth/guesses';
import { hashPin, pinFault } from '../../auth/pin';
import { endSessionsOf } from '../../auth/session';
import { rowsOf, write } from '../../db/rows';
import { command, Refusal } from '../command';
import { sure, unlessItHurts } from './unless-it-hurts';

interface PersonInput {
  id: number | null;
  name: string;
  role: Person['role'];
  team: string;
  pin: string;
  skills: Skill[];
  active: boolean;
  sure: boolean;
}

/** Somebody new, or what is known of somebody. An empty PIN leaves it as it is. Who leaves is kept in the log. */
export const savePerson = command<PersonInput, { hurts: number }>({
  name: 'save-person',
  schema: Joi.object({
    id: Joi.number().integer().positive().allow(null).required(),
    name: Joi.string()
      .trim()
      .min(1)
      .max(60)
      .required()
      .messages({
        '*': asText(coded('refusals.aPersonHasANameOf')),
      }),
    role: Joi.string().valid('planner', 'baker', 'helper', 'viewer').required(),
    team: Joi.string()
      .trim()
      .min(1)
      .max(40)
      .required()
      .messages({ '*': asText(coded('refusals.nameATeamSuchAsNights')) }),
    pin: Joi.string()
      .max(20)
      .allow('')
      .required()
      .messages({ '*': asText(coded('refusals.aPINHas4To8')) }),
    skills: Joi.array()
      .items(Joi.string().valid(...SKILLS))
      .unique()
      .required(),
    active: Joi.boolean().required(),
    sure,
  }),
  doughOf: () => null,
  async run(context, input) {
    const { db, person, audit } = context;
    const [twin] = await rowsOf<{ id: number }>(db, 'SELECT id FROM person WHERE name = ? AND id <> ?', [
      ...[input.name, input.id ?? 0],
    ]);
    if (twin) throw new Refusal(coded('refusals.thereIsAAlreadyAddLetter', { name: input.name }), 'name');
    if (input.id === null && input.pin === '')
      throw new Refusal(coded('refusals.somebodyNewNeedsAPIN'), 'pin');
    const fault = input.pin === '' ? null : pinFault(input.pin, input.role);
    if (fault) throw new Refusal(fault, 'pin');
    const before = input.id === null ? null : await known(db, input.id);
    if (before && before.role !== 'planner' && input.role === 'planner' && input.pin === '')
      throw new Refusal(
        coded('refusals.giveANewOne', { pinFault: pinFault('', 'planner') ?? '', name: input.name }),
        'pin',
      );
    if (input.id === person.id && (!input.active || input.role !== 'planner'))
      throw new Refusal(coded('refusals.youCannotTakeYourOwnRights'), 'role');
    return unlessItHurts(context, input.sure, async () => {
      const of = input.id ?? (await newPerson(db, input));
      await write(db, 'UPDATE person SET name = ?, role = ?, team = ?, active = ? WHERE id = ?', [
        ...[input.name, input.role, input.team, input.active, of],
      ]);
      if (input.pin !== '') await givePin(db, of, input.pin);
      await write(db, 'DELETE FROM person_skill WHERE person_id = ?', [of]);
      if (input.skills.length > 0)
        await write(db, 'INSERT INTO person_skill (person_id, skill) VALUES ?', [
          input.skills.map((skill) => [of, skill]),
        ]);
      // Whoever has another PIN, other rights or none is asked anew, on every tablet.
      if (input.pin !== '' || before?.role !== input.role || !input.active) await endSessionsOf(db, of);
      if (!input.active)
        await write(db, 'DELETE FROM calendar_address WHERE ? IN (person_id, made_by)', [of]);
      const { name, role, team, active, skills } = input;
      await audit(`person ${name}`, before, { name, role, team, active, skills: [...skills].sort() });
      if (input.pin !== '') await audit(`PIN of ${name}`, null, { given: true });
    });
  },
});

type Known = Pick<PersonInput, 'name' | 'role' | 'team' | 'active' | 'skills'>;

async function known(db: PoolConnection, id: number): Promise<Known> {
  const [row] = await rowsOf<Omit<Known, 'active' | 'skills'> & { active: number; skills: string | null }>(
    db,
    `SELECT name, role, team, active,
       (SELECT GROUP_CONCAT(skill ORDER BY CONCAT(skill)) FROM person_skill WHERE person_id = person.id) AS skills
     FROM person WHERE id = ? FOR UPDATE`,
    [id],
  );
  if (!row) throw new Refusal(coded('refusals.nobodyOfThatNumberWorksHere'), 'id');
  const { active, skills, ...rest } = row;
  return { ...rest, active: active === 1, skills: (skills?.split(',') ?? []) as Skill[] };
}

/** A new PIN takes the wait after wrong ones along. */
async function givePin(db: PoolConnection, id: number, pin: string): Promise<void> {
  await write(db, 'UPDATE person SET pin_hash = ?, pin_peppered = TRUE WHERE id = ?', [
    await hashPin(pin),
    id,
  ]);
  await forgetGuesses(db, id);
}

async function newPerson(db: PoolConnection, { name, role, team, pin }: PersonInput): Promise<number> {
  const { id: made } = await write(
    db,
    'INSERT INTO person (name, role, team, pin_hash, pin_peppered) VALUES (?, ?, ?, ?, TRUE)',
    [...[name, role, team, await hashPin(pin)]],
  );
  return made;
}
