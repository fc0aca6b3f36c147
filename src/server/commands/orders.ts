import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { clockOfDay, MINUTE, parseLocal } from '@/core/time/local';
import { insertOnce } from '../db/rows';
import { house, whoAcceptsRepairs } from '../store/house';
import { command, type CommandContext, Refusal } from './command';
import { clientId, localTime, pieces } from './schemas';
import { calendarDay } from './times';
import {
  changeSingleOrder,
  closedNote,
  customersCalled,
  openDay,
  productById,
  removeStandingChange,
  removeStandingOrder,
  saveStandingChange,
  saveStandingOrder,
  singleOrder,
  standingOnDay,
  standingPieces,
  writeClosedDay,
} from '../store/order-entries';

const customer = Joi.string()
  .trim()
  .min(1)
  .max(80)
  .required()
  .messages({
    '*': asText(coded('refusals.nameTheCustomerIn80Characters')),
  });
const productId = Joi.number()
  .integer()
  .positive()
  .required()
  .messages({ '*': asText(coded('refusals.chooseAProductOfTheHouse')) });
const id = Joi.number()
  .integer()
  .positive()
  .required()
  .messages({ '*': asText(coded('refusals.nameAnOrder')) });
const day = calendarDay;
const noneOrMore = Joi.number()
  .integer()
  .min(0)
  .max(100_000)
  .required()
  .messages({
    '*': asText(coded('refusals.piecesAreAWholeNumberFrom')),
  });

async function customerNamed(db: PoolConnection, name: string): Promise<number> {
  await insertOnce(db, 'customer', { name });
  const row = await customersCalled(db, name);
  return row?.id ?? 0;
}

async function refuseUnknown(db: PoolConnection, product: number): Promise<void> {
  const row = await productById(db, product);
  if (!row) throw new Refusal(coded('refusals.theHouseHasNoSuchProduct'), 'productId');
}

interface OrderInput {
  clientId: string;
  customer: string;
  productId: number;
  pieces: number;
  due: string;
}

const single = { clientId, customer, productId, pieces, due: localTime };

/** Orders are taken for so many days ahead; longer is a slip of the year. */
const LONGEST_AHEAD = 366;

/** A rush order is taken by whoever is there while no planner is, where the house lets bakers plan then. */
async function refuseWhilePlanned({ db, now, person }: CommandContext): Promise<void> {
  if (person.role === 'planner') return;
  const who = await whoAcceptsRepairs(db, now);
  if (who === 'planners') throw new Refusal(coded('refusals.onlyPlannersTakeOrders'));
  if (who !== 'bakers') throw new Refusal(coded('refusals.aPlannerTakesOrders', { name: who.name }));
}

async function addOne({ db, now, audit }: CommandContext, input: OrderInput): Promise<void> {
  const { zone } = await house(db);
  const dueAt = parseLocal(input.due, zone);
  if (dueAt === null) throw new Refusal(coded('refusals.thatDayAndTimeDoesNot'), 'due');
  if (dueAt <= now)
    throw new Refusal(coded('refusals.hasPassedAlready', { time: { dayTime: dueAt, zone } }), 'due');
  if (dueAt > now + LONGEST_AHEAD * 24 * 60 * MINUTE)
    throw new Refusal(coded('refusals.thatIsMoreThanAYear'), 'due');
  await refuseUnknown(db, input.productId);
  // The same form sent twice is one order.
  const customer_id = await customerNamed(db, input.customer);
  const added = await insertOnce(db, 'single_order', {
    ...{ client_id: input.clientId, customer_id, product_id: input.productId },
    ...{ due_at: new Date(dueAt), pieces: input.pieces },
  });
  const { customer: of, pieces: number } = input;
  if (added)
    await audit(coded('record.orderOf', { customer: of, time: { dayTime: dueAt, zone } }), null, {
      product: input.productId,
      pieces: number,
    });
}

/** An order for one day. */
export const addOrder = command<OrderInput, null>({
  name: 'add-order',
  schema: Joi.object(single),
  doughOf: () => null,
  async run(context, input) {
    await refuseWhilePlanned(context);
    await addOne(context, input);
    return null;
  },
});

