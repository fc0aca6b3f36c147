import { coded } from '@/core/codes/coded';
import { quickestWay } from '@/core/process/earliest';
import { doughOfOutput, expandDough } from '@/core/process/expand';
import { comesFromStock, type OutputWay, stockUse } from '@/core/process/output-way';
import { MINUTE } from '@/core/time/local';
import { doughsDueFrom, sizes } from '../store/doughs';
import type { ProductVersion } from '../store/products';
import { keepables, stockBy } from '../store/stock';
import { Refusal, type SearchContext } from './command';

/** An output with its product as it is made on its way. */
export interface OutputToAdd {
  product: ProductVersion;
  pieces: number;
  dueAt: number;
  way: OutputWay;
}

/**
 * What comes out of stock has to be in it when it is taken, still good, and promised to nobody else.
 *
 * @throws {Refusal} where there is less; with how much there is
 */
export async function refuseNotKept(
  { db, now }: Pick<SearchContext, 'db' | 'now'>,
  outputs: readonly OutputToAdd[],
): Promise<void> {
  if (!outputs.some(({ way }) => comesFromStock(way))) return;
  const [doughs, products, takes] = await Promise.all([doughsDueFrom(db, now), keepables(db), sizes(db)]);
  const expanded = expandDough(
    outputs.map((output, id) => ({ ...output, id })),
    takes,
  );
  const taken = new Map<string, number>();
  for (const [i, output] of outputs.entries()) {
    const { product, pieces, dueAt, way } = output;
    const kept = products.find(({ productId }) => productId === product.productId);
    const kind = stockUse(way)?.kind;
    if (!kept || !kind) continue;
    const item = kind === 'pieces' ? kept.pieces : kept.dough;
    const end = expanded.ready.find(({ outputId }) => outputId === i)?.key ?? '';
    const at = Math.max(now, dueAt - quickestWay(expanded, end).minutes * MINUTE);
    const before = taken.get(item) ?? 0;
    const there = Math.max(0, (await stockBy(db, doughs, { item, kind, at })) - before);
    const wanted =
      kind === 'pieces' ? pieces : Math.round(1000 * doughOfOutput(outputs, output, expanded.kg));
    taken.set(item, before + wanted);
    if (there >= wanted) continue;
    throw new Refusal(
      kind === 'pieces'
        ? coded('refusals.notSoManyFrozen', { product: product.name, pieces: there })
        : coded('refusals.notSoMuchDoughKept', {
            ...{ dough: product.doughName, there: { kg: there / 1000 }, wanted: { kg: wanted / 1000 } },
            cold: kind === 'cold-dough',
          }),
      `outputs.${i}.pieces`,
    );
  }
}
