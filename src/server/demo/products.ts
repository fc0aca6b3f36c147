import type { PieceSpec, ProductRoute, ProductSpec, Rise } from '@/core/route/route';
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
  piece: PieceSpec;
  route: ProductRoute;
  freshFor: number;
  rises: NonNullable<ProductSpec['rises']>;
}

const crescentProof = wait(75, 110, 150, 5, 2);
const product = (
  name: string,
  doughName: string,
  formula: string,
  [grams, perTray, scrap]: [number, number, number],
  route: ProductRoute,
  rises: DemoProduct['rises'],
): DemoProduct => ({
  name,
  doughName,
  formula,
  piece: { grams, perTray, scrap },
  route,
  freshFor: 150,
  rises,
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

export const PRODUCTS: DemoProduct[] = [
  product(
    'Butter crescent',
    'Crescent',
    'Crescent dough',
    [62, 15, 0.07],
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
    [70, 12, 0.05],
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
    [85, 12, 0.06],
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
    [75, 12, 0.08],
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
    {
      ...{ dough: briocheBase, fork: briocheFork },
      output: output({
        shape: work(4, 0, 0.3),
        proof: wait(90, 130, 170, 5, 2),
        proofAt: 28,
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
    {
      ...{ dough: briocheBase, fork: briocheFork },
      output: output({
        shape: work(4, 0, 1),
        proof: wait(110, 150, 190, 5, 2),
        proofAt: 28,
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
    [64, 15, 0.07],
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
];
