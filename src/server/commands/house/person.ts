import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import type { Person } from '@/core/floor/board';
import { SKILLS, type Skill } from '@/core/floor/skills';
import { hashPin } from '../../auth/pin';
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
    name: Joi.string().trim().min(1).max(60).required().messages({
      '*': 'A person has a name of 1 to 60 characters.',
    }),
    role: Joi.string().valid('planner', 'baker', 'helper', 'viewer').required(),
    team: Joi.string().trim().min(1).max(40).required().messages({ '*': 'Name a team, such as nights.' }),
    pin: Joi.string()
      .pattern(/^\d{4,8}$/)
      .allow('')
      .required()
      .messages({ '*': 'A PIN is 4 to 8 digits.' }),
    skills: Joi.array()
      .items(Joi.string().valid(...SKILLS))
      .unique()
      .required(),
    active: Joi.boolean().required(),
    sure,
  }),
  roles: ['planner'],
  doughOf: () => null,
  async run(context, input) {
    const { db, person } = context;
    const [twin] = await rowsOf<{ id: number }>(db, 'SELECT id FROM person WHERE name = ? AND id <> ?', [
      ...[input.name, input.id ?? 0],
    ]);
    if (twin) throw new Refusal(`There is a ${input.name} already; add a letter or a second name.`, 'name');
    if (input.id === null && input.pin === '') throw new Refusal('Somebody new needs a PIN.', 'pin');
    if (input.id === person.id && (!input.active || input.role !== 'planner'))
      throw new Refusal('You cannot take your own rights away; another planner can.', 'role');
    return unlessItHurts(context, input.sure, async () => {
      const of = input.id ?? (await newPerson(db, input));
      await write(db, 'UPDATE person SET name = ?, role = ?, team = ?, active = ? WHERE id = ?', [
        ...[input.name, input.role, input.team, input.active, of],
      ]);
      if (input.pin !== '')
        await write(db, 'UPDATE person SET pin_hash = ? WHERE id = ?', [await hashPin(input.pin), of]);
      await write(db, 'DELETE FROM person_skill WHERE person_id = ?', [of]);
      if (input.skills.length > 0)
        await write(db, 'INSERT INTO person_skill (person_id, skill) VALUES ?', [
          input.skills.map((skill) => [of, skill]),
        ]);
    });
  },
});

async function newPerson(db: PoolConnection, { name, role, team, pin }: PersonInput): Promise<number> {
  const { id: made } = await write(
    db,
    'INSERT INTO person (name, role, team, pin_hash) VALUES (?, ?, ?, ?)',
    [...[name, role, team, await hashPin(pin)]],
  );
  return made;
}
