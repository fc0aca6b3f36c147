import type { PoolConnection } from 'mysql2/promise';
import type { Person } from '@/core/bakery/people';
import { coded } from '@/core/codes/coded';
import { hasStep, openScene, type Scene } from '@/core/practice/scene';
import { replayScene } from '@/core/practice/replay';
import type { ProductRole, Situation, SituationDough } from '@/core/practice/situation';
import type { DoughRecord } from '@/core/record/dough';
import { atLocalMinute } from '@/core/time/local';
import type { Board } from '@/core/wire/board';
import { Refusal } from './commands/command';
import { batchTemperatures } from './store/batch-temperatures';
import { blankDough, doughById } from './store/doughs';
import { currentProducts, type ProductVersion } from './store/products';
import { board } from './store/board';

/** Ids of doughs that are nobody's: above all numbers that are given out. */
const PROVISIONAL = 4_100_000_000;

/** What every scene is made for. */
export interface SceneFor {
  person: Person;
  now: number;
  seed: number;
}

/** The house's floor without its doughs. */
const emptyBoard = async (db: PoolConnection, now: number): Promise<Board> => ({
  ...(await board(db, now, 0)),
  doughs: [],
});

const fits = (product: ProductVersion, role: ProductRole): boolean =>
  role === 'laminated' ? product.scheme !== null : product.scheme === null;

/** The product of a dough: the one that is named, or the first that is what is asked for and has such a step. */
async function blankFor(
  db: PoolConnection,
  products: readonly ProductVersion[],
  { product, pieces, at }: SituationDough,
  { id, now }: { id: number; now: number },
): Promise<DoughRecord | null> {
  const candidates = products.filter((one) =>
    typeof product === 'number' ? one.productId === product : fits(one, product),
  );
  for (const { versionId, name } of candidates) {
    const blank = await blankDough(db, { id, name, versionId, pieces, at: now });
    if (blank && hasStep(blank, at.kind)) return blank;
  }
  return null;
}

/**
 * Sets a situation up with products of this house.
 *
 * @throws {Refusal} where the house has no product for one of its doughs
 */
export async function sceneOf(
  db: PoolConnection,
  situation: Situation,
  { person, now, seed }: SceneFor,
): Promise<Scene> {
  const [floor, products] = [await emptyBoard(db, now), await currentProducts(db)];
  const blanks: DoughRecord[] = [];
  for (const [i, own] of situation.doughs.entries()) {
    const blank = await blankFor(db, products, own, { id: PROVISIONAL + i, now });
    if (!blank)
      throw new Refusal(
        coded('practice.missing', { role: typeof own.product === 'number' ? 'other' : own.product }),
      );
    blanks.push(numbered(blank, i, blanks));
  }
  const opensAt = atLocalMinute(now, situation.opens, floor.house.zone);
  return openScene({ situation, blanks, board: floor, trainee: person, opensAt, seed });
}

/** Two doughs of one product are told apart by a number. */
function numbered(blank: DoughRecord, i: number, before: readonly DoughRecord[]): DoughRecord {
  const isSecond = before.some(({ name }) => name.replace(/ \d+$/, '') === blank.name);
  return { ...blank, name: isSecond || i > 0 ? `${blank.name} ${i + 1}` : blank.name };
}

/**
 * Sets a batch of the house up to be played again from one of its steps.
 *
 * @throws {Refusal} where there is no such batch, or the step was never begun
 */
export async function sceneOfBatch(
  db: PoolConnection,
  { doughId, stepKey }: { doughId: number; stepKey: string },
  { person, now, seed }: SceneFor,
): Promise<{ scene: Scene; name: string }> {
  const dough = await doughById(db, doughId);
  if (!dough) throw new Refusal(coded('refusals.nameADoughOfThePlan'));
  const heard = await batchTemperatures(db, dough, now);
  const floor = await emptyBoard(db, now);
  const scene = replayScene({ dough, heard, stepKey, board: floor, trainee: person, opensAt: now, seed });
  if (!scene) throw new Refusal(coded('refusals.nameAStepOfTheDough'));
  return { scene, name: dough.name };
}
