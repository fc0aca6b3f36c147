import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { doughKg } from '@/core/route/expand';
import { canShareDough } from '@/core/route/route';
import { dayTime, MINUTE, parseLocal } from '@/core/time/local';
import { fromNow, weight } from '@/core/units/format';
import { rowsOf, write } from '../db/rows';
import { sizes } from '../queries/doughs';
import { house, houseValues } from '../queries/house';
import { currentProducts, type KnownProduct } from '../queries/products';
import { command, Refusal, type CommandContext } from './command';
import { placeDough, type NewDough } from './plan-dough';
import { lockPlan } from './plan-version';
import { clientId, localTime, pieces } from './schemas';

interface DoughInput {
  clientId: string;
  outputs: { productId: number; pieces: number; due: string }[];
  /** Said once more, though the same dough is in the plan already. */
  again?: boolean;
  /** Late is better than not at all: ways out are looked for afterwards. */
  late?: boolean;
}

const schema = Joi.object<DoughInput>({
  clientId,
  outputs: Joi.array()
    .items(
      Joi.object({
        productId: Joi.number()
          .integer()
          .positive()
          .required()
          .messages({ '*': 'Choose a product of the house.' }),
        pieces,
        due: localTime,
      }),
    )
    .min(1)
    .max(8)
    .required()
    .messages({
      'array.min': 'A dough has at least one product.',
      'array.max': 'At most 8 products out of one dough.',
      'any.required': 'A dough has at least one product.',
    }),
  again: Joi.boolean(),
  late: Joi.boolean(),
});

type Output = { product: KnownProduct; pieces: number; dueAt: number };

async function readOutputs({ db, now }: CommandContext, input: DoughInput, zone: string): Promise<Output[]> {
  const products = await currentProducts(db);
  const daysAhead = (await houseValues(db))('plan_days_ahead');
  return input.outputs.map(({ productId, pieces, due }, i) => {
    const product = products.find((p) => p.productId === productId);
    if (!product) throw new Refusal('The house has no such product.', `outputs.${i}.productId`);
    const dueAt = parseLocal(due, zone);
    if (dueAt === null) throw new Refusal('That day and time does not exist.', `outputs.${i}.due`);
    if (dueAt <= now) throw new Refusal(`${dayTime(dueAt, zone)} has passed already.`, `outputs.${i}.due`);
    if (dueAt > now + daysAhead * 24 * 60 * MINUTE) {
      throw new Refusal(`The plan reaches ${daysAhead} days ahead.`, `outputs.${i}.due`);
    }
    return { product, pieces, dueAt };
  });
}

async function refuseUnfit(db: PoolConnection, outputs: Output[]): Promise<void> {
  const [first] = outputs;
  outputs.forEach(({ product }, i) => {
    if (first && !canShareDough(first.product, product)) {
      throw new Refusal(
        `${product.name} comes from another dough than ${first.product.name}; add it as a dough of its own.`,
        `outputs.${i}.productId`,
      );
    }
  });
  const [{ bowlKg }, value] = await Promise.all([sizes(db), houseValues(db)]);
  const most = value('most_bowls') * bowlKg;
  const kg = doughKg(outputs) * (first?.product.mixed ?? 1);
  if (kg > most) {
    throw new Refusal(
      `That is ${weight(kg)} of dough before butter, more than ${value('most_bowls')} bowls of ${weight(bowlKg)}; make it several doughs.`,
      'outputs.0.pieces',
    );
  }
}

/** Refuses a dough that stands in the plan already, unless it is said once more. */
async function refuseTwin({ db, now }: CommandContext, outputs: Output[]): Promise<void> {
  const rows = await rowsOf<{ name: string; by: string; at: Date; outputs: string }>(
    db,
    `SELECT d.name, p.name AS \`by\`, d.created_at AS at,
       GROUP_CONCAT(CONCAT_WS(':', o.product_version_id, o.pieces, UNIX_TIMESTAMP(o.due_at)) ORDER BY o.id) AS outputs
     FROM dough d JOIN dough_output o ON o.dough_id = d.id JOIN person p ON p.id = d.created_by
     WHERE d.removed_at IS NULL AND d.id IN (SELECT dough_id FROM dough_output WHERE due_at = ?)
     GROUP BY d.id`,
    [new Date(outputs[0]?.dueAt ?? 0)],
  );
  const own = outputs.map((o) => `${o.product.versionId}:${o.pieces}:${o.dueAt / 1000}`).join();
  const plain = (text: string) => text.replace(/\.000/g, '');
  const twin = rows.find((row) => plain(row.outputs) === own);
  if (!twin) return;
  const when = fromNow((twin.at.getTime() - now) / MINUTE);
  throw new Refusal(
    `${twin.name} is the same dough; ${twin.by} added it ${when}. Add it once more?`,
    'outputs',
    {
      again: true,
    },
  );
}

async function insertDough(
  { db, person, now }: CommandContext,
  client: string,
  outputs: Output[],
): Promise<NewDough> {
  const kind = outputs[0]?.product.doughName ?? 'Dough';
  const names = await rowsOf<{ name: string }>(db, 'SELECT name FROM dough WHERE name LIKE ?', [`${kind} %`]);
  const nth = 1 + Math.max(0, ...names.map(({ name }) => Number(name.slice(kind.length + 1)) || 0));
  const name = `${kind} ${nth}`;
  const { id } = await write(
    db,
    'INSERT INTO dough (client_id, name, created_at, created_by) VALUES (?, ?, ?, ?)',
    [...[client, name, new Date(now), person.id]],
  );
  const withIds: NewDough['outputs'] = [];
  for (const output of outputs) {
    const { id: outputId } = await write(
      db,
      'INSERT INTO dough_output (dough_id, product_version_id, pieces, due_at) VALUES (?, ?, ?, ?)',
      [id, output.product.versionId, output.pieces, new Date(output.dueAt)],
    );
    withIds.push({ id: outputId, ...output });
  }
  return { id, name, outputs: withIds };
}

/** Adds a dough and finds its place in the plan. The same client id again gives the dough it made. */
export const addDough = command<DoughInput, { id: number; name: string }>({
  name: 'add-dough',
  schema,
  roles: ['planner'],
  doughOf: (_, dough) => dough.id,
  async run(context, input) {
    const { db, person, now } = context;
    await lockPlan(db);
    const [known] = await rowsOf<{ id: number; name: string }>(
      db,
      'SELECT id, name FROM dough WHERE client_id = ?',
      [input.clientId],
    );
    if (known) return known;
    const { zone } = await house(db);
    const outputs = await readOutputs(context, input, zone);
    await refuseUnfit(db, outputs);
    if (!input.again) await refuseTwin(context, outputs);
    const dough = await insertDough(context, input.clientId, outputs);
    await placeDough(db, dough, {
      now,
      personId: person.id,
      reason: `${dough.name} added`,
      late: input.late ?? false,
    });
    return { id: dough.id, name: dough.name };
  },
});
