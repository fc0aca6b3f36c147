import type { PieceShape } from '@/core/cutting/piece';
import type { PieceSpec, ProductRoute, ProductSpec, Rise } from '@/core/process/route';
import type { Filling } from '@/core/shaping/filling';
import type { Topping, Wash } from '@/core/shaping/topping';
import type { ShapeKind } from '@/core/shaping/shapes';
import {
  briocheBase,
  briocheFork,
  crescentBase,
  danishBase,
  fork,
  levainBase,
  output,
  poppyFilling,
  wait,
  work,
} from './routes';

/** What the demo bakery makes: pieces, routes and how each dough rises. */
export interface DemoProduct {
  name: string;
  doughName: string;
  formula: string;
  /** Name of its lamination scheme; null for a dough that is not laminated. */
  scheme: string | null;
  piece: PieceSpec;
  route: ProductRoute;
  freshFor: number;
  rises: NonNullable<ProductSpec['rises']>;
}

const crescentProof = wait(75, 110, 150, 5, 2);
const THREE = 'Three letter folds';
const SCHEMES: Record<string, string> = {
  'Crescent dough': THREE,
  'Levain crescent dough': THREE,
  'Danish dough': 'Book, then letter',
};

type Piece = Omit<PieceSpec, 'grams' | 'perTray' | 'scrap'>;

const EGG: Wash = { name: 'whole egg, a light hand', allergens: ['egg'] };
const MILK: Wash = { name: 'milk', allergens: ['milk'] };

/** What each is brushed with, and how it is told apart when it is baked. */
const DRESSING: Record<string, { wash?: Wash; topping?: Topping }> = {
  'Butter crescent': { wash: EGG, topping: { mark: 'plain, tips bent in' } },
  'Chocolate roll': { wash: EGG, topping: { mark: 'two slits across' } },
  'Raisin snail': { wash: EGG, topping: { mark: 'almond flakes', allergens: ['nuts'] } },
  'Almond crescent': { wash: EGG, topping: { mark: 'almond flakes, straight', allergens: ['nuts'] } },
  'Seeded cheese crescent': {
    wash: EGG,
    topping: { mark: 'sesame and grated cheese', allergens: ['milk', 'sesame'] },
  },
  'Poppy danish': { wash: EGG, topping: { mark: 'poppy seed in the middle' } },
  'Plum danish': { wash: EGG, topping: { mark: 'half a plum, sugar nibs' } },
  'Brioche knot': { wash: EGG, topping: { mark: 'sugar nibs' } },
  'Brioche loaf': { wash: EGG, topping: { mark: 'one cut along' } },
  'Levain crescent': { wash: MILK, topping: { mark: 'straight, dusted with rye', allergens: ['gluten'] } },
  'Sugared bun': { topping: { mark: 'turned in sugar when hot' } },
};

const product = (
  name: string,
  doughName: string,
  formula: string,
  [grams, perTray, scrap]: [number, number, number],
  made: Piece,
  route: ProductRoute,
  rises: DemoProduct['rises'],
): DemoProduct => ({
  ...{ name, doughName, formula, scheme: SCHEMES[formula] ?? null, freshFor: 150, route, rises },
  piece: { grams, perTray, scrap, ...DRESSING[name], ...made },
});

const cut = (shape: PieceShape, base: number, height: number, mm: number, as: ShapeKind): Piece => ({
  cut: { size: { shape, base, height }, mm },
  shape: as,
});
const divided = (tolerance: number, as: ShapeKind): Piece => ({ tolerance, shape: as });
/** Almonds. */
const NUTS: Partial<Filling> = { allergens: ['nuts'] };
const filled = (
  name: string,
  grams: number,
  limit: number,
  moment: Filling['moment'],
  where: string,
  more: Partial<Filling> = {},
): { filling: Filling } => ({
  filling: { name, grams, per: 'piece', limit, bareEdge: 1, moment, where, ...more },
});

const rise = (
  celsius: number,
  minutes: number,
  early: number,
  late: number,
  yeast: Rise['yeast'] = 'bakers',
) => {
  return { yeast, celsius, minutes, early, late };
};
const bulk60 = rise(24, 60, 0.7, 1.25);
const night = { bulk: bulk60, proof: rise(26, 150, 0.8, 1.25) };
const brioche = (minutes: number) => ({
  ...{ sponge: rise(24, 30, 0.7, 1.6), bulk: rise(25, 90, 0.75, 1.25) },
  proof: rise(28, minutes, 0.8, 1.25),
});

