/** Specific heats for mixing, kJ/(kg·K), and the heat that melts a kilogram of ice, kJ. */
export const WATER_HEAT = 4.19;
export const ICE_HEAT = 2.1;
export const ICE_MELTS = 334;

/** What goes into the bowl beside the liquid that is solved for. */
export interface MixPart {
  kg: number;
  /** kJ/(kg·K). */
  heat: number;
  celsius: number;
}

export interface MixQuestion {
  parts: readonly MixPart[];
  /** The liquid whose temperature is asked for. Ice can stand in only for water. */
  liquid: { kg: number; heat: number; isWater: boolean };
  /** Desired dough temperature, °C. */
  target: number;
  /** By how many °C mixing warms the whole dough. */
  rise: number;
  /** The coldest that the liquid comes from tap or fridge, °C. */
  coldest: number;
  /** Ice as it comes from its freezer, °C. */
  ice: number;
  /** Above this a liquid harms the yeast, °C. */
  warmest: number;
}

/** Heat of the parts against a temperature, kJ: what they take up to come to it. */
const takesUp = (parts: readonly MixPart[], target: number) =>
  parts.reduce((sum, { kg, heat, celsius }) => sum + kg * heat * (target - celsius), 0);

const capacity = (parts: readonly MixPart[]) => parts.reduce((sum, { kg, heat }) => sum + kg * heat, 0);

/**
 * The temperature that all of the liquid must have: Σ m·c·(target − T) over everything equals the heat of mixing, which
 * is the rise times the heat capacity of the whole dough. May be below freezing, or far too hot: see `waterAnswer`.
 */
export function liquidCelsius({
  parts,
  liquid,
  target,
  rise,
}: Omit<MixQuestion, 'coldest' | 'ice' | 'warmest'>): number {
  const own = liquid.kg * liquid.heat;
  if (!(own > 0)) throw new RangeError('There is no liquid to set the temperature with.');
  return target - (rise * (capacity(parts) + own) - takesUp(parts, target)) / own;
}

/** The temperature that a dough comes to with its liquid at `celsius`. */
export function doughCelsius(parts: readonly MixPart[], liquid: MixPart, rise: number): number {
  const all = [...parts, liquid];
  const heat = all.reduce((sum, part) => sum + part.kg * part.heat * part.celsius, 0);
  return heat / capacity(all) + rise;
}

/** The rise that a mix had: its dough's temperature less that of its parts brought together, ice and all. */
export function riseOf(parts: readonly MixPart[], iceKg: number, iceCelsius: number, dough: number): number {
  const ice = iceKg * (WATER_HEAT * dough - ICE_HEAT * iceCelsius + ICE_MELTS);
  const whole = capacity(parts) + iceKg * WATER_HEAT;
  return (takesUp(parts, dough) + ice) / whole;
}

/**
 * Kilograms of ice among `liquid.kg` of water, the rest at `coldest`, that bring the dough to its target. 0 where the
 * tap is cold enough; more than there is water where even ice alone does not do.
 */
export function iceFor(question: MixQuestion): number {
  const { parts, liquid, target, rise, coldest, ice } = question;
  const mixing = rise * (capacity(parts) + liquid.kg * WATER_HEAT);
  const missing = mixing - takesUp(parts, target) - liquid.kg * WATER_HEAT * (target - coldest);
  if (missing <= 0) return 0;
  const perKg = WATER_HEAT * target - ICE_HEAT * ice + ICE_MELTS - WATER_HEAT * (target - coldest);
  return missing / perKg;
}

/** What to do for a desired dough temperature. Weights in kg. */
export type WaterAnswer =
  | { kind: 'liquid'; celsius: number }
  | { kind: 'ice'; iceKg: number; waterKg: number; celsius: number }
  /** As cold as it gets, and the dough still comes out at `dough`. */
  | { kind: 'too-warm-room'; celsius: number; dough: number; iceKg: number }
  /** Would have to be `celsius`, which harms the yeast: at the warmest allowed the dough comes to `dough`. */
  | { kind: 'too-hot'; celsius: number; dough: number; flourCelsius: number | null };

/**
 * Solves for the liquid, with ice where the tap is too warm and a stop where it would have to be hotter than yeast
 * bears. `flour` says which part is the flour, so that warming it can be offered instead.
 */
export function waterAnswer(question: MixQuestion, flour = 0): WaterAnswer {
  const { parts, liquid, target, rise, coldest, warmest, ice } = question;
  const celsius = liquidCelsius(question);
  if (celsius > warmest) {
    const dough = doughCelsius(parts, { ...liquid, celsius: warmest }, rise);
    const part = parts[flour];
    const own = part ? part.kg * part.heat : 0;
    const whole = capacity(parts) + liquid.kg * liquid.heat;
    const warmer = part && own > 0 ? part.celsius + ((target - dough) * whole) / own : null;
    return { kind: 'too-hot', celsius, dough, flourCelsius: warmer };
  }
  if (celsius >= coldest) return { kind: 'liquid', celsius };
  if (!liquid.isWater) {
    return {
      ...{ kind: 'too-warm-room', celsius: coldest, iceKg: 0 },
      dough: doughCelsius(parts, { ...liquid, celsius: coldest }, rise),
    };
  }
  const iceKg = iceFor(question);
  if (iceKg <= liquid.kg) return { kind: 'ice', iceKg, waterKg: liquid.kg - iceKg, celsius: coldest };
  // All of the water as ice: its heat of melting counts as if it were far colder water.
  const asWater = (ICE_HEAT * ice - ICE_MELTS) / WATER_HEAT;
  const dough = doughCelsius(parts, { ...liquid, heat: WATER_HEAT, celsius: asWater }, rise);
  return { kind: 'too-warm-room', celsius: ice, dough, iceKg: liquid.kg };
}

/**
 * The factor rule: water = n · target − (flour + room [+ preferment] + friction factor), n the number of terms with the
 * factor. Quick, and blind to what the dough consists of.
 */
export function factorRule(target: number, terms: readonly number[], frictionFactor: number): number {
  return (terms.length + 1) * target - terms.reduce((sum, term) => sum + term, 0) - frictionFactor;
}

/** The friction factor of a past mix: what the rule would have needed to be right. */
export function frictionFactor(dough: number, water: number, terms: readonly number[]): number {
  return (terms.length + 1) * dough - terms.reduce((sum, term) => sum + term, 0) - water;
}

/**
 * Minutes for a warmed liquid to come down in a pot as high as it is wide, by Newton's law of cooling. `film`: about 12
 * W/(m²·K) standing, 25 when stirred now and then, 300 in a bath of cold water. Null where it never gets there.
 */
export function minutesToCool(
  { kg, heat, from, to, around }: { kg: number; heat: number; from: number; to: number; around: number },
  film: number,
): number | null {
  if (from <= to) return 0;
  if (around >= to) return null;
  const width = Math.cbrt((4 * kg) / 1000 / Math.PI);
  const area = 1.5 * Math.PI * width ** 2;
  const settling = (kg * heat * 1000) / (film * area) / 60;
  return settling * Math.log((from - around) / (to - around));
}
