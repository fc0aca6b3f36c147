import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { type Draft, readDraft } from '@/core/formula/draft';
import { type Formula, STAGE_KINDS } from '@/core/formula/formula';
import { bookWithFormulas, CircleError, formulaRef } from '@/core/formula/parts';
import { type Kitchen, KITCHENS } from '@/core/units/measures';
import { currentFormulas, formulaVersion, type FormulaVersion } from '../store/formulas';
import { ingredients } from '../store/ingredients';
import { command, type CommandContext, Refusal } from './command';
import { lockPlan } from './plan-version';
import { clientId } from './schemas';
import { makeByNewFormula, productsMadeBy } from '../store/product-versions';
import {
  formulaVersionOfClient,
  insertFormula,
  insertFormulaVersion,
  renameFormula,
} from '../store/formula-versions';

export interface FormulaInput {
  clientId: string;
  /** Version that was edited; null for a new formula. */
  from: number | null;
  name: string;
  note: string;
  draft: Draft;
  kitchen: Kitchen;
  /** Products that are made by the new version from now on; asked for where more than one is made by the old one. */
  follow?: number[];
}

const text = (longest: number) => Joi.string().allow('').max(longest);

const row = Joi.object({
  name: text(80)
    .required()
    .messages({ '*': asText(coded('refusals.anIngredientSNameHasAt')) }),
  amount: text(80)
    .required()
    .messages({ '*': asText(coded('refusals.anAmountHasAtMost80')) }),
  note: text(200)
    .required()
    .messages({ '*': asText(coded('refusals.aRemarkHasAtMost200')) }),
});

export const draftSchema = Joi.object<Draft>({
  stages: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string()
          .valid(...STAGE_KINDS)
          .required(),
        rows: Joi.array().items(row).max(200).required(),
      }),
    )
    .max(20)
    .required()
    .messages({ 'array.max': asText(coded('refusals.thatIsMoreThanOneFormula')) }),
  flour: text(40).required(),
  doughCelsius: text(20).required(),
});

const schema = Joi.object<FormulaInput>({
  clientId,
  from: Joi.number().integer().positive().allow(null).required(),
  name: Joi.string()
    .trim()
    .min(2)
    .max(80)
    .required()
    .messages({ '*': asText(coded('refusals.aFormulaHasANameOf')) }),
  note: text(200)
    .required()
    .messages({ '*': asText(coded('refusals.aRemarkHasAtMost200')) }),
  draft: draftSchema.required(),
  kitchen: Joi.string()
    .valid(...KITCHENS.map(({ id }) => id))
    .required(),
  follow: Joi.array().items(Joi.number().integer().positive()).max(500),
});

/** Keeps a formula as it was typed: a new one, or a new version of the one it was made from. */
export const saveFormula = command<FormulaInput, { formulaId: number; versionId: number; version: number }>({
  name: 'save-formula',
  schema,
  doughOf: () => null,
  async run(context, input) {
    const { db } = context;
    await lockPlan(db);
    const known = await versionMadeBy(db, input.clientId);
    if (known) return known;
    const all = await currentFormulas(db);
    const before = input.from === null ? null : await newestOf(db, input.from, all);
    const twin = all.find(({ name }) => name.toLowerCase() === input.name.toLowerCase());
    if (twin && twin.formulaId !== before?.formulaId) {
      throw new Refusal(coded('refusals.thereIsAFormulaCalledAlready', { name: twin.name }), 'name');
    }
    const house = await ingredients(db);
    const book = bookWithFormulas(
      house,
      all.map(({ formulaId, name, formula }) => ({ id: formulaId, name, formula })),
    );
    const { formula, faults } = readDraft(input.draft, { book, kitchen: input.kitchen });
    const [fault] = faults;
    if (fault)
      throw new Refusal(fault.message, `draft.${fault.stage ?? ''}.${fault.row ?? ''}.${fault.field}`);
    const formulaId = before?.formulaId ?? (await insertFormula(db, input.name)).id;
    refuseCircle(formulaId, input.name, { formula, all, house });
    if (before && before.name !== input.name) {
      await renameFormula(db, formulaId, input.name);
    }
    const follow = before ? await followers(db, before, input.follow) : [];
    return keepVersion(context, {
      ...{ formulaId, before, formula, follow },
      ...{ note: input.note, clientId: input.clientId },
    });
  },
});

/**
 * The products that change with their formula: its one product, or those that were chosen.
 *
 * @throws {Refusal} with `products`, where several are made by it and nobody has said which change too
 */
async function followers(
  db: PoolConnection,
  before: Pick<FormulaVersion, 'id' | 'name'>,
  chosen: readonly number[] | undefined,
): Promise<number[]> {
  const products = await productsMadeBy(db, before.id);
  if (chosen) return products.map(({ id }) => id).filter((id) => chosen.includes(id));
  if (products.length > 1)
    throw new Refusal(
      coded('refusals.whichProductsChangeToo', {
        formula: before.name,
        products: products.map(({ name }) => name),
      }),
      'follow',
      { products },
    );
  return products.map(({ id }) => id);
}

/** The version an edit started from, which must still be the newest. */
async function newestOf(
  db: PoolConnection,
  versionId: number,
  all: FormulaVersion[],
): Promise<FormulaVersion> {
  const from = await formulaVersion(db, versionId);
  const newest = all.find(({ formulaId }) => formulaId === from?.formulaId);
  if (!from || !newest) throw new Refusal(coded('refusals.thisFormulaIsNotThereAny'), 'from');
  if (newest.id !== from.id) {
    throw new Refusal(
      coded('refusals.hasKeptVersionMeanwhileYourRows', {
        by: newest.by ?? coded('refusals.somebody'),
        version: newest.version,
      }),
      'from',
      { newest: newest.id },
    );
  }
  return newest;
}

interface AmongFormulas {
  formula: Formula;
  all: FormulaVersion[];
  house: Parameters<typeof bookWithFormulas>[0];
}

function refuseCircle(id: number, name: string, { formula, all, house }: AmongFormulas): void {
  const others = all.filter(({ formulaId }) => formulaId !== id);
  try {
    bookWithFormulas(house, [
      { id, name, formula },
      ...others.map((other) => ({ id: other.formulaId, name: other.name, formula: other.formula })),
    ]).get(formulaRef(id));
  } catch (error) {
    if (error instanceof CircleError) throw new Refusal(error.fault, 'draft');
    throw error;
  }
}

/** What a form or tap has made already, when it is sent once more; null the first time. */
export async function versionMadeBy(
  db: PoolConnection,
  client: string,
): Promise<{ formulaId: number; versionId: number; version: number } | null> {
  const known = await formulaVersionOfClient(db, client);
  return known ?? null;
}

/** Writes a version; those of its products that follow are made by it from now on, doughs keep theirs. */
export async function keepVersion(
  { db, person, now }: CommandContext,
  {
    formulaId,
    before,
    formula,
    follow,
    note,
    clientId: client,
  }: {
    formulaId: number;
    before: Pick<FormulaVersion, 'id' | 'version'> | null;
    formula: Formula;
    /** Ids of the products. */
    follow: readonly number[];
    note: string;
    clientId: string;
  },
): Promise<{ formulaId: number; versionId: number; version: number }> {
  const version = (before?.version ?? 0) + 1;
  const { id: versionId } = await insertFormulaVersion(db, {
    formulaId,
    version,
    formula,
    now,
    note,
    personId: person.id,
    client,
  });
  await makeByNewFormula(db, follow, { to: versionId, now });
  return { formulaId, versionId, version };
}
