import type { Allergen, Ingredient, IngredientKind } from './ingredient';

type Facts = Partial<Omit<Ingredient, 'id' | 'name' | 'kind'>>;

function ingredient(
  name: string,
  kind: IngredientKind,
  heat: number,
  density: number | null,
  facts: Facts = {},
): Ingredient {
  return {
    ...{ id: name.replace(/[^a-z0-9]+/g, '-'), name, kind, heat, density, also: [] },
    ...{ water: 0, fat: 0, sugar: 0, salt: 0, flour: 0, yeast: 0, allergens: [] },
    ...facts,
  };
}

const flour = (
  name: string,
  protein: number,
  strength: Ingredient['strength'],
  note: string,
  also: string[] = [],
) => ingredient(name, 'flour', 1.8, 0.53, { flour: 1, protein, strength, note, also, allergens: ['gluten'] });
const sweet = (name: string, density: number, facts: Facts = {}) =>
  ingredient(name, 'sugar', 1.25, density, { sugar: 1, ...facts });
const nut = (name: string, density: number, fat: number, allergens: Allergen[] = ['nuts']) =>
  ingredient(name, 'other', 2, density, { fat, water: 0.05, allergens });

/**
 * The usual ingredients, to begin with: a house changes what its own flour, butter and milk are like. Water shares and
 * heat capacities are those of `docs/architecture.md`; densities as spooned or poured.
 */
