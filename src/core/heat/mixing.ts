import type { IngredientBook } from '../formula/ingredient';
import { isPreferment } from '../formula/formula';
import type { ScaledFormula } from '../formula/scale';
import { doughCelsius, frictionFactor, type MixPart, type MixQuestion, riseOf, WATER_HEAT } from './water';

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

/** What parts of a bowl are alike in where they come from, and so in how warm they are. */
export type PartGroup = 'flour' | 'preferment' | 'cold' | 'rest';

/** A mix as a question of heat, with the words for its answer. */
export interface Mixing {
  question: MixQuestion;
  /** What each part of the question is. */
  groups: readonly PartGroup[];
  /** Which part of the question is the flour; −1 without. */
  flour: number;
  /** The liquid that is solved for: water, or else the milk or egg there is most of. */
  liquid: { ingredient: string; name: string; grams: number };
  /** Terms of the factor rule: flour, room, and preferment where there is one. */
  terms: number[];
}

const kindIn = (book: IngredientBook, id: string) => book.get(id)?.kind;

/** What may be warmed and cooled for a dough's temperature: water, milk and what is like it, juice. Raw egg never is. */
function isLiquid(book: IngredientBook, id: string): boolean {
  const known = book.get(id);
  return known !== undefined && known.kind !== 'egg' && known.kind !== 'fat' && known.water > 0.6;
}

/** The lines that are mixed as they come: of the dough and its autolyse; of a sponge where only that has a liquid. */
function mixedLines(bowl: ScaledFormula, book: IngredientBook) {
  const of = (kinds: readonly string[]) =>
    bowl.stages
      .filter(({ kind }) => kinds.includes(kind))
      .flatMap((stage) => stage.lines)
      .filter(({ grams }) => grams > 0);
  const dough = of(['dough', 'autolyse']);
  const withSponge = of(['dough', 'autolyse', 'sponge']);
  const hasLiquid = (lines: typeof dough) => lines.some(({ ingredient }) => isLiquid(book, ingredient));
  const sponge = !hasLiquid(dough) && hasLiquid(withSponge);
  return { lines: sponge ? withSponge : dough, sponge };
}

function groupOf(book: IngredientBook, ingredient: string): PartGroup {
  switch (kindIn(book, ingredient)) {
    case 'flour':
      return 'flour';
    case 'dairy':
    case 'egg':
    case 'fat':
      return 'cold';
    case 'starter':
      return 'preferment';
    default:
      return 'rest';
  }
}

function partOf(
  { ingredient, grams }: { ingredient: string; grams: number },
  book: IngredientBook,
  at: BowlTemperatures,
): MixPart {
  const rest = kindIn(book, ingredient) === 'water' ? at.tap : at.room;
  const celsius = { ...{ flour: at.flour, preferment: at.preferment, cold: at.fridge }, rest }[
    groupOf(book, ingredient)
  ];
  return { kg: grams / 1000, heat: book.get(ingredient)?.heat ?? 2.9, celsius };
}

/** Preferments that come into the dough ripe, each as one part. */
function prefermentParts(
  bowl: ScaledFormula,
  book: IngredientBook,
  at: BowlTemperatures,
  sponge: boolean,
): MixPart[] {
  return bowl.stages
    .filter(({ kind, grams }) => isPreferment(kind) && grams > 0 && !(sponge && kind === 'sponge'))
    .map(({ lines, grams }) => {
      const heat = lines.reduce(
        (sum, line) => sum + line.grams * (book.get(line.ingredient)?.heat ?? 2.9),
        0,
      );
      return { kg: grams / 1000, heat: heat / grams, celsius: at.preferment };
    });
}

/** Temperatures of what goes in, the dough's target, and its rise by mixing, °C. */
export interface MixingAim {
  at: BowlTemperatures;
  target: number;
  rise: number;
}

/**
 * What the water of one bowl must do: every ingredient with its own heat and temperature, preferments each as one part.
 * Solved for the water, else for the milk or other liquid that there is most of; null where there is none of these: see
 * `doughAsItComes`.
 */
export function mixingOf(
  bowl: ScaledFormula,
  book: IngredientBook,
  { at, target, rise }: MixingAim,
): Mixing | null {
  const { lines, sponge } = mixedLines(bowl, book);
  const kindOf = (id: string) => kindIn(book, id);
  const most = (test: (id: string) => boolean) =>
    lines.filter(({ ingredient }) => test(ingredient)).sort((a, b) => b.grams - a.grams)[0];
  const liquid =
    most((id) => kindOf(id) === 'water' && book.get(id)?.id !== 'ice') ?? most((id) => isLiquid(book, id));
  if (!liquid) return null;
  const others = lines.filter((line) => line !== liquid);
  const ripe = prefermentParts(bowl, book, at, sponge);
  const isWater = kindOf(liquid.ingredient) === 'water';
  return {
    question: {
      parts: [...others.map((line) => partOf(line, book, at)), ...ripe],
      liquid: {
        kg: liquid.grams / 1000,
        heat: isWater ? WATER_HEAT : (book.get(liquid.ingredient)?.heat ?? 3.9),
        isWater,
      },
      ...{ target, rise, coldest: isWater ? at.tap : at.fridge, ice: at.ice, warmest: at.warmest },
    },
    groups: [
      ...others.map(({ ingredient }) => groupOf(book, ingredient)),
      ...ripe.map(() => 'preferment' as const),
    ],
    flour: others.findIndex(({ ingredient }) => kindOf(ingredient) === 'flour'),
    liquid: {
      ingredient: liquid.ingredient,
      name: book.get(liquid.ingredient)?.name ?? 'liquid',
      grams: liquid.grams,
    },
    terms: [at.flour, at.room, ...(ripe.length > 0 ? [at.preferment] : [])],
  };
}

/** The temperature, °C, that a dough without water and milk comes to as its ingredients are; null where it has none. */
export function doughAsItComes(
  bowl: ScaledFormula,
  book: IngredientBook,
  at: BowlTemperatures,
  rise: number,
): number | null {
  const { lines, sponge } = mixedLines(bowl, book);
  const [first, ...parts] = [
    ...lines.map((line) => partOf(line, book, at)),
    ...prefermentParts(bowl, book, at, sponge),
  ];
  return first ? doughCelsius(parts, first, rise) : null;
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
