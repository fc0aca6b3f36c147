import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { takeBeginning } from '../../setup/beginnings';
import { command, Refusal } from '../command';

/** Takes a product from the shelf of beginnings over, with its formula and its way to laminate. */
export const takeFromShelf = command<{ name: string }, { productId: number }>({
  name: 'take-beginning',
  schema: Joi.object({ name: Joi.string().max(100).required() }),
  doughOf: () => null,
  async run({ db, now, person, audit }, { name }) {
    const productId = await takeBeginning(db, name, { at: now, personId: person.id });
    if (productId === null) throw new Refusal(coded('refusals.thatIsNotOnTheShelf', { name }), 'name');
    await audit(coded('record.product', { product: name }), null, { taken: true });
    return { productId };
  },
});
