import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../../test-support/demo-house';
import { ok, refusal } from '../../../../test-support/house';
import { inEnglish } from '../../../../test-support/words';
import type { Person } from '@/core/bakery/people';
import type { ProductsFile } from '@/core/exchange/products-file';
import { draftOf } from '@/core/formula/draft';
import { ingredientBook } from '@/core/formula/ingredient';
import type { ProductDraft } from '@/core/process/product-draft';
import { addStep, changeStep } from '@/core/process/threads';
import { addLocalDays, formatLocal } from '@/core/time/local';
import { productToEdit } from '../../product-pages';
import { previewProducts } from '../../products-preview';
import { productFile } from '../../products-out';
import { tryProduct } from '../../product-trial';
import { doughById, doughsDueFrom } from '../../store/doughs';
import { currentFormulas } from '../../store/formulas';
import { ingredients } from '../../store/ingredients';
import { listedProducts, removedProducts } from '../../store/product-list';
import { currentProducts, productNames } from '../../store/products';
import { Refusal } from '../command';
import { runCommand } from '../run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;

beforeAll(async () => {
  house = await demoHouse();
  mara = house.person('Mara');
}, 240_000);
afterAll(() => house.close());

const idOf = async (name: string) =>
  (await currentProducts(house.pool)).find((product) => product.name === name)?.productId ?? 0;
async function edited(name: string) {
  const productId = await idOf(name);
  const product = await productToEdit(house.pool, productId);
  if (!product) throw new Error(`The house has no ${name}.`);
  return { productId, from: product.versionId, draft: product.draft };
}
const save = (input: { productId: number | null; from: number | null; draft: unknown }, person = mara) =>
  runCommand('save-product', person, input);

