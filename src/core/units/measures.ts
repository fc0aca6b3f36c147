import { coded, type Coded } from '../codes/coded';
import { word, type AmountLanguage } from './words';

/** Whose cups, spoons, eggs and packets: the same word holds up to 15 % more or less from country to country. */
export type Kitchen = 'us' | 'metric' | 'france' | 'uk' | 'australia' | 'japan';

export const KITCHENS: { id: Kitchen; name: Coded }[] = [
  { id: 'metric', name: coded('amounts.metricCup250Ml') },
  { id: 'france', name: coded('amounts.franceYeastSachet5G') },
  { id: 'us', name: coded('amounts.unitedStatesCup237Ml') },
  { id: 'uk', name: coded('amounts.unitedKingdomCup284Ml') },
  { id: 'australia', name: coded('amounts.australiaTablespoon20Ml') },
  { id: 'japan', name: coded('amounts.japanCup200Ml') },
];

const BY_COUNTRY: Record<string, Kitchen> = {
  ...{ US: 'us', GB: 'uk', UK: 'uk', IE: 'uk', AU: 'australia', NZ: 'metric', JP: 'japan' },
  ...{ FR: 'france', BE: 'france' },
};

/** The kitchen of a country by its two letters; metric where it has no measures of its own. */
export const kitchenOf = (country: string): Kitchen => BY_COUNTRY[country.toUpperCase()] ?? 'metric';

/** Millilitres of one cup, tablespoon, dessertspoon, teaspoon, fluid ounce, pint, quart and gallon. */
const SPOONS: Record<Kitchen, Record<SpoonUnit, number>> = {
  us: {
    ...{ cup: 236.588, tbsp: 14.787, 'dessert spoon': 9.858, tsp: 4.929 },
    ...{ 'fl oz': 29.574, pint: 473.176, quart: 946.353, gallon: 3785.41 },
  },
  metric: metric(250, 15),
  france: metric(250, 15),
  uk: {
    ...{ cup: 284.131, tbsp: 15, 'dessert spoon': 10, tsp: 5 },
    ...{ 'fl oz': 28.413, pint: 568.261, quart: 1136.523, gallon: 4546.09 },
  },
  australia: { ...metric(250, 20), pint: 570, quart: 1140, gallon: 4546.09 },
  japan: metric(200, 15),
};

function metric(cup: number, tbsp: number): Record<SpoonUnit, number> {
  return { cup, tbsp, 'dessert spoon': 10, tsp: 5, 'fl oz': 30, pint: 500, quart: 1000, gallon: 4000 };
}

/** A pound of Germany and a livre of France are 500 g, and are units of their own. */
const GRAMS = { mg: 0.001, g: 1, dag: 10, kg: 1000, oz: 28.3495, lb: 453.592, pfund: 500 } as const;
const MILLILITRES = { ml: 1, cl: 10, dl: 100, l: 1000, dash: 0.6, drop: 0.05 } as const;
/** What fits between fingers, g. */
const PINCH = 0.4;

export type EggSize = 'S' | 'M' | 'L' | 'XL';

/** Grams of one egg without shell. What is called large differs: in Australia by the weight of a dozen, 600 g and 700 g. */
const EGGS: Record<Kitchen, Record<EggSize, number>> = {
  us: { S: 38, M: 44, L: 50, XL: 56 },
  metric: { S: 43, M: 50, L: 58, XL: 65 },
  france: { S: 43, M: 50, L: 58, XL: 65 },
  uk: { S: 43, M: 50, L: 58, XL: 65 },
  australia: { S: 32, M: 38, L: 44, XL: 52 },
  japan: { S: 44, M: 50, L: 56, XL: 62 },
};
/** The egg of a formula that names no size. */
const USUAL_EGG: Record<Kitchen, EggSize> = {
  ...{ us: 'L', metric: 'M', france: 'M', uk: 'M', australia: 'XL', japan: 'M' },
};
const OF_EGG = { egg: 1, yolk: 1 / 3, white: 2 / 3 } as const;

