import { describe, expect, it } from 'vitest';
import { SMALL_PRODUCT } from '../../../test-support/small-dough';
import { inEnglish } from '../../../test-support/words';
import { draftRoute, type ProductDraft, routeOfDraft } from './product-draft';
import { faultByName, type MakingBakery, type ProductFault, productFaults } from './product-faults';
import type { RouteStep } from './route';
import { addStep, changeStep, removeStep, type ThreadStep } from './threads';

const RISE = { yeast: 'bakers' as const, celsius: 26, minutes: 110, early: 0.8, late: 1.2 };
const DRAFT: ProductDraft = {
  ...{ name: 'Crescent', doughName: 'Crescent', formulaId: 1, schemeId: null, freshFor: 120 },
  ...{ piece: SMALL_PRODUCT.piece, rises: { proof: RISE }, ...draftRoute(SMALL_PRODUCT.route) },
};
const BAKERY: MakingBakery = {
  machines: [
    { id: 'retarder', kind: 'retarder', label: 'retarder' },
    { id: 'proofer', kind: 'proofer', label: 'proofer' },
    { id: 'oven', kind: 'oven', label: 'oven' },
  ],
  people: [{ role: 'baker' }],
  isStaffed: true,
};
const said = (draft: Partial<ProductDraft>, bakery = BAKERY) =>
  productFaults({ ...DRAFT, ...draft }, bakery).map(({ at, message }) => [at, inEnglish(message)]);
const byName = (faults: readonly ProductFault[]) => faults.map((fault) => inEnglish(faultByName(fault)));

/** The product with one step of its dough or pieces as it should not be. */
function withStep(part: 'dough' | 'output', id: string, change: Partial<RouteStep>): Partial<ProductDraft> {
  const at = DRAFT[part][0]?.steps.find(({ step }) => step.id === id) as ThreadStep;
  return { [part]: changeStep(DRAFT[part], { ...at, step: { ...at.step, ...change } }) };
}
const wait = (shortest: number, best: number, longest: number) => ({
  wait: { shortest, best, longest, shortCost: 1, longCost: 1 },
});

describe('a product', () => {
  it('that can be planned has nothing wrong, and is the same route again', () => {
    expect(said({})).toEqual([]);
    expect(routeOfDraft(DRAFT).fork).toEqual(SMALL_PRODUCT.route.fork);
    expect(routeOfDraft(DRAFT).output.links).toEqual(SMALL_PRODUCT.route.output.links);
  });

  it('without a name or a formula says where', () => {
    expect(said({ name: ' ', formulaId: null }).map(([at]) => at)).toEqual(['name', 'formulaId']);
  });

  it.each<[string, Partial<ProductDraft>, string, RegExp]>([
    [
      'a step of 0 minutes',
      withStep('dough', 'mix', { work: { fixed: 0, people: 1 } }),
      'dough.mix',
      /up to 12 h/,
    ],
    [
      'hands of nobody',
      withStep('dough', 'mix', { work: { fixed: 5, people: 0 } }),
      'dough.mix',
      /1 to 10 people/,
    ],
    [
      'a wait of ten days',
      withStep('dough', 'retard', wait(480, 720, 14_400)),
      'dough.retard',
      /up to 7 days/,
    ],
    [
      'a wait that is best before it may end',
      withStep('dough', 'retard', wait(480, 60, 900)),
      'dough.retard',
      /in this order/,
    ],
    [
      'an oven of 400 °C',
      withStep('output', 'bake', { around: 400 }),
      'output.bake',
      /from -40 °C to 320 °C/,
    ],
    [
      'a phase of 400 °C',
      withStep('output', 'bake', { program: [{ celsius: 400, minutes: 5 }] }),
      'output.bake',
      /to 320 °C/,
    ],
    ['a core above boiling', withStep('output', 'bake', { core: [94, 180] }), 'output.bake', /20 to 110/],
    ['no name', withStep('output', 'load', { label: '  ' }), 'output.load', /name of 1 to 60/],
    [
      'a rise that nobody knows of',
      withStep('dough', 'retard', { rise: { phase: 'bulk', decides: true } }),
      'dough.retard',
      /that rise is not set/,
    ],
    [
      'hands and a wait',
      withStep('dough', 'mix', wait(1, 2, 3)),
      'dough.mix',
      /either hands-on work or a wait/,
    ],
  ])('with %s says so beside the step', (_, draft, at, words) => {
    expect(said(draft)).toEqual([[at, expect.stringMatching(words)]]);
  });

  it.each<[string, Partial<ProductDraft>, RegExp]>([
    ['no dough', { dough: removeStep(DRAFT.dough, 'mix') }, /No step mixes the dough/],
    ['no pieces', { output: [{ steps: [], joins: null }] }, /at least one step each/],
    ['a lamination that no step does', { schemeId: 4 }, /Add a Laminate step/],
    ['a piece of nothing', { piece: { ...DRAFT.piece, grams: 0 } }, /1 g to 20 kg/],
    ['half a piece on a tray', { piece: { ...DRAFT.piece, perTray: 0.5 } }, /1 to 500 pieces/],
    [
      'a sheet of nothing',
      { piece: { ...DRAFT.piece, cut: { mm: 0, size: { shape: 'square', base: 10, height: 10 } } } },
      /A sheet is cut at/,
    ],
    ['goods that are never fresh', { freshFor: 0 }, /from 15 min to 14 days/],
    ['a rise that never comes', { rises: { proof: { ...RISE, minutes: 0 } } }, /Enter a rise of/],
  ])('with %s says so', (_, draft, words) => {
    expect(said(draft).map(([, text]) => text)).toEqual([expect.stringMatching(words)]);
  });

  it('with a branch that comes to no end, or two steps of one id, says which', () => {
    const [main, butter] = DRAFT.dough;
    if (!main || !butter) throw new Error('The small dough has a branch.');
    const lost = [main, { ...butter, joins: { step: 'butter', gap: { min: 0 } } }];
    expect(said({ dough: lost }).map(([, text]) => text)).toEqual([
      expect.stringMatching(/butter joins nothing/),
    ]);
    expect(said({ dough: [main, butter, { ...butter }] }).map(([at]) => at)).toContain('dough');
  });

  it('that this bakery cannot make as it is names what is missing, and is no fault', () => {
    const none = {
      machines: [],
      people: [{ role: 'baker' as const, skills: ['bake' as const] }],
      isStaffed: false,
    };
    const lacks = productFaults(DRAFT, none);
    expect(lacks.every(({ isLack }) => isLack)).toBe(true);
    const texts = byName(lacks);
    expect(texts).toContain('proof: This bakery has no proofer.');
    expect(texts).toContain('mix: Nobody here has the skill.');
    expect(texts).toContainEqual(expect.stringMatching(/^Nobody has weekly shifts yet/));
    expect(texts).not.toContain('load: Nobody here has the skill.');
  });

  it('has nobody to end a wait behind which comes another, or nothing', () => {
    const ends = 'Nobody ends this wait. Add a step after it, such as Move or Finish.';
    const wait = { shortest: 30, best: 40, longest: 60, shortCost: 1, longCost: 1 };
    const cold: RouteStep = { id: 'cold', kind: 'retard', label: 'cold', around: 4, settling: 60, wait };
    expect(said({ dough: addStep(DRAFT.dough, 'retard', cold) })).toEqual([['dough.retard', ends]]);
    const last = DRAFT.output[0]?.steps.at(-1)?.step.id ?? '';
    expect(said({ output: addStep(DRAFT.output, last, cold) })).toEqual([['output.cold', ends]]);
  });
});
