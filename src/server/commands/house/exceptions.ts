import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { parseLocal } from '@/core/time/local';
import { house } from '../../store/house';
import { command, type CommandContext, Refusal } from '../command';
import { localTime } from '../schemas';
import { instant } from '../times';
import { labelOf, nameOf } from './names';
import { sure, unlessItHurts } from './unless-it-hurts';
import {
  absencesRead,
  deleteException,
  exceptionById,
  insertAbsence,
  insertExtraShift,
  removeAbsences,
  saveBusyTimes,
} from '../../store/exceptions';

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
      coded('refusals.itEndsAtBeforeItStarts', {
        time: { dayTime: to, zone },
        time2: { dayTime: from, zone },
      }),
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
      await context.audit(coded('record.exceptionFor', { name: who }), null, { kind, units, start, end });
      if (input.kind === 'extra')
        await insertExtraShift(db, { personId: input.personId, from, to, note: input.note });
      else
        await insertAbsence(db, {
          ...{ personId: isMachine ? null : input.personId, machineId: isMachine ? input.machineId : null },
          ...{ units: isMachine ? input.units : null, from, to, note: input.note },
        });
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
      const gone = await exceptionById(context.db, input.kind, input.id);
      if (!gone) throw new Refusal(coded('refusals.thatIsGoneAlready'), 'id');
      const subject =
        gone.personId === null
          ? coded('record.exceptionForAMachine')
          : coded('record.exceptionFor', { name: await nameOf(context.db, gone.personId) });
      await context.audit(subject, { kind: input.kind, start: gone.start, end: gone.end }, null);
      await deleteException(context.db, input.kind, input.id);
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
      await context.audit(coded('record.calendarOf', { name: who }), null, { busyTimes: busy.length });
      await dropMoved(context, { personId, machineId, busy });
      const rows = busy.map(({ source, summary, start, end }) => ({
        ...{ personId, machineId, start: new Date(start), end: new Date(end), note: summary },
        source: storedSource(personId ?? machineId, source),
      }));
      await saveBusyTimes(context.db, rows);
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
  const known = await absencesRead(db, personId, machineId, now);
  const gone = known.filter(({ source }) => events.has(eventOf(source)) && !sources.has(source));
  if (gone.length > 0)
    await removeAbsences(
      db,
      gone.map(({ id }) => id),
    );
}