/** Orders from a file, all of them or none. */
export const takeOrders = command<{ orders: OrderInput[] }, { taken: number }>({
  name: 'take-orders',
  schema: Joi.object({ orders: Joi.array().items(Joi.object(single)).min(1).max(1500).required() }),
  doughOf: () => null,
  async run(context, { orders }) {
    for (const order of orders) await addOne(context, order);
    return { taken: orders.length };
  },
});

/** Another number for an order of one day; 0 cancels it. */
export const changeOrder = command<{ id: number; pieces: number }, null>({
  name: 'change-order',
  schema: Joi.object({ id, pieces: noneOrMore }),
  doughOf: () => null,
  async run({ db, now, audit }, input) {
    const before = await singleOrder(db, input.id);
    if (!before) throw new Refusal(coded('refusals.thereIsNoSuchOrder'), 'id');
    await changeSingleOrder(db, input.id, { pieces: input.pieces, now });
    const was = before.cancelled ? 0 : before.pieces;
    await audit(
      coded('record.orderOfProduct', { customer: before.customer, product: before.product }),
      { pieces: was },
      { pieces: input.pieces },
    );
    return null;
  },
});

interface StandingInput {
  customer: string;
  productId: number;
  weekdays: number[];
  dueMinute: number;
  pieces: number;
}

/** So many pieces for a customer on some weekdays; 0 ends the standing order. */
export const saveStanding = command<StandingInput, null>({
  name: 'save-standing',
  schema: Joi.object({
    ...{ customer, productId, pieces: noneOrMore },
    weekdays: Joi.array()
      .items(Joi.number().integer().min(1).max(7))
      .min(1)
      .required()
      .messages({ '*': asText(coded('refusals.chooseAtLeastOneWeekday')) }),
    dueMinute: Joi.number()
      .integer()
      .min(0)
      .max(1439)
      .required()
      .messages({ '*': asText(coded('refusals.giveATimeOfTheDay')) }),
  }),
  doughOf: () => null,
  async run({ db, audit }, input) {
    await refuseUnknown(db, input.productId);
    const of = await customerNamed(db, input.customer);
    const subject = coded('record.standingOrder', {
      customer: input.customer,
      product: String(input.productId),
      time: clockOfDay(input.dueMinute),
    });
    for (const weekday of new Set(input.weekdays)) {
      const key = {
        ...{ customerId: of, productId: input.productId, weekday },
        dueMinute: input.dueMinute,
      };
      const before = await standingPieces(db, key);
      await audit(subject, { weekday, pieces: before?.pieces ?? 0 }, { weekday, pieces: input.pieces });
      if (input.pieces === 0) {
        await removeStandingOrder(db, key);
      } else {
        await saveStandingOrder(db, key, input.pieces);
      }
    }
    return null;
  },
});

/** Another number of a standing order on one day; the usual one again where nothing is said. */
export const changeStanding = command<{ id: number; day: string; pieces: number | null }, null>({
  name: 'change-standing',
  schema: Joi.object({ id, day, pieces: noneOrMore.allow(null) }),
  doughOf: () => null,
  async run({ db, audit }, input) {
    const row = await standingOnDay(db, input.id, input.day);
    if (!row) throw new Refusal(coded('refusals.thereIsNoSuchStandingOrder'), 'id');
    await audit(
      coded('record.standingOnDay', { id: String(input.id), day: input.day }),
      { pieces: row.pieces },
      { pieces: input.pieces },
    );
    if (input.pieces === null) {
      await removeStandingChange(db, input.id, input.day);
    } else {
      await saveStandingChange(db, input.id, input.day, input.pieces);
    }
    return null;
  },
});

/** A day on which standing orders rest, or do not any more. */
export const closeDay = command<{ day: string; closed: boolean; note: string }, null>({
  name: 'close-day',
  schema: Joi.object({
    day,
    closed: Joi.boolean().required(),
    note: Joi.string().trim().allow('').max(120).default(''),
  }),
  doughOf: () => null,
  async run({ db, audit }, input) {
    const before = await closedNote(db, input.day);
    const is = input.closed ? { closed: true, note: input.note } : { closed: false };
    await audit(
      coded('record.closedDay', { day: input.day }),
      before ? { closed: true, note: before.note } : { closed: false },
      is,
    );
    if (input.closed) {
      await writeClosedDay(db, input.day, input.note);
    } else await openDay(db, input.day);
    return null;
  },
});
