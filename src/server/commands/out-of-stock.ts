import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import { wordsIn } from '@/words/compile';
import { insertOnce } from '../db/rows';
import { house } from '../store/house';
import { ingredients } from '../store/ingredients';
import { miseLines } from '../store/papers';
import { command, Refusal } from './command';
import { clientId } from './schemas';

/** How far ahead it is looked for what needs an ingredient, ms. */
const AHEAD = 48 * 3_600_000;

/** Steps that need what has run out. */
interface OutOf {
  needed: number;
}

/**
 * Reports that an ingredient has run out: the note for the next shift says for what it is needed, and when first. The plan is left as it
 * is: what is taken instead is a choice of the mixing sheet.
 */
export const reportOutOf = command<{ id: string; ingredient: string }, OutOf>({
  name: 'report-out-of',
  schema: Joi.object({
    id: clientId,
    ingredient: Joi.string()
      .max(80)
      .required()
      .messages({ '*': asText(coded('refusals.chooseAnIngredient')) }),
  }),
  doughOf: () => null,
  async run({ db, now, person, language }, { id, ingredient }) {
    const known = (await ingredients(db)).find((one) => one.id === ingredient);
    if (!known) throw new Refusal(coded('refusals.chooseAnIngredient'), 'ingredient');
    const [{ zone }, lines] = await Promise.all([
      house(db),
      miseLines(db, { from: now, to: now + AHEAD }, now),
    ]);
    const needed = lines.filter((line) => line.ingredient === known.name);
    const [first] = needed;
    const words = wordsIn(language).coded(
      first
        ? coded('record.outOfNeeded', {
            name: known.name,
            doughs: [...new Set(needed.map(({ dough }) => dough))],
            first: { dayTime: first.at, zone },
          })
        : coded('record.outOf', { name: known.name }),
    );
    await insertOnce(db, 'handover', { client_id: id, at: new Date(now), person_id: person.id, words });
    return { needed: needed.length };
  },
});
