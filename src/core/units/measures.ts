/** Whose cups and spoons: the same word holds up to 15 % more or less from country to country. */
export type Kitchen = 'us' | 'metric' | 'uk' | 'australia' | 'japan';

export const KITCHENS: { id: Kitchen; name: string }[] = [
  { id: 'metric', name: 'metric (cup 250 ml)' },
  { id: 'us', name: 'United States (cup 237 ml)' },
  { id: 'uk', name: 'United Kingdom (cup 284 ml)' },
  { id: 'australia', name: 'Australia (tablespoon 20 ml)' },
  { id: 'japan', name: 'Japan (cup 200 ml)' },
];

/** Millilitres of one cup, tablespoon, teaspoon, fluid ounce and pint. */
const SPOONS: Record<Kitchen, Record<'cup' | 'tbsp' | 'tsp' | 'fl oz' | 'pint', number>> = {
  us: { cup: 236.588, tbsp: 14.787, tsp: 4.929, 'fl oz': 29.574, pint: 473.176 },
  metric: { cup: 250, tbsp: 15, tsp: 5, 'fl oz': 30, pint: 500 },
  uk: { cup: 284.131, tbsp: 17.758, tsp: 5.919, 'fl oz': 28.413, pint: 568.261 },
  australia: { cup: 250, tbsp: 20, tsp: 5, 'fl oz': 30, pint: 570 },
  japan: { cup: 200, tbsp: 15, tsp: 5, 'fl oz': 30, pint: 500 },
};

const GRAMS = { mg: 0.001, g: 1, kg: 1000, oz: 28.3495, lb: 453.592 } as const;
const MILLILITRES = { ml: 1, cl: 10, dl: 100, l: 1000, pinch: 0.3, dash: 0.6 } as const;

/** Grams of one egg without shell; shares of it are yolk 0.36 and white 0.64. */
const EGGS = { S: 42, M: 50, L: 58, XL: 66 } as const;
export type EggSize = keyof typeof EGGS;

/** What a thing that is counted weighs, in grams, by what it is of. Kitchens differ: such amounts are approximate. */
const COUNTED: Record<string, { of: RegExp; grams: number }[]> = {
  stick: [{ of: /butter|margarine/, grams: 113.4 }],
  packet: [
    { of: /fresh yeast/, grams: 42 },
    { of: /yeast/, grams: 7 },
    { of: /baking powder/, grams: 16 },
    { of: /vanilla sugar/, grams: 8 },
  ],
  'zest of': [
    { of: /orange/, grams: 8 },
    { of: /./, grams: 5 },
  ],
};

export type MassUnit = keyof typeof GRAMS;
export type VolumeUnit = keyof typeof MILLILITRES | 'cup' | 'tbsp' | 'tsp' | 'fl oz' | 'pint';
export type CountUnit = 'egg' | 'yolk' | 'white' | 'stick' | 'packet' | 'zest of' | 'tin' | 'piece';
export type Unit = MassUnit | VolumeUnit | CountUnit | '%';

/** Every way a unit is written, longest first where one begins another. */
const SPELLINGS: [RegExp, Unit][] = [
  [/^(?:%|percent|per cent)/i, '%'],
  [/^(?:fluid ounces?|fl\.? ?oz\.?)/i, 'fl oz'],
  [/^(?:kilograms?|kilos?|kg)(?![a-z])/i, 'kg'],
  [/^(?:milligrams?|mg)(?![a-z])/i, 'mg'],
  [/^(?:grams?|gr|g)(?![a-z])/i, 'g'],
  [/^(?:ounces?|oz)(?![a-z])\.?/i, 'oz'],
  [/^(?:pounds?|lbs?)(?![a-z])\.?/i, 'lb'],
  [/^(?:millilit(?:re|er)s?|ml)(?![a-z])/i, 'ml'],
  [/^(?:centilit(?:re|er)s?|cl)(?![a-z])/i, 'cl'],
  [/^(?:decilit(?:re|er)s?|dl)(?![a-z])/i, 'dl'],
  [/^(?:lit(?:re|er)s?|l)(?![a-z])/i, 'l'],
  [/^(?:cups?|c)(?![a-z])\.?/i, 'cup'],
  [/^(?:tablespoons?|tbsps?|tbs|el)(?![a-z])\.?/i, 'tbsp'],
  [/^T(?![A-Za-z])/, 'tbsp'],
  [/^(?:teaspoons?|tsps?|tl)(?![a-z])\.?/i, 'tsp'],
  [/^t(?![A-Za-z])/, 'tsp'],
  [/^(?:pints?|pt)(?![a-z])\.?/i, 'pint'],
  [/^pinch(?:es)?(?![a-z])/i, 'pinch'],
  [/^dash(?:es)?(?![a-z])/i, 'dash'],
  [/^(?:egg )?yolks?(?![a-z])/i, 'yolk'],
  [/^(?:egg )?whites?(?![a-z])/i, 'white'],
  [/^eggs?(?![a-z])/i, 'egg'],
  [/^sticks?(?![a-z])/i, 'stick'],
  [/^(?:packets?|sachets?|cubes?)(?![a-z])/i, 'packet'],
  [/^zests?(?: of)?(?![a-z])/i, 'zest of'],
  [/^(?:tins?|cans?)(?![a-z])/i, 'tin'],
  [/^(?:pieces?|pcs?)(?![a-z])\.?/i, 'piece'],
];

/** The unit at the head of a text and what follows it, or null. */
export function headUnit(text: string): { unit: Unit; rest: string } | null {
  const body = text.trimStart();
  for (const [spelling, unit] of SPELLINGS) {
    const match = spelling.exec(body);
    if (match) return { unit, rest: body.slice(match[0].length) };
  }
  return null;
}

/** What turns a measured amount into grams: the kitchen's spoons, the ingredient's name and density (g/ml), the eggs. */
export interface Measuring {
  kitchen: Kitchen;
  eggs: EggSize;
  name: string;
  density: number | null;
}

/**
 * Grams of one unit of an ingredient, or null where nothing says what that weighs: a tin without a size, a cup of
 * something without a density.
 */
export function gramsOf(
  unit: Unit,
  { kitchen, eggs, name, density }: Measuring,
  size?: EggSize,
): number | null {
  if (unit in GRAMS) return GRAMS[unit as MassUnit];
  const egg = EGGS[size ?? eggs];
  if (unit === 'egg') return egg;
  if (unit === 'yolk') return egg * 0.36;
  if (unit === 'white') return egg * 0.64;
  if (unit === 'piece') return /yolk/i.test(name) ? egg * 0.36 : /egg/i.test(name) ? egg : null;
  const counted = COUNTED[unit]?.find(({ of }) => of.test(name.toLowerCase()));
  if (counted) return counted.grams;
  const millilitres =
    unit in MILLILITRES
      ? MILLILITRES[unit as keyof typeof MILLILITRES]
      : unit in SPOONS.us
        ? SPOONS[kitchen][unit as keyof typeof SPOONS.us]
        : null;
  return millilitres === null || density === null ? null : millilitres * density;
}

/** Weighed on a scale and so exact; volumes and counted things are as exact as the hand that fills them. */
export const isMass = (unit: Unit): unit is MassUnit => unit in GRAMS;
