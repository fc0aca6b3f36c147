import Joi from 'joi';
import type { NamesByLanguage, ProductName } from '@/core/bakery/product-names';
import { coded } from '@/core/codes/coded';
import { LANGUAGES } from '@/words/message';
import { type Named, namesOf, setNames } from '../../store/product-names';
import { command, Refusal } from '../command';

interface NamesInput {
  id: number;
  names: NamesByLanguage;
}

const LONGEST = 60;
const name = Joi.string().trim().allow('').max(LONGEST).required();
const names = Joi.object<ProductName>({ one: name, many: name });

/** How the log says what was named, and what is said where it is gone. */
const WORDS = {
  product: {
    changed: (product: string) => coded('record.product', { product }),
    gone: coded('refusals.thereIsNoSuchProduct'),
  },
  formula: {
    changed: (formula: string) => coded('record.formula', { formula }),
    gone: coded('refusals.thisFormulaIsNotThereAny'),
  },
} as const;

/** Calls something by names of its own in some languages. An empty name is its own. */
const naming = (what: Named) =>
  command<NamesInput, null>({
    name: `name-${what}`,
    schema: Joi.object({
      id: Joi.number().integer().positive().required(),
      names: Joi.object(Object.fromEntries(LANGUAGES.map((language) => [language, names]))).required(),
    }),
    doughOf: () => null,
    async run({ db, audit }, { id, names: given }) {
      const before = await namesOf(db, what, id);
      if (!before) throw new Refusal(WORDS[what].gone, 'id');
      const kept = Object.fromEntries(
        Object.entries(given).filter(([, called]) => called && (called.one !== '' || called.many !== '')),
      );
      await setNames(db, what, id, kept);
      await audit(WORDS[what].changed(before.name), before.names, kept);
      return null;
    },
  });

export const nameProduct = naming('product');
export const nameFormula = naming('formula');
