import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { dayTime, parseLocal } from '@/core/time/local';
import { rowsOf, write } from '../../db/rows';
import { house } from '../../store/house';
import { command, Refusal, type CommandContext } from '../command';
import { localTime } from '../schemas';
import { instant } from '../times';
import { labelOf, nameOf } from './names';
import { sure, unlessItHurts } from './unless-it-hurts';

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
  if (from === null) throw new Refusal(coded('refusals.thatDayAndTimeDoesNot'), 'start');
  if (to === null) throw new Refusal(coded('refusals.thatDayAndTimeDoesNot'), 'end');
  if (to <= from)
    throw new Refusal(
      coded('refusals.itEndsAtBeforeItStarts', { time: dayTime(to, zone), time2: dayTime(from, zone) }),
      'end',
    );
  return [new Date(from), new Date(to)] as const;
}

/** A shift beyond the pattern, somebody away, or a machine down, for some time. */
export const addException = command<ExceptionInput, { hurts: number }>({
  name: 'add-exception',
  schema: Joi.object({
    kind: Joi.string().valid('extra', 'away', 'down').required(),
    personId: Joi.number().integer().positive().allow(null).required(),
    machineId: Joi.string().max(40).allow(null).required(),
    units: Joi.number()
      .integer()
      .min(1)
      .max(10_000)
      .allow(null)
      .required()
      .messages({
        '*': asText(coded('refusals.howManyOfThemAreOut')),
      }),
    start: localTime,
    end: localTime,
    note: Joi.string().trim().allow('').max(200).default(''),
    sure,
  }),
  doughOf: () => null,
  async run(context, input) {
    const { db } = context;
    const [from, to] = await span(context, input);
    const isMachine = input.kind === 'down';
    if ((isMachine ? input.machineId : input.personId) === null)
      throw new Refusal(
        isMachine ? coded('refusals.whichMachineIsDown') : coded('refusals.whoIsIt'),
        isMachine ? 'machineId' : 'personId',
      );
    return unlessItHurts(context, input.sure, async () => {
      const who = isMachine
        ? await labelOf(db, input.machineId ?? '')
        : await nameOf(db, input.personId ?? 0);
      const { kind, units, start, end } = input;
      await context.audit(`exception for ${who}`, null, { kind, units, start, end });
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
  schema: Joi.object({
    kind: Joi.string().valid('extra', 'away').required(),
    id: Joi.number()
      .integer()
      .positive()
      .required()
      .messages({ '*': asText(coded('refusals.nameAnEntry')) }),
    sure,
  }),
  doughOf: () => null,
  run(context, input) {
    return unlessItHurts(context, input.sure, async () => {
      const table = input.kind === 'extra' ? 'extra_shift' : 'absence';
      const [gone] = await rowsOf<{ personId: number | null; start: Date; end: Date }>(
        context.db,
        `SELECT person_id AS personId, start_at AS start, end_at AS end FROM ${table} WHERE id = ? FOR UPDATE`,
        [input.id],
      );
      if (!gone) throw new Refusal(coded('refusals.thatIsGoneAlready'), 'id');
      const who = gone.personId === null ? 'a machine' : await nameOf(context.db, gone.personId);
      await context.audit(
        `exception for ${who}`,
        { kind: input.kind, start: gone.start, end: gone.end },
        null,
      );
      await write(context.db, `DELETE FROM ${table} WHERE id = ?`, [input.id]);
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
          start: instant.required(),
          end: instant.greater(Joi.ref('start')).required(),
        }),
      )
      .min(1)
      .max(500)
      .required(),
    sure,
  }),
  doughOf: () => null,
  async run(context, { personId, machineId, busy, sure: isSure }) {
    if ((personId === null) === (machineId === null))
      throw new Refusal(coded('refusals.aCalendarBelongsToOnePerson'), 'personId');
    return unlessItHurts(context, isSure, async () => {
      const who =
        personId === null ? await labelOf(context.db, machineId ?? '') : await nameOf(context.db, personId);
      await context.audit(`calendar of ${who}`, null, { busyTimes: busy.length });
      await dropMoved(context, { personId, machineId, busy });
      await write(
        context.db,
        `INSERT INTO absence (person_id, machine_id, start_at, end_at, note, source) VALUES ?
         ON DUPLICATE KEY UPDATE start_at = VALUES(start_at), end_at = VALUES(end_at), note = VALUES(note)`,
        [
          busy.map(({ source, summary, start, end }) => [
            ...[personId, machineId, new Date(start), new Date(end), summary],
            storedSource(personId ?? machineId, source),
          ]),
        ],
      );
    });
  },
});

const storedSource = (of: number | string | null, source: string) => `${of ?? ''} ${source}`.slice(0, 255);

/** Which event of a calendar a stored busy time came from: its start is the last word. */
const eventOf = (source: string) => source.slice(0, source.lastIndexOf(' '));

/** Takes out times to come of events that the calendar has at other times now. */
async function dropMoved(
  { db, now }: CommandContext,
  { personId, machineId, busy }: Pick<BusyInput, 'personId' | 'machineId' | 'busy'>,
): Promise<void> {
  const sources = new Set(busy.map(({ source }) => storedSource(personId ?? machineId, source)));
  const events = new Set([...sources].map(eventOf));
  const known = await rowsOf<{ id: number; source: string }>(
    db,
    `SELECT id, source FROM absence
     WHERE person_id <=> ? AND machine_id <=> ? AND source IS NOT NULL AND end_at > ? FOR UPDATE`,
    [personId, machineId, new Date(now)],
  );
  const gone = known.filter(({ source }) => events.has(eventOf(source)) && !sources.has(source));
  if (gone.length > 0) await write(db, 'DELETE FROM absence WHERE id IN (?)', [gone.map(({ id }) => id)]);
}