/** What a packet holds, g, by what is in it and where it is sold. */
const PACKETS: { of: RegExp; grams: Partial<Record<Kitchen, number>> & { usual: number } }[] = [
  { of: /fresh yeast|cake yeast|compressed yeast/, grams: { us: 17, usual: 42 } },
  {
    of: /(?:dry|dried|instant|osmotolerant) yeast|^instant yeast/,
    grams: { us: 7.1, france: 5.5, usual: 7 },
  },
  { of: /baking powder/, grams: { france: 11, usual: 16 } },
  { of: /vanilla sugar/, grams: { usual: 8 } },
];
/** Juice and zest of one fruit, g. */
const FRUIT = {
  lemon: { juice: 45, zest: 5 },
  lime: { juice: 25, zest: 3 },
  orange: { juice: 80, zest: 8 },
} as const;
const VANILLA_POD = 3;
const BUTTER_STICK = 113.4;
const GELATINE_LEAF = { france: 2, usual: 1.7 };

type SpoonUnit = 'cup' | 'tbsp' | 'dessert spoon' | 'tsp' | 'fl oz' | 'pint' | 'quart' | 'gallon';
export type MassUnit = keyof typeof GRAMS;
export type VolumeUnit = keyof typeof MILLILITRES | SpoonUnit;
export type FruitUnit = keyof typeof FRUIT;
export type CountUnit =
  | keyof typeof OF_EGG
  | FruitUnit
  | 'pinch'
  | 'stick'
  | 'packet'
  | 'cube'
  | 'pod'
  | 'leaf'
  | 'fruit'
  | 'tin'
  | 'piece';
export type Unit = MassUnit | VolumeUnit | CountUnit | '%';

