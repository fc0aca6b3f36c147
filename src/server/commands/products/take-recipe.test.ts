import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../../test-support/demo-house';
import { ok, refusal } from '../../../../test-support/house';
import { RECIPES } from '../../../../test-support/recipes';
import type { Person } from '@/core/bakery/people';
import { LONGEST_RECIPE } from '@/core/recipe/recipe-text';
import { addLocalDays, formatLocal } from '@/core/time/local';
import { productToEdit } from '../../product-pages';
import { tryProduct } from '../../product-trial';
import { currentFormulas } from '../../store/formulas';
import { currentProducts } from '../../store/products';
import { runCommand } from '../run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;

beforeAll(async () => {
  house = await demoHouse();
  mara = house.person('Mara');
}, 240_000);
afterAll(() => house.close());

const ROLLS =
  '500 g bread flour\n260 g water\n10 g salt\n6 g instant yeast\nMix. Bulk 1 h. Divide into 10. Shape. Proof 1 h. Bake 18 min at 200 °C.';
const take = (text: string, name: string, more: object = {}) =>
  runCommand('take-recipe', mara, { text, name, kitchen: 'metric', settled: [], ...more });
const textOf = (name: string) => RECIPES.find((one) => one.name === name)?.text ?? '';

describe('a recipe', () => {
  it.each([
    'quick-crescents',
    'levain-prose',
    'shopping-list-brioche',
    'plunder-vanille',
    'congelation',
    'roules-cannelle',
  ])('becomes a product that is planned here: %s', async (name) => {
    const { productId } = await ok<{ productId: number }>(take(textOf(name), name));
    const product = await productToEdit(house.pool, productId);
    expect(product?.draft.name).toBe(name);
    const due = formatLocal(addLocalDays(await house.now(), 6, 'Europe/Berlin'), 'Europe/Berlin');
    const trial = await tryProduct(house.pool, mara, { draft: product?.draft, pieces: 60, due });
    expect(trial.steps.length).toBeGreaterThan(6);
  });

  it('brings its formula in percent of its flour', async () => {
    await ok(take(ROLLS, 'Table roll'));
    const formula = (await currentFormulas(house.pool)).find(({ name }) => name === 'Table roll');
    expect(formula?.formula.stages[0]?.lines.map(({ percent }) => percent)).toEqual([100, 52, 2, 1.2]);
  });

  it('with open questions is nothing yet; looked at, it is', async () => {
    const odd = `${ROLLS}\n2 glugs of orgeat`.replace('10 g salt', '10 g salt\n15 g yeast');
    expect(await refusal(take(odd, 'Odd roll'))).toMatchObject({ field: 'text' });
    expect((await currentProducts(house.pool)).some(({ name }) => name === 'Odd roll')).toBe(false);
    await ok(take(odd, 'Odd roll', { settled: ['15 g yeast'] }));
  });

  it('takes no name of another product or formula, and leaves nothing behind', async () => {
    const formulas = (await currentFormulas(house.pool)).length;
    expect(await refusal(take(ROLLS, 'Butter crescent'))).toMatchObject({ field: 'name' });
    expect(await refusal(take(ROLLS, 'Crescent dough'))).toMatchObject({ field: 'name' });
    expect(await refusal(take(ROLLS, 'x'))).toMatchObject({ field: 'name' });
    expect((await currentFormulas(house.pool)).length).toBe(formulas);
  });

  it('that is too long, no text or without flour is refused in a sentence', async () => {
    const sentence = async (text: string) => (await refusal(take(text, 'Nothing'))).message;
    expect(await sentence('x'.repeat(LONGEST_RECIPE + 1))).toMatch(/Too long for a recipe/);
    expect(await sentence('\u0000\u0001\u0002\u0003PNG')).toMatch(/not text/);
    expect(await sentence("<script>alert('x')</script>")).toMatch(/no flour/);
  });
});
