import type { Quantity } from '../codes/coded';
/** What a bakery reckons with, unless it has set something else. */
interface Setting {
  /** Unit of the value as it is kept: °C, cm along a bench, mm of thickness, µm of a layer, min, h, kg, g; `share` from 0 to 1. */
  unit: string;
  /** What it is where the bakery has set nothing. */
  usual: number;
  /** Least and most that can be meant. */
  least: number;
  most: number;
  /** Of °C: how far two temperatures are apart, and no temperature itself. */
  isDifference?: true;
}

const setting = (unit: string, usual: number, least: number, most: number): Setting => ({
  ...{ unit, usual, least, most },
});

const difference = (usual: number, least: number, most: number): Setting => ({
  ...setting('°C', usual, least, most),
  isDifference: true,
});

/** All values that a bakery may set. */
export const SETTINGS = {
  /** A dough reading below this is a slip of the finger. */
  readingLowest: setting('°C', -35, -60, 20),
  /** A dough reading above this is a slip of the finger; done brioche has 92, crescents 98. */
  readingHighest: setting('°C', 110, 60, 250),
  /** How far ahead a due time may lie. */
  planDaysAhead: setting('days', 14, 1, 60),
  /** Longest note or reason. */
  longestNote: setting('characters', 2000, 100, 10000),
  /** How long the engine may look for a better plan when a dough is added. */
  planSeconds: setting('s', 2, 0.2, 60),
  /**
   * By what mixing warms a dough, until it was measured. By hand 1 to 2 in all; planetary 0.15 a minute slow and 0.5
   * fast; spiral 0.25 and 0.7.
   */
  mixingRise: difference(6, 0, 40),
  /** How unsure that is. */
  mixingRiseSpread: difference(2.5, 0, 40),
  /** Factor of the factor rule, to begin with. */
  frictionFactor: difference(18, 0, 40),
  /** How unsure that is. */
  frictionFactorSpread: difference(7, 0, 40),
  /** How far off a thermometer at the bench is. */
  thermometerError: difference(1, 0, 40),
  /** Hotter liquid harms the yeast. */
  warmestLiquid: setting('°C', 43, 0, 100),
  /** Ice as it comes from its box. */
  ice: setting('°C', -10, -40, 0),
  /** Milk, eggs and butter as they come from the cold. */
  fridgeGoods: setting('°C', 5, 0, 40),
  /** What the scale shows. */
  scaleCoarse: setting('g', 1, 0.01, 100),
  /** What the fine scale shows, for yeast and salt. */
  scaleFine: setting('g', 0.1, 0.01, 100),
  /** A probe that has been silent for longer is not believed. */
  probeHolds: setting('h', 2, 0, 336),
  /** A temperature that was typed holds for so long. */
  typedHolds: setting('h', 12, 0, 336),
  /** It counts against newer readings of the probe for so long: whoever typed it has looked. */
  typedOutlasts: setting('min', 60, 0, 1440),
  /** Of what changes outdoors, so much is felt in the room, and so much later. */
  roomFollows: setting('share', 0.5, 0, 1.5),
  roomLag: setting('h', 3, 0, 24),
  /** Levain: between these it rises, and at its best fastest. */
  levainLowest: setting('°C', 8, -2, 20),
  levainBest: setting('°C', 32, 22, 38),
  levainHighest: setting('°C', 40, 33, 50),
  /** More bowls of one dough than this would age apart. */
  mostBowls: setting('bowls', 4, 1, 40),
  /** Usual salt, of flour. */
  saltLow: setting('%', 1.6, 0, 100),
  /** Usual salt, of flour. */
  saltHigh: setting('%', 2.4, 0, 100),
  /** Usual sugar, of flour. */
  sugarLow: setting('%', 5, 0, 100),
  /** Usual sugar, of flour. */
  sugarHigh: setting('%', 20, 0, 100),
  /** Usual yeast, as instant, of flour. */
  yeastLow: setting('%', 0.7, 0, 100),
  /** Usual yeast, as instant, of flour. */
  yeastHigh: setting('%', 2.5, 0, 100),
  /** Usual hydration. */
  hydrationLow: setting('%', 42, 0, 100),
  /** Usual hydration. */
  hydrationHigh: setting('%', 62, 0, 100),
  /** Usual roll-in, of the dough before butter. */
  rollInLow: setting('%', 22, 0, 100),
  /** Usual roll-in, of the dough before butter. */
  rollInHigh: setting('%', 35, 0, 100),
  /** Above this much sugar ordinary yeast is slowed. */
  osmotolerantFrom: setting('%', 12, 0, 100),
  /** Fat of flour from which a dough counts as rich. */
  richLow: setting('%', 24, 0, 100),
  /** More fat of flour than this is unusual. */
  richHigh: setting('%', 66, 0, 100),
  /** Widest sheet that the sheeter or the bench takes, a little less than its table. */
  sheeterWidth: setting('cm', 58, 20, 1000),
  /** Longest sheet on the sheeter’s table. */
  sheeterLength: setting('cm', 240, 20, 1000),
  /** Longest sheet on the bench where it is cut. */
  benchLength: setting('cm', 200, 20, 1000),
  /** Heaviest block of dough and butter that is rolled as one. */
  blockKg: setting('kg', 6, 0.5, 60),
  /** Largest share of its thickness that a dough loses in one pass. */
  gapReduction: setting('share', 0.4, 0, 1),
  /** The same below 8 mm. */
  gapReductionFine: setting('share', 0.25, 0, 1),
  /** Thinner than this the passes are gentler. */
  gapFineBelow: setting('mm', 8, 0.5, 40),
  /** Smallest gap of the sheeter. */
  gapLeast: setting('mm', 1, 0.5, 40),
  /** Bare dough around a butter block. */
  butterRim: setting('cm', 1.5, 0, 20),
  /** What a pinched seam takes. */
  butterSeam: setting('cm', 1.5, 0, 20),
  /** A butter block’s length against its width, where it need not be square. */
  butterRatio: setting('length/width', 1.25, 1, 4),
  /** Cut off each ragged end before a fold. */
  turnTrim: setting('cm', 0.5, 0, 20),
  /** Trays. */
  trayLength: setting('cm', 60, 20, 1000),
  /** Trays. */
  trayWidth: setting('cm', 40, 20, 1000),
  /** Most of a dough that may be trimmings of an earlier one. */
  scrapShare: setting('share', 0.12, 0, 1),
  /** Older trimmings do not go into a dough. */
  scrapHours: setting('h', 48, 0, 336),
  /** Crescents and danish: thinner fat layers have merged. */
  honeycombMerged: setting('µm', 8, 1, 3000),
  /** Crescents and danish: thinner fat layers eat like brioche. */
  honeycombFine: setting('µm', 20, 1, 3000),
  /** Crescents and danish: fat layers this thick may leak. */
  honeycombCoarse: setting('µm', 120, 1, 3000),
  /** Layered brioche: thinner fat layers have merged. */
  tenderMerged: setting('µm', 4, 1, 3000),
  /** Layered brioche: thinner fat layers are very fine. */
  tenderFine: setting('µm', 8, 1, 3000),
  /** Layered brioche: fat layers this thick may leak. */
  tenderCoarse: setting('µm', 260, 1, 3000),
  /** Stacked discs: thinner fat layers have merged. */
  discsMerged: setting('µm', 20, 1, 3000),
  /** Stacked discs: thinner fat layers are very fine. */
  discsFine: setting('µm', 60, 1, 3000),
  /** Stacked discs: fat layers this thick may leak. */
  discsCoarse: setting('µm', 900, 1, 3000),
  /** What moving a hands-on step by a minute counts when a plan is mended; a minute late counts 20. */
  stayCost: setting('per minute', 3, 0, 100),
  /** Mends that move no step by more than this pass by themselves; 0: somebody accepts every one. */
  passShiftMinutes: setting('min', 0, 0, 600),
  /** How far behind a step may be before the plan is said to need mending. */
  lateMatters: setting('min', 10, 0, 240),
  /** How long before a load goes in the oven is to be heated. */
  preheatLead: setting('min', 45, 0, 240),
  /** How long before it is brushed on the wash is to be mixed. */
  washLead: setting('min', 10, 0, 240),
  /** How long before it is wanted the butter is to be taken out of the cold. */
  butterLead: setting('min', 5, 0, 240),
  /** How long nobody touches a tablet until it only shows and no longer records; 0: never. */
  idleMinutes: setting('min', 15, 0, 720),
  /**
   * Cooling of cooked fillings: 1 for 65 to 10 °C within 2 h; 2 for 57 to 21 °C within 2 h and to 5 °C within 4 h more.
   * The local code comes first.
   */
  coolingRule: setting('1', 1, 1, 2),
  /** How long before a levain or sponge is set it is called for: starter out of the cold, flour and water to hand. */
  levainLead: setting('min', 30, 0, 240),
  /** How long before they are due frozen pieces are to be taken out: a night in the cold, proof and bake. */
  thawLead: setting('min', 840, 0, 2880),
  /** After so long without anything recorded, the tablet asks once what was done meanwhile. */
  catchUpAfter: setting('min', 45, 10, 720),
  /** How long shaped pieces keep in the freezer: two to six weeks. */
  piecesKeep: setting('days', 30, 1, 365),
  /** How long a finished dough keeps in the cold: one to two days. */
  coldDoughKeeps: setting('h', 48, 1, 168),
  /** How long a finished dough keeps in the freezer. */
  frozenDoughKeeps: setting('days', 21, 1, 365),
  /** A machine that is reported out is reckoned to be out for so long, until it is back. */
  outageAssumed: setting('h', 12, 0.5, 336),
  /** Bakers accept a repair of the plan while no planner is on shift: 1 yes, 0 no. */
  repairsByBakers: setting('1', 1, 0, 1),
  /** Trends name the people who mixed: 1 yes, 0 no. */
  trendsByPerson: setting('1', 0, 0, 1),
  /** For how long readings of probes are kept one by one; after that one a minute. */
  rawDays: setting('days', 31, 1, 366),
  /** How far an oven or deck may be off the written minutes of a bake, to begin with: a share of them. */
  bakeSpread: setting('1', 0.12, 0, 1),
  /** How much bakes of one oven differ among each other: a share of their minutes. */
  bakeScatter: setting('1', 0.07, 0, 1),
  /** A repair leaves steps where they are that it would move by less than this. */
  smallShift: setting('min', 5, 0, 240),
} as const satisfies Record<string, Setting>;