/** Every way a unit is written in three languages, the longer first where one begins another. */
const SPELLINGS: [RegExp, Unit, AmountLanguage?][] = [
  [/^%/, '%'],
  [word('percent|per cent|prozent|pour ?cent|p\\. ?100'), '%'],
  [word('fluid ounces?|fl\\.? ?ozs?\\.?'), 'fl oz'],
  [word('kilograms?|kilogrammes?|kilogramm|kilos?|kgs?\\.?'), 'kg'],
  [word('milligrams?|milligrammes?|milligramm|mg'), 'mg'],
  [word('dekagramm|deka|dag|dkg'), 'dag'],
  [word('grams?|grammes?|gramm|grs?\\.?|gms?|g\\.?'), 'g'],
  [word('ounces?|ozs?\\.?'), 'oz'],
  [word('pounds?|lbs?\\.?'), 'lb'],
  [word('pfund|pfd\\.?|livres?'), 'pfund'],
  [word('millilit(?:re|er)s?|mls?'), 'ml'],
  [word('cc'), 'tsp', 'fr'],
  [word('cc'), 'ml'],
  [word('centilit(?:re|er)s?|cl'), 'cl'],
  [word('decilit(?:re|er)s?|deziliter|dl'), 'dl'],
  [
    word(
      'tablespoons?|tablespoonfuls?|tbsps?\\.?|tbs\\.?|tbl\\.?|esslöffel|essl\\.?|el|tblsp|tbspn|cuill\\. (?:à|a) soupe|cuill(?:è|e)res? (?:à|a) soupe|cuill(?:é|e)r(?:é|e)es? (?:à|a) soupe|cuil\\. (?:à|a) (?:soupe|s\\.?)|c\\. ?(?:à|a) ?s(?:oupe|\\.)?|c(?:à|a)s\\.?|c\\.?s\\.?',
    ),
    'tbsp',
  ],
  [
    word(
      'teaspoons?|teaspoonfuls?|tsps?\\.?|teelöffel|teel\\.?|tl|tspn|kaffeelöffel|kl|cuill\\. (?:à|a) café|c\\. ?(?:à|a) thé|cuill(?:è|e)res? (?:à|a) (?:café|thé)|cuill(?:é|e)r(?:é|e)es? (?:à|a) café|cuil\\. (?:à|a) (?:café|c\\.?)|c\\. ?(?:à|a) ?c(?:afé|\\.)?|c(?:à|a)c\\.?|c\\.c\\.?',
    ),
    'tsp',
  ],
  [word('dessert ?spoons?|dsp\\.?'), 'dessert spoon'],
  [/^T(?![\p{L}\d])\.?/u, 'tbsp'],
  [/^t(?![\p{L}\d])\.?/u, 'tsp'],
  [word('lit(?:re|er)s?|l\\.?'), 'l'],
  [word('cups?|cupfuls?|tassen?|tasses?'), 'cup'],
  [word('c\\.?'), 'cup', 'en'],
  [word('pints?|pts?\\.?'), 'pint'],
  [word('quarts?|qts?\\.?'), 'quart'],
  [word('gallons?|gals?\\.?'), 'gallon'],
  [
    word('pinch(?:es)?|prisen?|pr\\.|pincées?|messerspitzen?|msp\\.?|knife tips?|pointes? de couteau'),
    'pinch',
  ],
  [word('dash(?:es)?|spritzer|traits?'), 'dash'],
  [word('drops?|tropfen|gouttes?'), 'drop'],
  [word("(?:egg )?yolks?|eigelbe?|eidotter|dotter|jaunes?(?: d['’]?(?:œ|oe)ufs?)?"), 'yolk'],
  [word("(?:egg )?whites?|eiweiße?|eiweiss|eiklar|blancs?(?: d['’]?(?:œ|oe)ufs?)?"), 'white'],
  [word('eggs?|eier|ei|(?:œ|oe)ufs?'), 'egg'],
  [word('sticks?|plaquettes?'), 'stick'],
  [word('cubes?|würfel|cakes?'), 'cube'],
  [
    word(
      'packets?|packages?|packs?|pkts?\\.?|pkgs?\\.?|sachets?|envelopes?|päckchen|packung(?:en)?|pck\\.?|pkt\\.?|pack\\.?|tütchen|beutel|paquets?',
    ),
    'packet',
  ],
  [word('(?:vanilla )?(?:pods?|beans?)|(?:vanille)?schoten?|(?:vanille)?stangen?|gousses?'), 'pod'],
  [word('citrons? verts?'), 'lime'],
  [word('leaf|leaves|sheets?|blatt|blätter|feuilles?'), 'leaf'],
  [word('lemons?|zitronen?|citrons?'), 'lemon'],
  [word('limes?|limetten?'), 'lime'],
  [word('oranges?|orangen'), 'orange'],
  [word('tins?|cans?|jars?|dosen?|gläser|glas|boîtes?|bocal|bocaux'), 'tin'],
  [word('pieces?|pcs?\\.?|stück|stk\\.?|st\\.|pièces?'), 'piece'],
];

/** The unit at the head of a text and what follows it, or null. Some words are another unit in another language. */
export function headUnit(text: string, language: AmountLanguage = 'en'): { unit: Unit; rest: string } | null {
  const body = text.trimStart().replace(/^-(?=\p{L})/u, '');
  for (const [spelling, unit, only] of SPELLINGS) {
    if (only && only !== language) continue;
    const match = spelling.exec(body);
    if (match) return { unit, rest: body.slice(match[0].length) };
  }
  return null;
}

/**
 * What turns a measured amount into grams: whose spoons and eggs, what it is of, by name and every other name, and its
 * density (g/ml) where somebody measures it by volume.
 */
export interface Measuring {
  kitchen: Kitchen;
  name: string;
  also?: readonly string[];
  density: number | null;
  /** Eggs of the house, where no size is written. */
  eggs?: EggSize;
  /** What a bare number is, in a field that is for weights alone; without it a bare number is asked about. */
  bare?: 'g' | 'oz';
}

export const isEgg = (unit: Unit): unit is keyof typeof OF_EGG => unit in OF_EGG;
export const isFruit = (unit: Unit): unit is FruitUnit => unit in FRUIT;
/** What holds something else, whose weight has to be written beside it. */
export const isVessel = (unit: Unit | null): boolean =>
  unit === 'tin' || unit === 'packet' || unit === 'piece';

