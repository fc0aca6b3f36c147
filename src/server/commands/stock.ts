import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { STOCK_KINDS, type StockKind } from '@/core/process/output-way';
import { asText } from '@/words/as-text';
import { productById } from '../store/order-entries';
import { lockedStock, writeStockMove } from '../store/stock';
import { command, Refusal } from './command';
import { instant } from './times';

interface StockMoveInput {
  productId: number;
  kind: StockKind;
  amount: number;
  note: string;
  forDue: number | null;
  discarded: boolean;
}

const schema = Joi.object<StockMoveInput>({
  productId: Joi.number()
    .integer()
    .positive()
    .required()
    .messages({ '*': asText(coded('refusals.chooseAProductOfTheHouse')) }),
  kind: Joi.string()
    .valid(...STOCK_KINDS)
    .default('pieces'),
  amount: Joi.number()
    .integer()
    .when('kind', {
      is: 'pieces',
      then: Joi.number().min(-10_000).max(10_000),
      otherwise: Joi.number().min(-1_000_000).max(1_000_000),
    })
    .invalid(0)
    .required()
    .messages({ '*': asText(coded('refusals.howMuchWentInOrOut')) }),
  note: Joi.string().trim().allow('').max(200).default(''),
  forDue: instant
    .allow(null)
    .default(null)
    .messages({ '*': asText(coded('refusals.forWhichOrderAreTheyName')) }),
  discarded: Joi.boolean().default(false),
});

/**
 * What went into stock, or came out of it (below 0): pieces, or grams of dough. `forDue`: for orders of that time, ms, which is to
 * come. What is thrown away says why.
 */
export const moveStock = command<StockMoveInput, { stock: number }>({
  name: 'move-stock',
  schema,
  doughOf: () => null,
  async run({ db, now, audit }, { productId, kind, amount, note, forDue, discarded }) {
    const product = await productById(db, productId);
    if (!product) throw new Refusal(coded('refusals.theHouseHasNoSuchProduct'), 'productId');
    if (forDue !== null && amount > 0) throw new Refusal(coded('refusals.onlyWhatComesOutOfThe'), 'forDue');
    if (forDue !== null && forDue <= now)
      throw new Refusal(coded('refusals.theTimeOfThatOrderHas'), 'forDue');
    if (discarded && amount > 0) throw new Refusal(coded('refusals.howMuchIsThrownAway'), 'amount');
    if (discarded && note === '') throw new Refusal(coded('refusals.sayWhyItIsThrownAway'), 'note');
    const before = await lockedStock(db, productId, kind);
    const stock = before + amount;
    if (stock < 0)
      throw new Refusal(
        kind === 'pieces'
          ? coded('refusals.thereAreOnlyInTheFreezer', { stock: before })
          : coded('refusals.thereIsOnlySoMuchDough', { stock: { kg: before / 1000 } }),
        'amount',
      );
    await writeStockMove(db, productId, { kind, amount, now, note, forDue, discarded });
    if (discarded)
      await audit(
        coded('record.thrownAway', { product: product.name }),
        null,
        kind === 'pieces' ? { pieces: -amount, note } : { grams: -amount, note },
      );
    return { stock };
  },
});
