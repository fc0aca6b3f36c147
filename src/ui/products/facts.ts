import { coded, type Coded } from '@/core/codes/coded';
import { MACHINE_WORDS } from '@/core/bakery/machine-words';
import { SHAPE_WORDS } from '@/core/cutting/piece';
import { PLACE_KINDS } from '@/core/heat/places';
import type { PieceSpec, Rise, RisePhase, RouteStep } from '@/core/process/route';
import { TOPPING_MOMENTS, WASH_MOMENTS } from '@/core/shaping/dressing';
import { FILLING_MOMENTS } from '@/core/shaping/filling';
import { PHASE_NAMES } from '@/core/process/step-words';

/** What a step is about, in a line: how long, by whom, where. */
export function stepFacts(
  { work, wait, holds = [], place, around, kind }: RouteStep,
  scheme: string,
): Coded[] {
  if (kind === 'laminate') return scheme === '' ? [] : [coded('product.laminateFacts', { scheme })];
  const machines = holds.map(({ machine }) => MACHINE_WORDS[machine]);
  const where = machines.length > 0 ? machines : place ? [PLACE_KINDS[place].label] : [];
  return [
    ...(work ? workFacts(work) : []),
    ...(wait ? [waitFacts(wait)] : []),
    ...where,
    ...(wait ? [coded('product.around', { celsius: { celsius: around } })] : []),
  ];
}

function workFacts({ fixed, perKg = 0, perPiece = 0, people }: NonNullable<RouteStep['work']>): Coded[] {
  const minutes = { minutes: fixed };
  const hands = [
    coded('product.workFacts', { minutes }),
    coded('product.workKg', { minutes, perKg }),
    coded('product.workPiece', { minutes, perPiece }),
    coded('product.workMore', { minutes, perKg, perPiece }),
  ][(perKg > 0 ? 1 : 0) + (perPiece > 0 ? 2 : 0)];
  return [...(hands ? [hands] : []), ...(people > 1 ? [coded('product.peopleFacts', { people })] : [])];
}

const waitFacts = ({ shortest, best, longest }: NonNullable<RouteStep['wait']>): Coded =>
  shortest === longest
    ? coded('product.waitOf', { best: { minutes: best } })
    : coded('product.waitFacts', {
        ...{ shortest: { minutes: shortest }, longest: { minutes: longest }, best: { minutes: best } },
      });

/** What a piece is like: weight, trays, and how it is cut. */
export function pieceFacts({ grams, perTray, cut, tolerance = 0 }: PieceSpec): Coded[] {
  const weight = coded('product.pieceFacts', { grams: { grams }, perTray });
  if (!cut) return [weight, coded('product.divided', { tolerance: { grams: tolerance } })];
  const { size, mm } = cut;
  const { label, height } = SHAPE_WORDS[size.shape];
  const base = { cm: size.base };
  return [
    weight,
    height
      ? coded('product.cutFacts', { shape: label, base, height: { cm: size.height }, mm: { mm } })
      : coded('product.roundFacts', { shape: label, base, mm: { mm } }),
  ];
}

/** The area that a spread filling is told for, cm². */
export const SPREAD_AREA = 100;

/** What goes into and onto a piece. */
export function dressingFacts({ fillings = [], washes = [], toppings = [] }: PieceSpec): Coded[] {
  return [
    ...(fillings.length === 0 ? [coded('product.noFilling')] : []),
    ...fillings.map(({ name, grams, per, moment }) =>
      coded(per === 'piece' ? 'product.fillingFacts' : 'product.spreadFacts', {
        ...{ name, grams: { grams: per === 'piece' ? grams : grams * SPREAD_AREA } },
        moment: { inLine: FILLING_MOMENTS[moment] },
      }),
    ),
    ...washes.map(({ name, moment }) =>
      coded('product.partFacts', { name, moment: { inLine: WASH_MOMENTS[moment] } }),
    ),
    ...toppings.map(({ name, moment }) =>
      coded('product.partFacts', { name, moment: { inLine: TOPPING_MOMENTS[moment] } }),
    ),
  ];
}

export const riseFacts = (rises: Partial<Record<RisePhase, Rise>>): Coded[] =>
  (Object.entries(rises) as [RisePhase, Rise][]).map(([phase, { minutes, celsius }]) =>
    coded('product.riseFacts', {
      ...{ phase: PHASE_NAMES[phase], minutes: { minutes }, celsius: { celsius } },
    }),
  );