describe('a product', () => {
  it('is written as it was: opened in its editor and kept, each product of the demo is the same again', async () => {
    const before = await currentProducts(house.pool);
    for (const { name } of before) await ok(save(await edited(name)));
    const after = await currentProducts(house.pool);
    const plain = (all: typeof before) =>
      all.map((product) => ({
        ...product,
        versionId: 0,
        // Links and steps have no order of their own.
        route: JSON.stringify(product.route).length,
      }));
    expect(plain(after)).toEqual(plain(before));
  });

  it('changes for doughs from now on: those that are planned keep the version they were planned by', async () => {
    const now = await house.now();
    const planned = (await doughsDueFrom(house.pool, now)).find(({ outputs }) =>
      outputs.some(({ product }) => product === 'Brioche loaf'),
    );
    if (!planned) throw new Error('A brioche loaf is planned.');
    const loaf = await edited('Brioche loaf');
    const proof = loaf.draft.output[0]?.steps.find(({ step }) => step.kind === 'proof');
    if (!proof?.step.wait) throw new Error('A loaf proofs.');
    const longer = { ...proof.step.wait, longest: proof.step.wait.longest + 60 };
    const output = changeStep(loaf.draft.output, { ...proof, step: { ...proof.step, wait: longer } });
    await ok(save({ ...loaf, draft: { ...loaf.draft, output, freshFor: 777, lateness: 4 } }));
    const newest = (await currentProducts(house.pool)).find(({ name }) => name === 'Brioche loaf');
    expect(newest).toMatchObject({ freshFor: 777, lateness: 4 });
    const kept = await doughById(house.pool, planned.id);
    expect(kept?.outputs.map(({ freshFor }) => freshFor)).not.toContain(777);
    expect(kept?.steps.map(({ key }) => key)).toEqual(planned.steps.map(({ key }) => key));
  });

  it('that two planners edit is kept by the first, and the other is told of it', async () => {
    const [one, other] = [await edited('Plum danish'), await edited('Plum danish')];
    await ok(save({ ...one, draft: { ...one.draft, freshFor: 200 } }));
    const told = await refusal(save({ ...other, draft: { ...other.draft, freshFor: 300 } }));
    expect(told.message).toMatch(/^Mara saved a newer version of Plum danish meanwhile/);
    expect((await edited('Plum danish')).draft.freshFor).toBe(200);
  });

  it('has a name of its own, also beside those out of use', async () => {
    const { draft } = await edited('Plum danish');
    const twin = await refusal(save({ productId: null, from: null, draft }));
    expect(twin).toMatchObject({
      field: 'name',
      message: expect.stringMatching(/already a product called Plum danish/) as string,
    });
    const quince = { ...draft, name: 'Quince danish' };
    const { productId } = await ok<{ productId: number }>(
      save({ productId: null, from: null, draft: quince }),
    );
    await ok(runCommand('remove-product', mara, { productId, isRemoved: true }));
    expect((await productNames(house.pool)).map(({ name }) => name)).not.toContain('Quince danish');
    expect(await removedProducts(house.pool)).toEqual([{ productId, name: 'Quince danish' }]);
    const again = await refusal(save({ productId: null, from: null, draft: quince }));
    expect(again.message).toMatch(/was discontinued/);
    await ok(runCommand('remove-product', mara, { productId, isRemoved: false }));
    expect((await listedProducts(house.pool, await house.now())).map(({ name }) => name)).toContain(
      'Quince danish',
    );
  });

  it('that customers have ordered for every week stays', async () => {
    const productId = await idOf('Butter crescent');
    const { message } = await refusal(runCommand('remove-product', mara, { productId, isRemoved: true }));
    expect(message).toMatch(/^Butter crescent is in a standing order of /);
  });

  it.each<[string, (draft: ProductDraft) => unknown, string, RegExp]>([
    ['nothing', () => ({}), 'draft.name', /./],
    [
      'a formula that is not there',
      (draft) => ({ ...draft, formulaId: 9999 }),
      'formulaId',
      /formula no longer exists/,
    ],
    ['a scheme that is not there', (draft) => ({ ...draft, schemeId: 9999 }), 'schemeId', /scheme/],
    [
      'a kind of step that is none',
      (draft) => oddStep(draft, { kind: 'polish' }),
      'draft.dough.0.steps.0.step.kind',
      /./,
    ],
    [
      'a script for a name of a step',
      (draft) => oddStep(draft, { id: '<script>' }),
      'draft.dough.0.steps.0.step.id',
      /./,
    ],
    ['a field that nobody knows', (draft) => ({ ...draft, secret: 1 }), 'draft.secret', /./],
    ['no steps', (draft) => ({ ...draft, dough: [] }), 'dough', /No step mixes/],
  ])('of %s is refused beside its place, and nothing is kept', async (_, change, field, words) => {
    const { productId, from, draft } = await edited('Raisin snail');
    const told = await refusal(save({ productId, from, draft: change(draft) }));
    expect(told).toMatchObject({ field, message: expect.stringMatching(words) as string });
    expect((await edited('Raisin snail')).from).toBe(from);
  });

  it('changes with its formula only where that is chosen, and says then which version it stays with', async () => {
    const [formula] = (await currentFormulas(house.pool)).filter(({ name }) => name === 'Danish dough');
    if (!formula) throw new Error('The demo has danish.');
    const book = ingredientBook(await ingredients(house.pool));
    const kept = (more: object) =>
      runCommand('save-formula', mara, {
        ...{
          clientId: randomUUID(),
          from: formula.id,
          name: formula.name,
          note: 'less sugar',
          kitchen: 'metric',
        },
        ...{ draft: draftOf(formula.formula, book), ...more },
      });
    const asked = await refusal(kept({}));
    expect(asked).toMatchObject({ field: 'follow' });
    expect(asked.message).toBe(
      'Danish dough is used for Plum danish, Poppy danish and Quince danish. Choose which of them change too.',
    );
    const plum = await idOf('Plum danish');
    const { versionId } = await ok<{ versionId: number }>(kept({ follow: [plum] }));
    const made = new Map(
      (await currentProducts(house.pool)).map(({ name, formulaVersionId }) => [name, formulaVersionId]),
    );
    expect(made.get('Plum danish')).toBe(versionId);
    expect(made.get('Poppy danish')).toBe(formula.id);
    const poppy = await edited('Poppy danish');
    expect(poppy.draft).toMatchObject({
      ...{ formulaId: formula.formulaId, olderFormula: { versionId: formula.id, version: formula.version } },
    });
    await ok(save({ ...poppy, draft: { ...poppy.draft, freshFor: 160 } }));
    expect((await edited('Poppy danish')).draft.olderFormula).toBeDefined();
    const again = await edited('Poppy danish');
    delete again.draft.olderFormula;
    await ok(save(again));
    const now = (await currentProducts(house.pool)).find(({ name }) => name === 'Poppy danish');
    expect(now?.formulaVersionId).toBe(versionId);
  });

  it('is for planners to change', async () => {
    await refusal(save(await edited('Raisin snail'), house.person('Selma')));
  });
});

