import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { type Person, type Skill, SKILLS } from '@/core/bakery/people';
import { LANGUAGES, type Language } from '@/words/message';
import { forgetGuesses } from '../../auth/guesses';
import { hashPin, pinFault } from '../../auth/pin';
import { endSessionsOf } from '../../auth/session';
import { command, Refusal } from '../command';
import { sure, unlessItHurts } from './unless-it-hurts';
import {
  changePerson,
  insertPerson,
  insertSkills,
  othersCalled,
  personBefore,
  removeSkills,
  setLanguage,
  setPin,
} from '../../store/people';
import { removeAddressesWith } from '../../store/calendar-addresses';

interface PersonInput {
  id: number | null;
  name: string;
  role: Person['role'];
  team: string;
  pin: string;
  skills: Skill[];
  /** What they read; null: what the tablet reads. */
  language: Language | null;
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
    language: Joi.string()
      .valid(...LANGUAGES)
      .allow(null)
      .default(null),
    active: Joi.boolean().required(),
    sure,
  }),
  doughOf: () => null,
  async run(context, input) {
    const { db, person, audit } = context;
    const twin = await othersCalled(db, input.name, input.id);
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
      await changePerson(db, of, input);
      if (input.pin !== '') await givePin(db, of, input.pin);
      await setLanguage(db, of, input.language);
      await removeSkills(db, of);
      if (input.skills.length > 0) await insertSkills(db, of, input.skills);
      // Whoever has another PIN, other rights or none is asked anew, on every tablet.
      if (input.pin !== '' || before?.role !== input.role || !input.active) await endSessionsOf(db, of);
      if (!input.active) await removeAddressesWith(db, of);
      const { name, role, team, active, skills, language } = input;
      await audit(coded('record.person', { name }), before, {
        name,
        role,
        team,
        active,
        language,
        skills: [...skills].sort(),
      });
      if (input.pin !== '') await audit(coded('common.pINOf', { name }), null, { given: true });
    });
  },
});

type Known = Pick<PersonInput, 'name' | 'role' | 'team' | 'language' | 'active' | 'skills'>;

async function known(db: PoolConnection, id: number): Promise<Known> {
  const row = await personBefore(db, id);
  if (!row) throw new Refusal(coded('refusals.nobodyOfThatNumberWorksHere'), 'id');
  const { active, skills, ...rest } = row;
  return { ...rest, active: active === 1, skills: (skills?.split(',') ?? []) as Skill[] };
}

/** A new PIN takes the wait after wrong ones along. */
async function givePin(db: PoolConnection, id: number, pin: string): Promise<void> {
  await setPin(db, await hashPin(pin), id);
  await forgetGuesses(db, id);
}

async function newPerson(db: PoolConnection, { name, role, team, pin }: PersonInput): Promise<number> {
  const { id: made } = await insertPerson(db, { name, role, team, hash: await hashPin(pin) });
  return made;
}