const BASIC: DemoProduct[] = [
  product(
    'Butter crescent',
    'Crescent',
    'Crescent dough',
    [62, 15, 0.04],
    cut('triangle', 11, 27, 3.9, 'crescent'),
    {
      ...{ dough: crescentBase, fork },
      output: output({
        shape: work(4, 0, 0.2),
        night: true,
        proof: crescentProof,
        proofAt: 26,
        bakeAt: 185,
        bakeMinutes: 18,
        finish: 'Rack and count',
      }),
    },
    night,
  ),
  product(
    'Chocolate roll',
    'Chocolate roll',
    'Crescent dough',
    [70, 12, 0.03],
    {
      ...cut('rectangle', 10.5, 16, 3.9, 'roll'),
      ...filled('chocolate sticks', 10, 14, 'laid', 'two sticks, the first a finger from the near edge'),
    },
    {
      ...{ dough: crescentBase, fork },
      output: output({
        shape: work(4, 0, 0.25),
        night: true,
        proof: crescentProof,
        proofAt: 26,
        bakeAt: 185,
        bakeMinutes: 17,
        finish: 'Rack and count',
      }),
    },
    night,
  ),
  product(
    'Raisin snail',
    'Snail',
    'Crescent dough',
    [85, 12, 0.03],
    {
      ...cut('slice', 3.6, 56.5, 3.9, 'snail'),
      ...filled(
        'almond cream',
        0.11,
        30,
        'spread',
        'over the whole sheet, raisins strewn on it; the far edge bare',
        { per: 'area', bareEdge: 2, ...NUTS },
      ),
    },
    {
      ...{ dough: crescentBase, fork },
      output: output({
        shape: work(8, 0, 0.3),
        night: true,
        proof: crescentProof,
        proofAt: 26,
        bakeAt: 185,
        bakeMinutes: 19,
        finish: 'Glaze and rack',
      }),
    },
    night,
  ),
  product(
    'Poppy danish',
    'Danish',
    'Danish dough',
    [75, 12, 0.04],
    {
      ...cut('square', 12, 0, 4.9, 'pocket'),
      ...filled('poppy filling', 28, 35, 'laid', 'a spoon in the middle, edges bare'),
    },
    {
      ...{ dough: danishBase, fork },
      output: output(
        {
          shape: work(5, 0, 0.3),
          night: true,
          proof: wait(70, 95, 140, 5, 2),
          proofAt: 26,
          bakeAt: 175,
          bakeMinutes: 17,
          finish: 'Ice and rack',
        },
        poppyFilling,
      ),
    },
    { bulk: rise(21, 45, 0.7, 1.3), proof: rise(26, 135, 0.8, 1.25) },
  ),
  product(
    'Brioche knot',
    'Brioche',
    'Brioche dough',
    [60, 15, 0.02],
    divided(2, 'bun'),
    {
      ...{ dough: briocheBase, fork: briocheFork },
      output: output({
        shape: work(4, 0, 0.3),
        proof: wait(90, 130, 170, 5, 2),
        proofAt: 28,
        core: [88, 92],
        bakeAt: 170,
        bakeMinutes: 14,
        finish: 'Rack and count',
      }),
    },
    brioche(150),
  ),
  product(
    'Brioche loaf',
    'Brioche',
    'Brioche dough',
    [420, 6, 0.02],
    { ...divided(8, 'bun'), tins: 1 },
    {
      ...{ dough: briocheBase, fork: briocheFork },
      output: output({
        shape: work(4, 0, 1),
        proof: wait(110, 150, 190, 5, 2),
        proofAt: 28,
        core: [88, 92],
        bakeAt: 170,
        bakeMinutes: 32,
        finish: 'Unmould and rack',
      }),
    },
    brioche(175),
  ),
  product(
    'Levain crescent',
    'Levain',
    'Levain crescent dough',
    [64, 15, 0.04],
    cut('triangle', 11, 28, 3.9, 'crescent'),
    {
      ...{ dough: levainBase, fork },
      output: output({
        shape: work(4, 0, 0.2),
        night: true,
        proof: wait(150, 200, 260, 4, 2),
        proofAt: 26,
        bakeAt: 185,
        bakeMinutes: 18,
        finish: 'Rack and count',
      }),
    },
    {
      levain: rise(22, 600, 0.85, 1.2, 'levain'),
      bulk: rise(25, 120, 0.75, 1.45, 'levain'),
      proof: rise(26, 200, 0.8, 1.3, 'levain'),
    },
  ),
  product(
    'Sugared bun',
    'Brioche',
    'Brioche dough',
    [70, 12, 0.02],
    { ...divided(2, 'bun'), tins: 1 },
    {
      ...{ dough: briocheBase, fork: briocheFork },
      output: output({
        shape: work(6, 0, 0.35),
        proof: wait(90, 130, 170, 5, 2),
        proofAt: 28,
        core: [88, 92],
        bakeAt: 170,
        bakeMinutes: 16,
        finish: 'Unmould hot, sugar and rack',
      }),
    },
    brioche(150),
  ),
];

/** The same piece of the same dough with another filling. */
function variant(
  of: string,
  name: string,
  { filling, shape, finish }: { filling: Filling; shape?: ShapeKind; finish: string },
): DemoProduct {
  const basic = BASIC.find((one) => one.name === of);
  if (!basic) throw new Error(`There is no ${of} to vary.`);
  // What the basic product is filled with is not cooked for this one.
  const steps = basic.route.output.steps
    .filter(({ branch }) => branch !== 'filling')
    .map((step) => (step.id === 'finish' ? { ...step, label: finish } : step));
  const has = (id: string) => steps.some((step) => step.id === id);
  const links = basic.route.output.links.filter(({ from, to }) => has(from) && has(to));
  const route: ProductRoute = { ...basic.route, output: { steps, links } };
  return {
    ...{ ...basic, name, route },
    piece: { ...basic.piece, ...DRESSING[name], filling, shape: shape ?? basic.piece.shape, variantOf: of },
  };
}

export const PRODUCTS: DemoProduct[] = [
  ...BASIC,
  variant('Butter crescent', 'Almond crescent', {
    ...filled('almond cream', 24, 30, 'laid', 'a strip along the base, 1 cm bare on three sides', NUTS),
    finish: 'Dust and rack',
  }),
  variant('Butter crescent', 'Seeded cheese crescent', {
    ...filled('grated cheese', 14, 20, 'laid', 'on the lower half, tips bare; seeds on the wash'),
    finish: 'Rack and count',
  }),
  variant('Poppy danish', 'Plum danish', {
    ...filled('half plums, sugared', 34, 40, 'laid', 'in the middle, cut side up'),
    shape: 'pinwheel',
    finish: 'Glaze and rack',
  }),
];