/** A draft whose first step is not as it should be. */
function oddStep(draft: ProductDraft, change: object): unknown {
  const [main] = draft.dough;
  const [first] = main?.steps ?? [];
  return { ...draft, dough: [{ ...main, steps: [{ ...first, step: { ...first?.step, ...change } }] }] };
}

describe('a product in this bakery', () => {
  const due = async (days: number) =>
    `${formatLocal(addLocalDays(await house.now(), days, 'Europe/Berlin'), 'Europe/Berlin').slice(0, 10)}T12:00`;
  const tried = async (draft: ProductDraft, days = 4, pieces: unknown = 30) =>
    tryProduct(house.pool, mara, { draft, pieces, due: await due(days) });
  const told = async (trial: Promise<unknown>) => {
    const error: unknown = await trial.then(
      () => null,
      (reason: unknown) => reason,
    );
    if (!(error instanceof Refusal)) throw new Error('It was not refused.');
    return { at: error.field, text: typeof error.words === 'string' ? error.words : inEnglish(error.words) };
  };

  it('is planned as it stands in the editor, with its own steps, and writes nothing', async () => {
    const { draft } = await edited('Brioche loaf');
    const before = (await doughsDueFrom(house.pool, 0)).length;
    const rest = { id: 'bench-rest', kind: 'rest' as const, label: 'Bench rest', around: 22, settling: 60 };
    const wait = { shortest: 10, best: 15, longest: 30, shortCost: 1, longCost: 1 };
    const trial = await tried({
      ...draft,
      name: 'Longer loaf',
      dough: addStep(draft.dough, 'divide', { ...rest, wait }),
    });
    const labels = trial.steps.map(({ label }) => inEnglish(label));
    expect(labels).toContain('Bench rest');
    expect(labels.indexOf('Bench rest')).toBeGreaterThan(labels.indexOf('Divide, weigh, round'));
    expect(trial).toMatchObject({ late: 0, bowls: 1 });
    expect(trial.hands).toBeGreaterThan(20);
    expect(trial.steps.every(({ start, end }) => start >= trial.start && end <= trial.ready)).toBe(true);
    expect((await doughsDueFrom(house.pool, 0)).length).toBe(before);
  });

  it('that cannot be ready in time says when it is instead', async () => {
    const { draft } = await edited('Butter crescent');
    const trial = await tried(draft, 0, 40);
    expect(trial.late).toBeGreaterThan(0);
    expect(trial.start).toBeGreaterThanOrEqual(await house.now());
  });

  it('is not planned while something is wrong with it, nor for a time that has passed', async () => {
    const { draft } = await edited('Butter crescent');
    expect(await told(tried({ ...draft, formulaId: null }))).toMatchObject({ at: 'formulaId' });
    expect(await told(tried(draft, -2))).toMatchObject({
      at: 'due',
      text: expect.stringMatching(/has passed/) as string,
    });
    expect(await told(tried(draft, 4, 'many'))).toMatchObject({ at: 'pieces' });
  });
});

