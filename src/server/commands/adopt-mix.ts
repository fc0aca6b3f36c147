import { coded } from '@/core/codes/coded';
import { stateOf } from '@/core/record/dough';
import Joi from 'joi';
import { actualMix } from '@/core/formula/actual';
import { ingredientBook } from '@/core/formula/ingredient';
import { doughById } from '../store/doughs';
import { currentFormulas } from '../store/formulas';
import { mixSheet } from '../store/mix';
import { productsMadeBy } from '../store/product-versions';
import { command, Refusal } from './command';
import { lockPlan } from './plan-version';
import { keepVersion, versionMadeBy } from './save-formula';
import { clientId, doughId } from './schemas';
import { wordsIn } from '@/words/compile';

/** Makes what was really mixed a new version of its formula. */
export const adoptMix = command<
  { clientId: string; doughId: number },
  { formulaId: number; version: number }
>({
  name: 'adopt-mix',
  schema: Joi.object({ clientId, doughId }),
  doughOf: (input) => input.doughId,
  async run(context, input) {
    // One at a time, and once for one tap: two tablets must not make the same version number.
    await lockPlan(context.db);
    const known = await versionMadeBy(context.db, input.clientId);
    if (known) return known;
    const dough = await doughById(context.db, input.doughId);
    const sheet = dough && (await mixSheet(context.db, dough));
    if (!dough || !sheet) throw new Refusal(coded('refusals.thisDoughIsNotInThe'), 'doughId');
    const state = stateOf(dough);
    const changes = [...state.steps.values()].flatMap((step) => step.changes);
    const book = ingredientBook(sheet.ingredients);
    const mix = actualMix(
      { planned: sheet.whole, doughCelsius: sheet.formula.formula.doughCelsius, bowls: sheet.bowls, changes },
      book,
    );
    if (!mix.differs) throw new Refusal(coded('refusals.thisDoughWasMixedByIts'));
    const newest = (await currentFormulas(context.db)).find(
      ({ formulaId }) => formulaId === sheet.formula.formulaId,
    );
    if (!newest) throw new Refusal(coded('refusals.itsFormulaIsNotThereAny'));
    const made = await productsMadeBy(context.db, newest.id);
    return keepVersion(context, {
      follow: made.map(({ id }) => id),
      ...{ formulaId: newest.formulaId, before: newest, formula: mix.formula, clientId: input.clientId },
      note: wordsIn(context.language)
        .coded(coded('formulas.asWasMixed', { dough: dough.name, changes: mix.words }))
        .slice(0, 200),
    });
  },
});
