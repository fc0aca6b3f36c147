import type { IngredientBook } from '../formula/ingredient';
import { isPreferment } from '../formula/formula';
import type { ScaledFormula } from '../formula/scale';
import { frictionFactor, riseOf, WATER_HEAT, type MixPart, type MixQuestion } from './water';

/** Temperatures at the bowl, °C. */
export interface BowlTemperatures {
  flour: number;
  room: number;
  /** Milk, eggs, butter as they come from the cold. */
  fridge: number;
  tap: number;
  preferment: number;
  ice: number;
  /** Hottest liquid that the yeast bears. */
  warmest: number;
}

/** A mix as a question of heat, with the words for its answer. */
export interface Mixing {
  question: MixQuestion;
  /** Which part of the question is the flour; −1 without. */
  flour: number;
  /** The liquid that is solved for: water, or else the milk or egg there is most of. */
  liquid: { ingredient: string; name: string; grams: number };
  /** Terms of the factor rule: flour, room, and preferment where there is one. */
  terms: number[];
}

/**
 * What the water of one bowl must do: every ingredient with its own heat and temperature, preferments each as one part.
 * Null where the dough has no liquid to set the temperature with.
 */
export function mixingOf(
  bowl: ScaledFormula,
  book: IngredientBook,
  at: BowlTemperatures,
  target: number,
  rise: number,
): Mixing | null {
  const lines = bowl.stages
    .filter(({ kind }) => kind === 'dough' || kind === 'autolyse')
    .flatMap((stage) => stage.lines)
    .filter(({ grams }) => grams > 0);
  const kindOf = (id: string) => book.get(id)?.kind;
  const most = (kind: string) =>
    lines.filter(({ ingredient }) => kindOf(ingredient) === kind).sort((a, b) => b.grams - a.grams)[0];
  const liquid =
    most('water') ??
    lines
      .filter(({ ingredient }) => (book.get(ingredient)?.water ?? 0) > 0.7)
      .sort((a, b) => b.grams - a.grams)[0];
  if (!liquid) return null;
  const temperature = (id: string): number => {
    const kind = kindOf(id);
    if (kind === 'flour') return at.flour;
    if (kind === 'dairy' || kind === 'egg' || kind === 'fat') return at.fridge;
    return kind === 'starter' ? at.preferment : kind === 'water' ? at.tap : at.room;
  };
  const parts: MixPart[] = lines
    .filter((line) => line !== liquid)
    .map(({ ingredient, grams }) => ({
      ...{ kg: grams / 1000, heat: book.get(ingredient)?.heat ?? 2.9, celsius: temperature(ingredient) },
    }));
  const preferments = bowl.stages.filter(({ kind }) => isPreferment(kind));
  for (const { lines: own, grams } of preferments) {
    const heat = own.reduce((sum, line) => sum + line.grams * (book.get(line.ingredient)?.heat ?? 2.9), 0);
    if (grams > 0) parts.push({ kg: grams / 1000, heat: heat / grams, celsius: at.preferment });
  }
  const isWater = kindOf(liquid.ingredient) === 'water';
  const flour = lines
    .filter((line) => line !== liquid)
    .findIndex(({ ingredient }) => kindOf(ingredient) === 'flour');
  return {
    question: {
      parts,
      liquid: {
        kg: liquid.grams / 1000,
        heat: isWater ? WATER_HEAT : (book.get(liquid.ingredient)?.heat ?? 3.9),
        isWater,
      },
      ...{ target, rise, coldest: isWater ? at.tap : at.fridge, ice: at.ice, warmest: at.warmest },
    },
    flour,
    liquid: {
      ingredient: liquid.ingredient,
      name: book.get(liquid.ingredient)?.name ?? 'liquid',
      grams: liquid.grams,
    },
    terms: [at.flour, at.room, ...(preferments.length > 0 ? [at.preferment] : [])],
  };
}

/** What a mix that came out at `dough` °C teaches: its rise, and without ice its friction factor. */
export function lessonOf(
  { question, terms }: Mixing,
  liquidCelsius: number,
  iceKg: number,
  dough: number,
): { rise: number; factor: number | null } {
  const { parts, liquid, ice } = question;
  const rest = { kg: Math.max(0, liquid.kg - iceKg), heat: liquid.heat, celsius: liquidCelsius };
  const rise = riseOf([...parts, rest], iceKg, ice, dough);
  return { rise, factor: iceKg > 0 ? null : frictionFactor(dough, liquidCelsius, terms) };
}
