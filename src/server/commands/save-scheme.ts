import type { KeptScheme } from '../store/scheme-versions';
import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { LAMINATION_KINDS } from '@/core/lamination/kinds';
import { type Scheme, schemeFault } from '@/core/lamination/scheme';
import { FOLDS, LOCK_INS } from '@/core/lamination/stack';
import { currentSchemes } from '../store/schemes';
import { command, Refusal } from './command';
import { lockPlan } from './plan-version';
import { keepSchemeVersion } from './scheme-version';
import { clientId } from './schemas';
import {
  insertScheme,
  renameScheme,
  schemeVersionOfClient,
  setSchemeRemoved,
} from '../store/scheme-versions';

interface SchemeInput {
  clientId: string;
  /** Version that was edited; null for a new scheme. */
  from: number | null;
  name: string;
  scheme: Scheme;
}

const minutes = Joi.number()
  .min(0)
  .max(100_000)
  .required()
  .messages({ '*': asText(coded('refusals.minutesAreANumber')) });
const share = Joi.number()
  .min(0)
  .max(1)
  .required()
  .messages({ '*': asText(coded('refusals.giveAShareInPercent')) });

/** The form of a scheme; whether it can be worked is for `schemeFault` to say. */
export const schemeForm = Joi.object<Scheme>({
  kind: Joi.string()
    .valid(...LAMINATION_KINDS)
    .required()
    .messages({ '*': asText(coded('refusals.sayWhatKindOfGoodsIt')) }),
  beginning: Joi.alternatives()
    .try(
      Joi.object({
        way: Joi.valid('block').required(),
        style: Joi.string()
          .valid(...LOCK_INS)
          .required(),
        blockMm: Joi.number().required(),
        template: Joi.object({ length: Joi.number().required(), width: Joi.number().required() }),
      }),
      Joi.object({
        way: Joi.valid('spread', 'grated').required(),
        additions: Joi.number().integer().required(),
      }),
      Joi.object({ way: Joi.valid('discs').required(), discs: Joi.number().integer().required() }),
    )
    .required()
    .messages({ '*': asText(coded('refusals.sayHowTheButterComesInto')) }),
  flourInFat: share,
  turns: Joi.array()
    .items(
      Joi.object({
        fold: Joi.string()
          .valid(...FOLDS)
          .required(),
        mm: Joi.number()
          .required()
          .messages({ '*': asText(coded('refusals.aThicknessIsALengthSuch')) }),
        minutes,
        rest: minutes,
      }),
    )
    .max(100)
    .required(),
  temper: minutes.optional(),
  lockInMinutes: minutes,
  perKg: minutes,
});

const schema = Joi.object<SchemeInput>({
  clientId,
  from: Joi.number().integer().positive().allow(null).required(),
  name: Joi.string()
    .trim()
    .min(2)
    .max(80)
    .required()
    .messages({ '*': asText(coded('refusals.aSchemeHasANameOf')) }),
  scheme: schemeForm.required(),
});

/**
 * Keeps a lamination scheme: a new one, or a new version of the one it was made from. Products that go by it follow in a
 * version of their own; doughs keep theirs until they are told to follow.
 */
export const saveScheme = command<SchemeInput, KeptScheme>({
  name: 'save-scheme',
  schema,
  doughOf: () => null,
  async run(context, input) {
    const { db } = context;
    await lockPlan(db);
    const known = await schemeVersionOfClient(db, input.clientId);
    if (known) return known;
    const fault = schemeFault(input.scheme);
    if (fault) throw new Refusal(fault, 'scheme');
    const all = await currentSchemes(db);
    const before = input.from === null ? null : all.find(({ versionId }) => versionId === input.from);
    if (before === undefined)
      throw new Refusal(coded('refusals.somebodyHasKeptAnotherVersionMeanwhile'), 'from');
    const twin = all.find(({ name }) => name.toLowerCase() === input.name.toLowerCase());
    if (twin && twin.schemeId !== before?.schemeId)
      throw new Refusal(coded('refusals.thereIsASchemeCalledAlready', { name: twin.name }), 'name');
    const schemeId = before?.schemeId ?? (await newScheme(db, input.name));
    if (before && before.name !== input.name) await renameScheme(db, schemeId, input.name);
    return keepSchemeVersion(context, input, { schemeId, products: before?.products ?? [] });
  },
});

/** A scheme's own row; one of that name that was taken out comes back. */
async function newScheme(db: PoolConnection, name: string): Promise<number> {
  const { id } = await insertScheme(db, name);
  return id;
}

/** Takes a scheme out, unless a product is laminated by it; versions that doughs were made by stay known. */
export const removeScheme = command<{ schemeId: number }, { name: string }>({
  name: 'remove-scheme',
  schema: Joi.object({ schemeId: Joi.number().integer().positive().required() }),
  doughOf: () => null,
  async run({ db, now }, { schemeId }) {
    const found = (await currentSchemes(db)).find((one) => one.schemeId === schemeId);
    if (!found) throw new Refusal(coded('refusals.theHouseHasNoSuchScheme'), 'schemeId');
    if (found.products.length > 0) {
      const names = found.products.map(({ name }) => name.toLowerCase());
      const [list, last] = [names.slice(0, -1).join(', '), names.at(-1) ?? ''];
      throw new Refusal(
        coded('refusals.isInUseLaminatedByIt', {
          name: found.name,
          part: list ? coded('refusals.andAre', { list, last }) : coded('refusals.is', { last }),
          count: names.length,
        }),
        'schemeId',
      );
    }
    await setSchemeRemoved(db, schemeId, new Date(now));
    return { name: found.name };
  },
});

/** Puts a scheme back that was taken out. */
export const restoreScheme = command<{ schemeId: number }, { schemeId: number }>({
  name: 'restore-scheme',
  schema: Joi.object({ schemeId: Joi.number().integer().positive().required() }),
  doughOf: () => null,
  async run({ db }, { schemeId }) {
    await setSchemeRemoved(db, schemeId, null);
    return { schemeId };
  },
});
