import { wording } from '@/words/wording';
import { stateOf } from '@/core/record/dough';
import Joi from 'joi';
import { actualMix } from '@/core/formula/actual';
import { ingredientBook } from '@/core/formula/ingredient';
import { doughById } from '../store/doughs';
import { currentFormulas } from '../store/formulas';
import { mixSheet } from '../store/mix';
import { command, Refusal } from './command';
import { lockPlan } from './plan-version';
import { keepVersion, versionMadeBy } from './save-formula';
import { clientId, doughId } from './schemas';

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
    if (!dough || !sheet) throw new Refusal(wording('refusals.thisDoughIsNotInThe'), 'doughId');
    const state = stateOf(dough);
    const changes = [...state.steps.values()].flatMap((step) => step.changes);
    const book = ingredientBook(sheet.ingredients);
    const mix = actualMix(sheet.whole, sheet.formula.formula.doughCelsius, changes, sheet.bowls, book);
    if (!mix.differs) throw new Refusal(wording('refusals.thisDoughWasMixedByIts'));
    const newest = (await currentFormulas(context.db)).find(
      ({ formulaId }) => formulaId === sheet.formula.formulaId,
    );
    if (!newest) throw new Refusal(wording('refusals.itsFormulaIsNotThereAny'));
    return keepVersion(context, {
      ...{ formulaId: newest.formulaId, before: newest, formula: mix.formula, clientId: input.clientId },
      note: `as ${dough.name} was mixed: ${mix.words.join(', ')}`.slice(0, 200),
    });
  },
});
