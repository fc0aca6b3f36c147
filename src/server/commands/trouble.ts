import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { MINUTE } from '@/core/time/local';
import { asText } from '@/words/as-text';
import {
  deleteException,
  insertAbsence,
  lockedTrouble,
  shortenAbsence,
  troublesNow,
} from '../store/exceptions';
import { deckSize } from '@/core/bakery/decks';
import type { Db } from '../db/rows';
import { houseSettings, machines } from '../store/house';
import { command, Refusal } from './command';
import { labelOf, nameOf } from './house/names';
import { lockPlan } from './plan-version';

interface TroubleInput {
  machineId: string | null;
  personId: number | null;
  units: number | null;
  deck: number | null;
  slower: number | null;
  hours: number | null;
  note: string;
}

const schema = Joi.object<TroubleInput>({
  machineId: Joi.string().max(40).allow(null).default(null),
  personId: Joi.number().integer().positive().allow(null).default(null),
  units: Joi.number()
    .integer()
    .min(1)
    .max(10_000)
    .allow(null)
    .default(null)
    .messages({ '*': asText(coded('refusals.howManyOfThemAreOut')) }),
  deck: Joi.number().integer().min(1).max(12).allow(null).default(null),
  slower: Joi.number()
    .greater(1)
    .max(5)
    .allow(null)
    .default(null)
    .messages({ '*': asText(coded('refusals.slowerByHowMuch')) }),
  hours: Joi.number()
    .positive()
    .max(336)
    .allow(null)
    .default(null)
    .messages({ '*': asText(coded('refusals.outForSoManyHours')) }),
  note: Joi.string().trim().allow('').max(200).default(''),
});

/**
 * A machine is out, or somebody cannot work, from now on: a fact, which is taken whatever it does to the plan. Until it is over it is
 * reckoned with for so many hours, or for as long as the house assumes.
 */
export const reportTrouble = command<TroubleInput, { id: number }>({
  name: 'report-trouble',
  schema,
  doughOf: () => null,
  async run({ db, now, person, audit }, { machineId, personId, units: some, deck, slower, hours, note }) {
    if ((machineId === null) === (personId === null))
      throw new Refusal(coded('refusals.whatIsItThatIsOut'), 'machineId');
    await lockPlan(db);
    const name = machineId === null ? await nameOf(db, personId ?? 0) : await labelOf(db, machineId);
    const units = deck === null ? some : await traysOfDeck(db, machineId, deck);
    const known = (await troublesNow(db, now)).find(
      (one) =>
        one.machineId === machineId && one.personId === personId && one.deck === deck && one.units === units,
    );
    if (known) throw new Refusal(coded('refusals.thatIsKnown', { name }), 'machineId');
    const to = now + (hours ?? (await houseSettings(db)).outageAssumed) * 60 * MINUTE;
    const { id } = await insertAbsence(db, {
      ...{ personId, machineId, deck, slower, units: machineId === null || slower !== null ? null : units },
      ...{ from: new Date(now), to: new Date(to), note, reportedBy: person.id },
    });
    await audit(coded('record.exceptionFor', { name }), null, { units, deck, slower, from: now, to, note });
    return { id };
  },
});

/** How many trays a deck of an oven takes. */
async function traysOfDeck(db: Db, machineId: string | null, deck: number): Promise<number> {
  const oven = (await machines(db)).find(({ id, kind }) => id === machineId && kind === 'oven');
  if (!oven || deck > (oven.decks ?? 1)) throw new Refusal(coded('refusals.noSuchDeck'), 'deck');
  return deckSize(oven).perDeck;
}

/** It is over: the machine is back, or the person. What it was stays in the house's book. */
export const endTrouble = command<{ id: number }, null>({
  name: 'end-trouble',
  schema: Joi.object({
    id: Joi.number()
      .integer()
      .positive()
      .required()
      .messages({ '*': asText(coded('refusals.nameAnEntry')) }),
  }),
  doughOf: () => null,
  async run({ db, now, audit }, { id }) {
    await lockPlan(db);
    const trouble = await lockedTrouble(db, id);
    if (!trouble || trouble.until <= now) throw new Refusal(coded('refusals.thatIsOverAlready'), 'id');
    if (trouble.since > now) throw new Refusal(coded('refusals.thatHasNotBegun'), 'id');
    const name =
      trouble.machineId === null
        ? await nameOf(db, trouble.personId ?? 0)
        : await labelOf(db, trouble.machineId);
    // What is over within its first minute was a slip of the finger.
    if (now < trouble.since + MINUTE) await deleteException(db, 'down', id);
    else await shortenAbsence(db, id, now);
    await audit(coded('record.exceptionFor', { name }), { to: trouble.until }, { to: now });
    return null;
  },
});
