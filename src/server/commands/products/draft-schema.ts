import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { MACHINE_KINDS } from '@/core/bakery/machines';
import { SKILLS } from '@/core/bakery/people';
import { PIECE_SHAPES } from '@/core/cutting/piece';
import { ALLERGENS } from '@/core/formula/ingredient';
import { LYING, PLACE_KINDS } from '@/core/heat/places';
import type { ProductDraft } from '@/core/process/product-draft';
import { BRANCH_KINDS, STEP_KINDS } from '@/core/process/route';
import { TOPPING_MOMENTS, WASH_MOMENTS } from '@/core/shaping/dressing';
import { FILLING_MOMENTS } from '@/core/shaping/filling';
import { SHAPE_KINDS } from '@/core/shaping/shapes';
import { asText } from '@/words/as-text';

/**
 * The form of a product as it comes in. Whether its numbers make sense is for `productFaults` to say, beside the step that
 * they are of.
 */

export const number = Joi.number().required();
export const text = (longest: number) => Joi.string().allow('').max(longest).required();
export const oneOf = (values: readonly string[]) => Joi.string().valid(...values);
const allergens = Joi.array().items(oneOf(ALLERGENS)).max(ALLERGENS.length);
const PHASES = ['sponge', 'levain', 'bulk', 'proof'];

export const gap = Joi.object({ min: number, max: Joi.number() });
/** A piece whose parts name their formulas by `made`: by number in a draft, by name in a file. */
export const pieceWith = (made: Record<string, Joi.Schema>) => {
  const moment = (of: object) => oneOf(Object.keys(of)).required();
  const part = { name: text(80), ...made, allergens };
  const list = (of: Record<string, Joi.Schema>) => Joi.array().max(8).items(Joi.object(of));
  return Joi.object({
    ...{ grams: number, perTray: number, scrap: number, tolerance: Joi.number(), tins: Joi.number() },
    cut: Joi.object({
      mm: number,
      size: Joi.object({
        shape: oneOf(PIECE_SHAPES).required(),
        ...{ base: number, height: number, sectors: Joi.number() },
      }).required(),
    }),
    shape: oneOf(SHAPE_KINDS),
    variantOf: Joi.string().max(80),
    tinKinds: Joi.array().items(Joi.string().max(40)).max(40),
    fillings: list({
      ...{
        ...part,
        grams: number,
        per: oneOf(['piece', 'area']).required(),
        limit: number,
        bareEdge: number,
      },
      ...{ moment: moment(FILLING_MOMENTS), where: text(200) },
    }),
    washes: list({
      ...{ ...part, grams: Joi.number(), moment: moment(WASH_MOMENTS), where: Joi.string().max(200) },
    }),
    toppings: list({
      ...{ ...part, grams: Joi.number(), moment: moment(TOPPING_MOMENTS), where: Joi.string().max(200) },
    }),
  });
};

export const step = Joi.object({
  id: Joi.string()
    .pattern(/^[a-z][a-z0-9-]{0,39}$/)
    .required(),
  kind: oneOf(STEP_KINDS).required(),
  label: text(200),
  work: Joi.object({ fixed: number, perKg: Joi.number(), perPiece: Joi.number(), people: number }),
  wait: Joi.object({
    ...{ shortest: number, best: number, longest: number, shortCost: number, longCost: number },
  }),
  holds: Joi.array()
    .max(6)
    .items(
      Joi.object({
        machine: oneOf(MACHINE_KINDS).required(),
        ...{ amount: number, per: oneOf(['once', 'kg', 'tray']).required(), setting: Joi.number() },
        only: Joi.array().items(Joi.string().max(40)).max(40),
      }),
    ),
  ...{ around: number, settling: number, cooler: Joi.number(), until: Joi.number(), gives: Joi.number() },
  place: oneOf(Object.keys(PLACE_KINDS)),
  ...{ skill: oneOf([...SKILLS, 'anybody']), strain: Joi.number(), method: Joi.string().max(2000) },
  ...{ speeds: Joi.object({ slow: number, fast: number }), optional: Joi.valid(true) },
  ...{ turnTrays: Joi.number(), lookAt: Joi.number() },
  piece: Joi.object({
    shape: oneOf(['slab', 'cylinder', 'sphere']).required(),
    ...{ mm: number, lying: oneOf(Object.keys(LYING)).required() },
  }),
  rise: Joi.object({ phase: oneOf(PHASES).required(), decides: Joi.boolean() }),
  alive: Joi.object({
    of: oneOf(['yeast', 'sponge', 'levain']).required(),
    signs: Joi.array().items(Joi.string().max(80)).max(8).required(),
  }),
  ...{ cover: Joi.string().max(120), check: Joi.string().max(200), caution: Joi.string().max(200) },
  branch: oneOf(BRANCH_KINDS),
  program: Joi.array()
    .max(8)
    .items(Joi.object({ celsius: number, minutes: number, steam: Joi.boolean(), vent: Joi.boolean() })),
  cools: Joi.boolean(),
  core: Joi.array().length(2).items(Joi.number()),
  ends: oneOf(['tap']),
});

const threads = Joi.array()
  .max(12)
  .items(
    Joi.object({
      steps: Joi.array()
        .max(40)
        .items(Joi.object({ step: step.required(), gap: gap.required() }))
        .required(),
      joins: Joi.object({ step: text(40), gap: gap.required() })
        .allow(null)
        .required(),
      branch: oneOf(BRANCH_KINDS),
    }),
  )
  .required();

export const rises = Joi.object()
  .pattern(
    oneOf(PHASES),
    Joi.object({
      yeast: oneOf(['bakers', 'levain']).required(),
      ...{ celsius: number, minutes: number, early: number, late: number },
    }),
  )
  .required();

export const draftSchema = Joi.object<ProductDraft>({
  ...{ name: text(200), doughName: text(200) },
  formulaId: Joi.number().integer().positive().allow(null).required(),
  olderFormula: Joi.object({ versionId: number, version: number }),
  schemeId: Joi.number().integer().positive().allow(null).required(),
  piece: pieceWith({ formulaId: Joi.number().integer().positive() }).required(),
  ...{ freshFor: number, lateness: Joi.number() },
  rises,
  ...{ dough: threads, output: threads, fork: gap.required() },
}).messages({ '*': asText(coded('product.formIsOfAnotherVersion')) });
