import { randomBytes } from 'node:crypto';
import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { clashSentence } from '@/core/floor/supposed';
import type { WholePlan } from '@/core/floor/whole-plan';
import { clashes, type Clash } from '@/core/planning/clashes';
import { SKILLS, type Skill } from '@/core/floor/skills';
import { clockOfDay, dayTime, parseLocal } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { hashPin } from '../auth/pin';
import { tokenHash } from '../auth/token';
import { rowsOf, write } from '../db/rows';
import { house, machinePools } from '../queries/house';
import { readWholePlan } from '../queries/whole-problem';
import { command, Refusal, type CommandContext } from './command';
import { lockPlan } from './plan-version';
import { localTime } from './schemas';

const id = Joi.number().integer().positive().required().messages({ '*': 'Name a person or an entry.' });
const note = Joi.string().trim().allow('').max(200).default('');
/** Said once more, though the plan is hurt by it. */
const sure = Joi.boolean().default(false);

/** Hurts that are told one by one. */
const TOLD = 3;

/** Where hands or machines are short in the plan as the house is now, from now on. */
async function shortages(db: PoolConnection, now: number): Promise<{ clashes: Clash[]; whole: WholePlan }> {
  const whole = await readWholePlan(db, now);
  const { problem, present } = whole;
  return {
    whole,
    clashes: clashes(problem, present).filter((clash) => 'resource' in clash && clash.to > problem.now),
  };
}

/** Whether a shortage was there before, as bad at least. */
function wasThere(clash: Clash, before: readonly Clash[]): boolean {
  return before.some(
    (other) =>
      'resource' in clash &&
      'resource' in other &&
      clash.resource === other.resource &&
      clash.rule === other.rule &&
      clash.from < other.to &&
      other.from < clash.to &&
      (clash.rule !== 'too-much' || (other.rule === 'too-much' && clash.over <= other.over)),
  );
}

/** Makes a change of the house; where it hurts the plan that stands, it says so first, unless somebody is sure. */
async function unlessItHurts(
  { db, now }: CommandContext,
  isSure: boolean,
  change: () => Promise<void>,
): Promise<{ hurts: number }> {
  await lockPlan(db);
  const before = await shortages(db, now);
  await change();
  const { clashes: after, whole } = await shortages(db, now);
  const hurts = after.filter((clash) => !wasThere(clash, before.clashes));
  if (hurts.length > 0 && !isSure) {
    const machines = await machinePools(db, now, now);
    const told = hurts.slice(0, TOLD).map((clash) => clashSentence(whole, machines, clash));
    const more = hurts.length > TOLD ? `, and ${hurts.length - TOLD} more` : '';
    throw new Refusal(`The plan would be hurt: ${told.join('; ')}${more}. It is not kept yet.`, null, {
      sure: true,
      hurts: hurts.length,
    });
  }
  return { hurts: hurts.length };
}

interface ShiftInput {
  weekday: number;
  startMinute: number;
  endMinute: number;
}

/** Longest shift that is believed, hours. */
const LONGEST_SHIFT = 14;

const minuteOfDay = Joi.number().integer().min(0).max(1439).required().messages({
  '*': 'A shift has a beginning and an end, such as 01:00 and 09:00.',
});

/** A person's weekly shifts, all of them anew. An end before the start is on the next day. */
export const saveShifts = command<
  { personId: number; shifts: ShiftInput[]; sure: boolean },
  { hurts: number }
>({
  name: 'save-shifts',
  schema: Joi.object({
    personId: id,
    shifts: Joi.array()
      .items(
        Joi.object({
          weekday: Joi.number().integer().min(1).max(7).required(),
          startMinute: minuteOfDay,
          endMinute: minuteOfDay,
        }),
      )
      .max(21)
      .required(),
    sure,
  }),
  roles: ['planner'],
  doughOf: () => null,
  run(context, { personId, shifts, sure: isSure }) {
    const { db } = context;
    for (const { startMinute, endMinute } of shifts) {
      const minutes = (endMinute - startMinute + 1440) % 1440 || 1440;
      if (minutes > LONGEST_SHIFT * 60)
        throw new Refusal(
          `From ${clockOfDay(startMinute)} to ${clockOfDay(endMinute)} would be ${duration(minutes)}, into the next day; a shift is ${LONGEST_SHIFT} h at most. Does it end before it starts?`,
          'shifts',
        );
    }
    return unlessItHurts(context, isSure, async () => {
      await write(db, 'DELETE FROM shift WHERE person_id = ?', [personId]);
      if (shifts.length === 0) return;
      await write(db, 'INSERT INTO shift (person_id, weekday, start_minute, end_minute) VALUES ?', [
        shifts.map(({ weekday, startMinute, endMinute }) => [personId, weekday, startMinute, endMinute]),
      ]);
    });
  },
});