const names = ({ name, also = [] }: Measuring) => [name, ...also].map((one) => one.toLowerCase());
const isOf = (measuring: Measuring, what: RegExp) => names(measuring).some((one) => what.test(one));
const EGGS_WORDS = /\beggs?\b|\bei(?:er)?\b|eigelb|eiweiß|œuf|oeuf|\byolks?\b|\bwhites?\b/;

/** What of an egg the thing is that the amount is of; null where it is nothing of an egg. */
export function eggPart(measuring: Measuring): keyof typeof OF_EGG | null {
  const name = measuring.name.toLowerCase();
  if (!EGGS_WORDS.test(name)) return null;
  if (/yolk|eigelb|dotter|jaune/.test(name)) return 'yolk';
  return /white|eiweiß|eiklar|blanc/.test(name) ? 'white' : 'egg';
}

/**
 * Grams of one unit of an ingredient, or null where nothing says what that weighs: a tin without a size, a cup of
 * something without a density, a stick of what is not sold in sticks.
 */
export function gramsOf(
  unit: Unit,
  measuring: Measuring,
  size?: EggSize,
  part?: 'zest' | 'juice',
): number | null {
  const { kitchen, density } = measuring;
  if (unit in GRAMS) return GRAMS[unit as MassUnit];
  if (unit === 'pinch') return PINCH;
  const own = eggPart(measuring);
  if (isEgg(unit)) {
    if (own === null || (unit !== own && own !== 'egg')) return null;
    return EGGS[kitchen][size ?? measuring.eggs ?? USUAL_EGG[kitchen]] * OF_EGG[unit];
  }
  if (unit === 'piece')
    return own && EGGS[kitchen][size ?? measuring.eggs ?? USUAL_EGG[kitchen]] * OF_EGG[own];
  if (unit === 'stick') return isOf(measuring, /butter|margarine|beurre/) ? BUTTER_STICK : null;
  if (unit === 'pod') return isOf(measuring, /vanill/) ? VANILLA_POD : null;
  if (unit === 'leaf')
    return isOf(measuring, /gelatine/) ? GELATINE_LEAF[kitchen === 'france' ? kitchen : 'usual'] : null;
  if (unit === 'cube' || unit === 'packet') return packetGrams(unit, measuring);
  if (isFruit(unit) || unit === 'fruit') return fruitGrams(unit, measuring, part);
  const spoons = SPOONS[kitchen];
  const millilitres =
    unit in MILLILITRES
      ? MILLILITRES[unit as keyof typeof MILLILITRES]
      : unit in spoons
        ? spoons[unit as SpoonUnit]
        : null;
  return millilitres === null || density === null ? null : millilitres * density;
}

function packetGrams(unit: 'cube' | 'packet', measuring: Measuring): number | null {
  const found = PACKETS.find(({ of }) => isOf(measuring, of));
  if (!found || (unit === 'cube' && !isOf(measuring, /fresh yeast/))) return null;
  return found.grams[measuring.kitchen] ?? found.grams.usual;
}

/** Zest or juice of a fruit: which, by the word before it or by what the line is of. */
function fruitGrams(unit: FruitUnit | 'fruit', measuring: Measuring, part?: 'zest' | 'juice'): number | null {
  const name = names(measuring).join(' ');
  const of = unit === 'fruit' ? (Object.keys(FRUIT) as FruitUnit[]).find((one) => name.includes(one)) : unit;
  const which = part ?? (/zest|rind/.test(name) ? 'zest' : /juice/.test(name) ? 'juice' : null);
  return of && which ? FRUIT[of][which] : null;
}

/** Weighed on a scale and so exact; volumes and counted things are as exact as the hand that fills them. */
export const isMass = (unit: Unit): unit is MassUnit => unit in GRAMS;
/** Units in which a point with three digits is a decimal point: nobody weighs a thousand of them. */
export const isLarge = (unit: Unit | null): boolean =>
  unit !== null && !['g', 'mg', 'ml', 'dag', 'cl'].includes(unit);
