import { METRIC } from '@/core/units/reader';
import { readMeasure } from '@/core/units/measure';
import type { Allergen } from '@/core/formula/ingredient';
import type { PieceSpec } from '@/core/process/route';
import { TOPPING_MOMENTS, WASH_MOMENTS, type Topping, type Wash } from '@/core/shaping/dressing';
import { FILLING_MOMENTS, type Filling } from '@/core/shaping/filling';
import { without } from '../kit/without';
import { SPREAD_AREA } from './facts';
import { typed } from '../kit/typed-form';

/** What a part of a dressing is. */
export type PartKind = 'fillings' | 'washes' | 'toppings';
export const PART_KINDS: readonly PartKind[] = ['fillings', 'washes', 'toppings'];

/** When parts of each kind can come to a piece. */
export const PART_MOMENTS = {
  fillings: FILLING_MOMENTS,
  washes: WASH_MOMENTS,
  toppings: TOPPING_MOMENTS,
} as const;

/** A filling, a wash or a topping as it is being typed. */
export interface PartText {
  key: number;
  kind: PartKind;
  name: string;
  formulaId: number | null;
  moment: string;
  grams: string;
  per: Filling['per'];
  limit: string;
  bareEdge: string;
  where: string;
  allergens: Allergen[];
}

/** A part that is begun, with what is usual for its kind. */
export const newPart = (kind: PartKind, key: number): PartText => ({
  ...{ key, kind, name: '', formulaId: null, per: 'piece', where: '', allergens: [] },
  moment: kind === 'fillings' ? 'laid' : 'proofed',
  ...(kind === 'fillings' ? { grams: '20 g', limit: '40 g' } : { grams: '', limit: '' }),
  bareEdge: '1 cm',
});

/** The parts of a piece as their rows begin. */
export function beginParts({ fillings = [], washes = [], toppings = [] }: PieceSpec): PartText[] {
  const row = (kind: PartKind, part: Wash | Topping | Filling): Omit<PartText, 'key'> => ({
    ...newPart(kind, 0),
    ...{ name: part.name, formulaId: part.formulaId ?? null, moment: part.moment },
    ...{ where: part.where ?? '', allergens: part.allergens ?? [], grams: typed(part.grams, 'g') },
  });
  return [
    ...fillings.map((filling) => ({
      ...row('fillings', filling),
      ...{ per: filling.per, limit: typed(filling.limit, 'g'), bareEdge: typed(filling.bareEdge, 'cm') },
      grams: typed(filling.per === 'piece' ? filling.grams : filling.grams * SPREAD_AREA, 'g'),
    })),
    ...washes.map((wash) => row('washes', wash)),
    ...toppings.map((topping) => row('toppings', topping)),
  ].map((part, key) => ({ ...part, key }));
}

/** The numbers of a part: NaN where one cannot be read; a wash or a topping need not be weighed. */
export function partNumbers({ kind, grams, limit, bareEdge }: PartText) {
  const isUnweighed = kind !== 'fillings' && grams.trim() === '';
  return {
    grams: isUnweighed ? 0 : readMeasure('grams', grams, METRIC),
    limit: kind === 'fillings' ? readMeasure('grams', limit, METRIC) : 0,
    bareEdge: kind === 'fillings' ? readMeasure('cm', bareEdge, METRIC) : 0,
  };
}

/** The piece with these parts; null where a number of one cannot be read, or one has no name. */
export function withParts(piece: PieceSpec, parts: readonly PartText[]): PieceSpec | null {
  const read = parts.map((part) => ({ part, numbers: partNumbers(part) }));
  const isUnread = ({ part, numbers }: (typeof read)[number]) =>
    part.name.trim() === '' || Object.values(numbers).some((value) => Number.isNaN(value));
  if (read.some(isUnread)) return null;
  const of = (kind: PartKind) => read.filter(({ part }) => part.kind === kind);
  const shared = ({ part, numbers }: (typeof read)[number]) => ({
    name: part.name.trim(),
    ...(part.formulaId === null ? {} : { formulaId: part.formulaId }),
    ...(part.allergens.length > 0 ? { allergens: part.allergens } : {}),
    ...(part.where.trim() === '' ? {} : { where: part.where.trim() }),
    ...(part.grams.trim() === '' ? {} : { grams: numbers.grams }),
  });
  const fillings = of('fillings').map((one): Filling => {
    const { per, moment, where } = one.part;
    const { grams, limit, bareEdge } = one.numbers;
    return {
      ...shared(one),
      ...{ per, limit, bareEdge, where: where.trim(), moment: moment as Filling['moment'] },
      grams: per === 'piece' ? grams : grams / SPREAD_AREA,
    };
  });
  const washes = of('washes').map((one): Wash => ({
    ...shared(one),
    moment: one.part.moment as Wash['moment'],
  }));
  const toppings = of('toppings').map((one): Topping => ({
    ...shared(one),
    moment: one.part.moment as Topping['moment'],
  }));
  return {
    ...without(piece, 'fillings', 'washes', 'toppings'),
    ...(fillings.length > 0 ? { fillings } : {}),
    ...(washes.length > 0 ? { washes } : {}),
    ...(toppings.length > 0 ? { toppings } : {}),
  };
}