interface ExceptionInput {
  kind: 'extra' | 'away' | 'down';
  personId: number | null;
  machineId: string | null;
  units: number | null;
  start: string;
  end: string;
  note: string;
  sure: boolean;
}

async function span({ db }: CommandContext, { start, end }: { start: string; end: string }) {
  const { zone } = await house(db);
  const [from, to] = [parseLocal(start, zone), parseLocal(end, zone)];
  if (from === null) throw new Refusal('That day and time does not exist.', 'start');
  if (to === null) throw new Refusal('That day and time does not exist.', 'end');
  if (to <= from)
    throw new Refusal(`It ends at ${dayTime(to, zone)}, before it starts at ${dayTime(from, zone)}.`, 'end');
  return [new Date(from), new Date(to)] as const;
}

/** A shift beyond the pattern, somebody away, or a machine down, for some time. */
export const addException = command<ExceptionInput, { hurts: number }>({
  name: 'add-exception',
  schema: Joi.object({
    kind: Joi.string().valid('extra', 'away', 'down').required(),
    personId: Joi.number().integer().positive().allow(null).required(),
    machineId: Joi.string().max(40).allow(null).required(),
    units: Joi.number().integer().min(1).max(10_000).allow(null).required().messages({
      '*': 'How many of them are out: a whole number of 1 or more, or nothing for all.',
    }),
    start: localTime,
    end: localTime,
    ...{ note, sure },
  }),
  roles: ['planner'],
  doughOf: () => null,
  async run(context, input) {
    const { db } = context;
    const [from, to] = await span(context, input);
    const isMachine = input.kind === 'down';
    if ((isMachine ? input.machineId : input.personId) === null)
      throw new Refusal(
        isMachine ? 'Which machine is down?' : 'Who is it?',
        isMachine ? 'machineId' : 'personId',
      );
    return unlessItHurts(context, input.sure, async () => {
      if (input.kind === 'extra')
        await write(db, 'INSERT INTO extra_shift (person_id, start_at, end_at, note) VALUES (?, ?, ?, ?)', [
          ...[input.personId, from, to, input.note],
        ]);
      else
        await write(
          db,
          'INSERT INTO absence (person_id, machine_id, units, start_at, end_at, note) VALUES (?, ?, ?, ?, ?, ?)',
          [
            ...[isMachine ? null : input.personId, isMachine ? input.machineId : null],
            ...[isMachine ? input.units : null, from, to, input.note],
          ],
        );
    });
  },
});

/** Takes an exception back. */
export const removeException = command<
  { kind: 'extra' | 'away'; id: number; sure: boolean },
  { hurts: number }
>({
  name: 'remove-exception',
  schema: Joi.object({ kind: Joi.string().valid('extra', 'away').required(), id, sure }),
  roles: ['planner'],
  doughOf: () => null,
  run(context, input) {
    return unlessItHurts(context, input.sure, async () => {
      const table = input.kind === 'extra' ? 'extra_shift' : 'absence';
      const { touched } = await write(context.db, `DELETE FROM ${table} WHERE id = ?`, [input.id]);
      if (touched === 0) throw new Refusal('That is gone already.', 'id');
    });
  },
});

interface BusyInput {
  personId: number | null;
  machineId: string | null;
  busy: { source: string; summary: string; start: number; end: number }[];
  sure: boolean;
}

