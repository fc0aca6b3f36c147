import { coded, type Coded } from '@/core/codes/coded';
import { stateOf } from '@/core/record/dough';
import { schemeName } from '@/core/lamination/scheme';
import { doughsDueFrom } from './doughs';
import { currentProducts } from './products';
import { type Db, rowsOf } from '../db/rows';

/** A planned dough whose products have another lamination scheme by now. */
export interface DoughBehind {
  id: number;
  name: string;
  /** Schemes by name and folds: "Three letter folds, 3-3-3". */
  from: Coded;
  to: Coded;
  /** Its outputs with the product versions of today. */
  outputs: { outputId: number; versionId: number }[];
  /** Why it cannot follow, in a sentence; null where it can. */
  refused: Coded | null;
}

/** Planned doughs that are not laminated as their products are today, in order of their promises. */
export async function doughsBehind(db: Db, now: number): Promise<DoughBehind[]> {
  const [doughs, products, rows] = await Promise.all([
    doughsDueFrom(db, now),
    currentProducts(db),
    rowsOf<{ outputId: number; productId: number; formulaVersionId: number }>(
      db,
      `SELECT o.id AS outputId, v.product_id AS productId, v.formula_version_id AS formulaVersionId
       FROM dough_output o JOIN product_version v ON v.id = o.product_version_id WHERE o.due_at >= ?`,
      [new Date(now)],
    ),
  ]);
  return doughs.flatMap((dough): DoughBehind[] => {
    const was = dough.lamination?.scheme;
    const today = dough.outputs.flatMap(({ id }) => {
      const row = rows.find(({ outputId }) => outputId === id);
      const product = products.find(({ productId }) => productId === row?.productId);
      return row && product ? [{ outputId: id, product, formulaVersionId: row.formulaVersionId }] : [];
    });
    const is = today[0]?.product.scheme;
    if (!was || !is || today.every(({ product }) => product.scheme?.versionId === was.versionId)) return [];
    const state = stateOf(dough);
    const { steps } = dough;
    const begun = steps.some(
      ({ key, step }) =>
        (step.kind === 'lock-in' || step.turn !== undefined) && state.steps.get(key)?.status !== 'open',
    );
    const apart = today.some(({ product }) => product.scheme?.versionId !== is.versionId);
    const remixed =
      state.started && today.some((one) => one.product.formulaVersionId !== one.formulaVersionId);
    return [
      {
        ...{ id: dough.id, name: dough.name, from: named(was), to: named(is) },
        outputs: today.map(({ outputId, product }) => ({ outputId, versionId: product.versionId })),
        refused: begun
          ? coded('schemes.hasItsButterAlready', { dough: dough.name })
          : apart
            ? coded('schemes.noLongerShareAScheme', { dough: dough.name })
            : remixed
              ? coded('schemes.wasMixedByAnOlderFormula', { dough: dough.name })
              : null,
      },
    ];
  });
}

const named = ({ name, scheme }: { name: string; scheme: Parameters<typeof schemeName>[0] }) =>
  coded('schemes.nameAndFolds', { name, folds: schemeName(scheme) });
