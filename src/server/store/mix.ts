import { bowlsFor, oneBowl, roundToScale } from '@/core/formula/bowls';
import { type Formula, linesOf } from '@/core/formula/formula';
import type { Machine } from '@/core/bakery/machines';
import { riseByMixing } from '@/core/heat/friction';
import type { Ingredient, IngredientBook } from '@/core/formula/ingredient';
import { mixerOf } from '@/core/process/on-machines';
import type { MixSheet } from '@/core/process/mix-sheet';
import { scale } from '@/core/formula/scale';
import type { DoughRecord } from '@/core/record/dough';
import type { BowlTemperatures } from '@/core/heat/mixing';
import type { Place } from '@/core/heat/places';
import { houseNow } from './clock';
import { sizes } from './doughs';
import { learntMixing, mixSubject } from './evidence';
import { formulaOfDough, ingredientsAndFormulas } from './formulas';
import { houseSettings } from './house';
import { places } from './places';
import { type Db } from '../db/rows';

/**
 * The mixing sheet of a dough: its own formula version, scaled to its weight, split over bowls and rounded. Null where nothing
 * is mixed: a batch from the freezer.
 */
export async function mixSheet(
  db: Db,
  dough: Pick<DoughRecord, 'id' | 'kg' | 'outputs' | 'steps'>,
): Promise<MixSheet | null> {
  if (!dough.steps.some(({ step }) => step.kind === 'mix')) return null;
  const version = await formulaOfDough(db, dough.id);
  if (!version) return null;
  const book = await ingredientsAndFormulas(db);
  const [temperatures, takes, settings] = await Promise.all([
    bowlTemperatures(db),
    sizes(db),
    houseSettings(db),
  ]);
  const mixer = mixerOf(dough.steps) ?? '';
  const usual = usualRise(dough.steps, takes.equipment.machines, mixer);
  const learnt = await learntMixing(db, mixSubject(mixer, version.formulaId), usual);
  const net = dough.outputs.reduce((sum, { pieces, piece }) => sum + pieces * piece.grams, 0);
  const whole = scale(version.formula, book, { by: 'finished', grams: dough.kg * 1000, net });
  const bowls = bowlsFor(whole.doughGrams, takes.bowlKg * 1000);
  const steps = { coarse: settings.scaleCoarse, fine: settings.scaleFine };
  const { id, formulaId, name, version: nth, formula } = version;
  return {
    formula: { id, formulaId, name, version: nth, formula },
    ...{ whole, bowls, temperatures, ...learnt },
    bowl: roundToScale(oneBowl(whole, bowls), book, steps),
    ingredients: [...used(formula, book), ...book.all.filter(({ id: other }) => !uses(formula, other))],
  };
}

/** By how much mixing warms the dough by the kind of its mixer and the minutes of its step; null where one is not told. */
function usualRise(steps: DoughRecord['steps'], machines: readonly Machine[], mixer: string): number | null {
  const way = machines.find(({ id }) => id === mixer)?.details?.mixing;
  const speeds = steps.find(({ step }) => step.kind === 'mix')?.step.speeds;
  if (way === 'hand') return riseByMixing(way, { slow: 0, fast: 0 });
  return way && speeds ? riseByMixing(way, speeds) : null;
}

const uses = (formula: Formula, id: string) => linesOf(formula).some(({ ingredient }) => ingredient === id);

const used = (formula: Formula, book: IngredientBook): Ingredient[] =>
  book.all.filter(({ id }) => uses(formula, id));

/** What is reckoned with where a bakery has no such place, °C. */
const ROOM = 22;
const TAP = 13;

/** Temperatures at the bowl before anybody has told them: today's rooms, and the house's values for the rest. */
export async function bowlTemperatures(db: Db): Promise<BowlTemperatures> {
  const [known, settings] = await Promise.all([places(db, await houseNow(db)), houseSettings(db)]);
  const celsius = (is: (place: Place) => boolean) => {
    const place = known.find(is);
    return place && (place.reading?.celsius ?? place.usual);
  };
  const room = celsius(({ kind, purpose }) => kind === 'room' && purpose === 'dough') ?? ROOM;
  const flour = celsius(({ purpose }) => purpose === 'flour') ?? room;
  const tap = celsius(({ purpose }) => purpose === 'water') ?? TAP;
  return {
    ...{ flour, room, tap, preferment: room },
    ...{ fridge: settings.fridgeGoods, ice: settings.ice, warmest: settings.warmestLiquid },
  };
}