export type SettingName = keyof typeof SETTINGS;

/** The values that a bakery reckons with. */
export type Settings = Readonly<Record<SettingName, number>>;

const NAMES = Object.keys(SETTINGS) as SettingName[];

/** A value that can be meant: within the least and the most of its setting. */
export const isMeant = (name: SettingName, value: number): boolean =>
  value >= SETTINGS[name].least && value <= SETTINGS[name].most;

/**
 * The settings of a bakery: what it has set, and the usual for all else. What cannot be meant is not taken.
 *
 * @example
 * settingsOf({ planSeconds: 5 }).lateMatters; // 10, the usual
 */
export function settingsOf(own: Readonly<Partial<Record<string, number>>>): Settings {
  const value = (name: SettingName): number => {
    const set = own[name];
    return set !== undefined && isMeant(name, set) ? set : SETTINGS[name].usual;
  };
  return Object.fromEntries(NAMES.map((name) => [name, value(name)])) as Settings;
}

/** A value of a setting as it is shown: with its unit, where it has one that readers choose. */
export function settingQuantity(name: SettingName, value: number): number | string | Quantity {
  const { unit, isDifference }: Setting = SETTINGS[name];
  switch (unit) {
    case '°C':
      return isDifference ? { difference: value } : { celsius: value };
    case 'cm':
      return { cm: value };
    case 'mm':
      return { mm: value };
    case 'g':
      return { grams: value };
    case 'kg':
      // As it is typed: a quantity of half a kilogram would be 500 g.
      return `${value} kg`;
    default:
      return value;
  }
}
