import { coded } from '@/core/codes/coded';
import { Fault } from '@/core/codes/fault';
import { type ProductDraft, routeOfDraft } from '@/core/process/product-draft';
import { productFaults } from '@/core/process/product-faults';
import { threadsOf } from '@/core/process/threads';
import type { Db } from '../../db/rows';
import { currentFormulas, formulaVersion } from '../../store/formulas';
import { machines, people } from '../../store/house';
import type { ProductBody } from '../../store/product-versions';
import { currentSchemes } from '../../store/schemes';
import { Refusal } from '../command';

/** A product as it can be written down: by the newest versions of its formula and scheme. */
export interface DraftedProduct {
  name: string;
  doughName: string;
  formulaVersionId: number;
  schemeVersionId: number | null;
  body: ProductBody;
}

/**
 * Reads a draft against what the house has.
 *
 * @throws {Refusal} with the place of what is wrong: `name`, or a step as `dough.mix`
 */
export async function readProductDraft(db: Db, draft: ProductDraft): Promise<DraftedProduct> {
  const [pools, everybody, formulas, schemes] = await Promise.all([
    machines(db),
    people(db),
    currentFormulas(db),
    currentSchemes(db),
  ]);
  const wrong = productFaults(draft, { machines: pools, people: everybody, isStaffed: true }).find(
    ({ isLack }) => !isLack,
  );
  if (wrong) throw new Refusal(wrong.message, wrong.at);
  const { olderFormula: older } = draft;
  const formula = older
    ? await formulaVersion(db, older.versionId)
    : formulas.find(({ formulaId }) => formulaId === draft.formulaId);
  if (!formula || formula.formulaId !== draft.formulaId)
    throw new Refusal(coded('product.noSuchFormula'), 'formulaId');
  const scheme = schemes.find(({ schemeId }) => schemeId === draft.schemeId);
  if (draft.schemeId !== null && !scheme)
    throw new Refusal(coded('refusals.theHouseHasNoSuchScheme'), 'schemeId');
  const route = routeOfDraft(draft);
  for (const part of ['dough', 'output'] as const) refuseOddRoute(route, part);
  return {
    ...{ name: draft.name.trim(), doughName: draft.doughName.trim() },
    ...{ formulaVersionId: formula.id, schemeVersionId: scheme?.versionId ?? null },
    body: {
      ...{ piece: draft.piece, route, freshFor: draft.freshFor, rises: draft.rises },
      ...(draft.lateness === undefined ? {} : { lateness: draft.lateness }),
    },
  };
}

function refuseOddRoute(route: ProductBody['route'], part: 'dough' | 'output'): void {
  try {
    threadsOf(route[part]);
  } catch (error) {
    if (error instanceof Fault) throw new Refusal(error.fault, part);
    throw error;
  }
}