export const USUAL_INGREDIENTS: readonly Ingredient[] = [
  flour('wheat flour', 11.5, 'medium', 'the house flour for laminated dough', [
    'flour',
    'plain flour',
    'white flour',
  ]),
  flour('strong flour', 13.5, 'strong', 'wants more water and longer rests; springs back', ['bread flour']),
  flour('soft flour', 9.5, 'weak', 'tears sooner; suits a delicate crumb', ['cake flour', 'pastry flour']),
  flour('wholemeal flour', 12.5, 'weak', 'its bran cuts the gluten; takes up more water', [
    'whole wheat flour',
  ]),
  flour('spelt flour', 12, 'weak', 'mix short; it tears when worked long'),
  flour('rye flour', 9, 'weak', 'no gluten that holds; feeds a levain well'),
  ingredient('water', 'water', 4.19, 1, { water: 1, also: ['tap water'] }),
  ingredient('ice', 'water', 2.1, null, { water: 1 }),
  ingredient('milk', 'dairy', 3.9, 1.03, {
    water: 0.87,
    fat: 0.036,
    allergens: ['milk'],
    also: ['whole milk'],
  }),
  ingredient('skimmed milk', 'dairy', 3.95, 1.03, {
    water: 0.9,
    fat: 0.002,
    allergens: ['milk'],
    also: ['skim milk'],
  }),
  ingredient('oat drink', 'dairy', 3.9, 1.02, {
    water: 0.9,
    fat: 0.015,
    allergens: ['gluten'],
    also: ['oat milk'],
  }),
  ingredient('soya drink', 'dairy', 3.9, 1.02, {
    water: 0.9,
    fat: 0.018,
    allergens: ['soya'],
    also: ['soy milk'],
  }),
  ingredient('buttermilk', 'dairy', 3.9, 1.03, { water: 0.9, fat: 0.005, allergens: ['milk'] }),
  ingredient('milk powder', 'dairy', 1.5, 0.5, {
    water: 0.03,
    fat: 0.01,
    allergens: ['milk'],
    also: ['dry milk'],
  }),
  ingredient('cream', 'dairy', 3.5, 1.0, {
    water: 0.64,
    fat: 0.3,
    allergens: ['milk'],
    also: ['heavy cream', 'whipping cream'],
  }),
  ingredient('sour cream', 'dairy', 3.5, 1.0, { water: 0.73, fat: 0.2, allergens: ['milk'] }),
  ingredient('quark', 'dairy', 3.5, 1.05, { water: 0.8, fat: 0.05, allergens: ['milk'] }),
  ingredient('hard cheese', 'dairy', 2.6, 0.45, {
    water: 0.36,
    fat: 0.32,
    salt: 0.015,
    allergens: ['milk'],
    also: ['grated cheese', 'cheese'],
  }),
  ingredient('egg', 'egg', 3.3, 1.03, { water: 0.75, fat: 0.1, allergens: ['egg'], also: ['whole egg'] }),
  ingredient('egg yolk', 'egg', 2.8, 1.03, { water: 0.5, fat: 0.3, allergens: ['egg'], also: ['yolk'] }),
  ingredient('egg white', 'egg', 3.8, 1.03, { water: 0.88, allergens: ['egg'], also: ['white'] }),
  ingredient('butter', 'fat', 4.3, 0.95, {
    water: 0.16,
    fat: 0.82,
    allergens: ['milk'],
    also: ['unsalted butter', 'roll-in butter'],
  }),
  ingredient('dry butter', 'fat', 4.3, 0.95, {
    water: 0.14,
    fat: 0.84,
    allergens: ['milk'],
    note: 'workable two degrees warmer',
  }),
  ingredient('salted butter', 'fat', 4.3, 0.95, { water: 0.15, fat: 0.81, salt: 0.02, allergens: ['milk'] }),
  ingredient('bakery margarine', 'fat', 4.3, 0.95, {
    water: 0.18,
    fat: 0.8,
    also: ['margarine'],
    note: 'workable 15 to 20 °C; read its label for soya and milk',
  }),
  ingredient('rapeseed oil', 'fat', 2, 0.92, { fat: 1, also: ['oil'] }),
  sweet('sugar', 0.85, { also: ['caster sugar', 'granulated sugar'] }),
  sweet('brown sugar', 0.88),
  sweet('icing sugar', 0.56, { also: ['powdered sugar'] }),
  sweet('vanilla sugar', 0.85),
  sweet('honey', 1.42, { sugar: 0.8, water: 0.18, heat: 2.4 }),
  sweet('malt', 1.4, {
    sugar: 0.65,
    water: 0.2,
    heat: 2.4,
    allergens: ['gluten'],
    also: ['barley malt', 'malt syrup'],
  }),
  ingredient('salt', 'salt', 0.9, 1.2, { salt: 1, also: ['fine salt', 'sea salt'] }),
  ingredient('fresh yeast', 'yeast', 3.3, 0.9, { yeast: 0.33, also: ['yeast', "baker's yeast"] }),
  ingredient('instant yeast', 'yeast', 1.8, 0.63, { yeast: 1, also: ['instant dry yeast'] }),
  ingredient('active dry yeast', 'yeast', 1.8, 0.63, { yeast: 0.825, also: ['dry yeast'] }),
  ingredient('osmotolerant yeast', 'yeast', 1.8, 0.63, {
    yeast: 1,
    note: 'instant, for doughs above 10 % sugar',
  }),
  ingredient('ripe levain', 'starter', 3, 0.9, {
    flour: 0.5,
    water: 0.5,
    allergens: ['gluten'],
    also: ['starter', 'sourdough starter', 'liquid levain'],
  }),
  ingredient('ripe stiff levain', 'starter', 2.6, 1, {
    flour: 2 / 3,
    water: 1 / 3,
    allergens: ['gluten'],
    also: ['stiff starter'],
  }),
  ingredient('baking powder', 'other', 1.2, 0.9),
  ingredient('starch', 'other', 1.8, 0.6, { also: ['cornflour', 'corn starch', 'maize starch'] }),
  ingredient('custard powder', 'other', 1.8, 0.6),
  ingredient('vanilla', 'other', 3, 0.9),
  ingredient('cinnamon', 'other', 1.5, 0.53),
  ingredient('cardamom', 'other', 1.5, 0.45),
  ingredient('lemon zest', 'other', 3, 0.4, { also: ['lemons', 'zest'] }),
  ingredient('orange zest', 'other', 3, 0.4),
  ingredient('poppy seed', 'other', 1.9, 0.6, { fat: 0.42, also: ['ground poppy seed'] }),
  ingredient('sesame seed', 'other', 1.9, 0.6, { fat: 0.5, allergens: ['sesame'] }),
  ingredient('sunflower seed', 'other', 1.9, 0.55, { fat: 0.5 }),
  ingredient('raisins', 'other', 2.2, 0.65, { water: 0.16, allergens: ['sulphites'], also: ['sultanas'] }),
  ingredient('plum', 'other', 3.7, 0.65, { water: 0.85 }),
  ingredient('rum', 'other', 3, 0.95, { water: 0.6 }),
  ingredient('chocolate', 'other', 1.7, 0.65, {
    fat: 0.32,
    allergens: ['milk', 'soya'],
    also: ['chocolate sticks'],
  }),
  ingredient('cocoa', 'other', 1.7, 0.45, { fat: 0.21 }),
  nut('ground almond', 0.42, 0.5),
  nut('flaked almond', 0.35, 0.5),
  nut('hazelnut', 0.5, 0.6),
  nut('walnut', 0.45, 0.62),
  nut('peanut', 0.6, 0.49, ['peanut']),
];