describe('products as a file', () => {
  const take = (file: unknown, names: string[]) =>
    runCommand('take-products', mara, {
      text: typeof file === 'string' ? file : JSON.stringify(file),
      names,
    });
  const exported = async (name: string) => {
    const file = await productFile(house.pool, await idOf(name));
    if (!file) throw new Error(`The house has no ${name}.`);
    return file;
  };
  /** A file of a product with another name, formula and scheme: as another bakery would send it. */
  async function foreign(): Promise<ProductsFile> {
    const file = await exported('Raisin snail');
    const [formula, scheme, product] = [file.formulas[0], file.schemes[0], file.products[0]];
    if (!formula || !scheme || !product) throw new Error('A snail is laminated.');
    return {
      ...file,
      formulas: [{ ...formula, name: 'Northern dough' }, ...file.formulas.slice(1)],
      schemes: [{ ...scheme, name: 'Northern turns' }],
      products: [{ ...product, name: 'Northern snail', formula: 'Northern dough', scheme: 'Northern turns' }],
    };
  }

  it('go out with all that they are made by, and say what they would bring before they come in', async () => {
    const file = await foreign();
    expect(await previewProducts(house.pool, JSON.stringify(file))).toEqual({
      products: [{ name: 'Northern snail', about: '', isHere: false }],
      brings: ['Northern dough', 'Northern turns'],
      keepsOwn: ['Almond cream', 'Egg wash'],
    });
    expect(await ok(take(file, ['Northern snail']))).toEqual({ products: 1 });
    const [own, snail] = [await exported('Northern snail'), await exported('Raisin snail')];
    expect(own).toEqual(file);
    expect(own.products[0]?.output).toEqual(snail.products[0]?.output);
    const again = await previewProducts(house.pool, JSON.stringify(file));
    expect(again).toMatchObject({ products: [{ isHere: true }], brings: [] });
    expect((await refusal(take(file, ['Northern snail']))).message).toMatch(/you have it already/);
  });

  it('are taken over whole or not at all', async () => {
    const file = await foreign();
    const [product] = file.products;
    const half = {
      ...file,
      formulas: file.formulas.map((one, i) => (i === 0 ? { ...one, name: 'Southern dough' } : one)),
      products: [{ ...product, name: 'Southern snail', formula: 'Southern dough' }],
    };
    await refusal(take(half, ['Southern snail', 'Eastern snail']));
    const names = (await currentFormulas(house.pool)).map(({ name }) => name);
    expect(names).not.toContain('Southern dough');
    expect((await productNames(house.pool)).map(({ name }) => name)).not.toContain('Southern snail');
  });

  it.each<[string, (file: ProductsFile) => unknown, RegExp]>([
    ['no JSON', () => '{ "format": ', /Not a JSON file/],
    ['a list', () => [], /must begin with the format hefeteig-products\/2/],
    ['another version', (file) => ({ ...file, format: 'hefeteig-products/9' }), /must begin with the format/],
    ['a script', () => '<script>alert(1)</script>', /Not a JSON file/],
    ['nothing', () => '', /at most 220,000|Not a JSON/],
    [
      'two formulas of one name',
      (file) => ({ ...file, formulas: [...file.formulas, ...file.formulas] }),
      /have the same name/,
    ],
    [
      'a weight in words',
      (file) => ({ ...file, products: [{ ...file.products[0], piece: { grams: 'much' } }] }),
      /^Line \d+ of the file cannot be read: products\.0\.piece\.grams/,
    ],
    [
      'an ingredient that nobody knows',
      (file) => ({
        ...file,
        formulas: [
          {
            ...file.formulas[0],
            name: 'Moon dough',
            stages: [{ kind: 'dough', lines: [{ ingredient: 'moon dust', percent: 100 }] }],
          },
        ],
        products: [{ ...file.products[0], name: 'Moon snail', formula: 'Moon dough' }],
      }),
      /Moon dough needs moon dust/,
    ],
    [
      'an oven of 400 °C',
      (file) => ({
        ...file,
        products: file.products.map((product) => ({
          ...{ ...product, name: 'Moon snail' },
          output: product.output.map((thread) => ({
            ...thread,
            steps: thread.steps.map((step) => (step.kind === 'bake' ? { ...step, around: 400 } : step)),
          })),
        })),
      }),
      /Enter a temperature from/,
    ],
  ])('that are %s are refused in a sentence', async (_, change, words) => {
    const { message } = await refusal(take(change(await foreign()), ['Moon snail']));
    expect(message).toMatch(words);
  });
});