/** Busy times of a person or machine from a calendar; what was read before is brought up to date, never doubled. */
export const takeBusy = command<BusyInput, { hurts: number }>({
  name: 'take-busy',
  schema: Joi.object({
    personId: Joi.number().integer().positive().allow(null).required(),
    machineId: Joi.string().max(40).allow(null).required(),
    busy: Joi.array()
      .items(
        Joi.object({
          source: Joi.string().max(255).required(),
          summary: Joi.string().allow('').max(200).required(),
          start: Joi.number().integer().required(),
          end: Joi.number().integer().greater(Joi.ref('start')).required(),
        }),
      )
      .min(1)
      .max(500)
      .required(),
    sure,
  }),
  roles: ['planner'],
  doughOf: () => null,
  async run(context, { personId, machineId, busy, sure: isSure }) {
    if ((personId === null) === (machineId === null))
      throw new Refusal('A calendar belongs to one person or to one machine.', 'personId');
    return unlessItHurts(context, isSure, async () => {
      await write(
        context.db,
        `INSERT INTO absence (person_id, machine_id, start_at, end_at, note, source) VALUES ?
         ON DUPLICATE KEY UPDATE start_at = VALUES(start_at), end_at = VALUES(end_at), note = VALUES(note)`,
        [
          busy.map(({ source, summary, start, end }) => [
            ...[personId, machineId, new Date(start), new Date(end), summary],
            `${personId ?? machineId ?? ''} ${source}`.slice(0, 255),
          ]),
        ],
      );
    });
  },
});

/** A private address where a calendar program fetches the plan, or one person's work; the newest replaces the one before. */
export const makeAddress = command<{ personId: number | null }, { path: string }>({
  name: 'make-address',
  schema: Joi.object({ personId: Joi.number().integer().positive().allow(null).required() }),
  roles: ['planner', 'baker'],
  doughOf: () => null,
  async run({ db, now, person }, { personId }) {
    if (person.role !== 'planner' && personId !== person.id)
      throw new Refusal('This is somebody else’s work; a planner can give that address.', 'personId');
    const token = randomBytes(24).toString('base64url');
    await write(db, 'DELETE FROM calendar_address WHERE person_id <=> ? AND made_by = ?', [
      personId,
      person.id,
    ]);
    await write(
      db,
      'INSERT INTO calendar_address (token_hash, person_id, made_by, made_at) VALUES (?, ?, ?, ?)',
      [...[tokenHash(token), personId, person.id, new Date(now)]],
    );
    return { path: `/api/calendar/${token}` };
  },
});

interface MachineInput {
  id: string;
  label: string;
  capacity: number;
  changeover: number;
  decks?: number;
  sure: boolean;
}

/** What a machine is called, how much it takes, and how long a change of its setting is. */
export const saveMachine = command<MachineInput, { hurts: number }>({
  name: 'save-machine',
  schema: Joi.object({
    id: Joi.string().max(40).required(),
    label: Joi.string().trim().min(1).max(60).required().messages({
      '*': 'A machine has a name of 1 to 60 characters.',
    }),
    capacity: Joi.number().integer().min(1).max(10_000).required().messages({
      '*': 'It takes at least 1; take it down for a while where it takes none.',
    }),
    changeover: Joi.number().integer().min(0).max(720).required().messages({
      '*': 'Another setting takes a whole number of minutes, 720 at most.',
    }),
    decks: Joi.number().integer().min(1).max(12).messages({ '*': 'An oven has 1 to 12 decks.' }),
    sure,
  }),
  roles: ['planner'],
  doughOf: () => null,
  async run(context, input) {
    const { db } = context;
    const [twin] = await rowsOf<{ label: string }>(
      db,
      'SELECT label FROM machine WHERE label = ? AND id <> ?',
      [...[input.label, input.id]],
    );
    if (twin)
      throw new Refusal(
        `There is a machine called ${twin.label} already; call this one something else.`,
        'label',
      );
    return unlessItHurts(context, input.sure, async () => {
      const [known] = await rowsOf<{ id: string }>(db, 'SELECT id FROM machine WHERE id = ?', [input.id]);
      if (!known) throw new Refusal('There is no such machine.', 'id');
      await write(
        db,
        'UPDATE machine SET label = ?, capacity = ?, changeover_minutes = ?, decks = COALESCE(?, decks) WHERE id = ?',
        [...[input.label, input.capacity, input.changeover, input.decks ?? null, input.id]],
      );
    });
  },
});

interface PersonInput {
  id: number | null;
  name: string;
  role: 'planner' | 'baker';
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
