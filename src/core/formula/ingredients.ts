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
    ...{ id: idOf(name), name, kind, heat, density, also: [] },
    ...{ water: 0, fat: 0, sugar: 0, salt: 0, flour: 0, yeast: 0, allergens: [] },
    ...facts,
  };
}

/** An id of plain letters: `crème fraîche` is `creme-fraiche`. */
const idOf = (name: string) =>
  name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-');

const flour = (
  name: string,
  protein: number,
  strength: Ingredient['strength'],
  note: string,
  also: string[] = [],
) => ingredient(name, 'flour', 1.8, 0.53, { flour: 1, protein, strength, note, also, allergens: ['gluten'] });
const sweet = (name: string, density: number, facts: Facts = {}) =>
  ingredient(name, 'sugar', 1.25, density, { sugar: 1, ...facts });
const nut = (
  name: string,
  density: number,
  fat: number,
  also: string[] = [],
  allergens: Allergen[] = ['nuts'],
) => ingredient(name, 'other', 2, density, { fat, water: 0.05, allergens, also });
const dairy = (
  name: string,
  heat: number,
  density: number,
  water: number,
  fat: number,
  also: string[] = [],
) => ingredient(name, 'dairy', heat, density, { water, fat, allergens: ['milk'], also });
const other = (name: string, heat: number, density: number | null, also: string[] = [], facts: Facts = {}) =>
  ingredient(name, 'other', heat, density, { also, ...facts });
const names = (text: string) => text.split('|');

/**
 * The usual ingredients, to begin with, under the names of three languages: a house changes what its own flour, butter
 * and milk are like. Water shares and heat capacities are those of `docs/architecture.md`; densities as spooned or
 * poured. "Yeast" alone is no name: which one it is changes the dose threefold.
 */
export const USUAL_INGREDIENTS: readonly Ingredient[] = [
  flour(
    'wheat flour',
    11.5,
    'medium',
    'the house flour for laminated dough',
    names(
      'flour|T45 flour|T55 flour|T65 flour|type 45 flour|type 55 flour|plain flour|white flour|all-purpose flour|all purpose flour|AP flour|T45|T55|T65|type 55|type 45|flour T55|flour T45|550|type 550|Mehl|Weizenmehl|Mehl Type 550|Weizenmehl Type 550|Weizenmehl 550|farine|farine de blé|farine T45|farine T55|farine T65|farine blanche',
    ),
  ),
  flour(
    'strong flour',
    13.5,
    'strong',
    'wants more water and longer rests; springs back',
    names(
      'bread flour|strong white flour|strong bread flour|manitoba|manitoba flour|gruau|farine de gruau|farine de force|Manitobamehl|Brotmehl|strong white bread flour',
    ),
  ),
  flour(
    'soft flour',
    9.5,
    'weak',
    'tears sooner; suits a delicate crumb',
    names(
      'cake flour|pastry flour|405|type 405|Mehl Type 405|Weizenmehl Type 405|Weizenmehl 405|Kuchenmehl|farine pâtissière|farine fluide',
    ),
  ),
  flour(
    'brown wheat flour',
    12,
    'medium',
    'takes up more water',
    names('T80|1050|type 1050|812|Weizenmehl Type 1050|farine T80|farine bise'),
  ),
  flour(
    'wholemeal flour',
    12.5,
    'weak',
    'its bran cuts the gluten; takes up more water',
    names(
      'whole wheat flour|wholewheat flour|whole-wheat flour|wholemeal|Vollkornmehl|Weizenvollkornmehl|farine complète|farine intégrale|T150',
    ),
  ),
  flour(
    'spelt flour',
    12,
    'weak',
    'mix short; it tears when worked long',
    names("spelt|Dinkelmehl|Dinkelmehl Type 630|630|farine d’épeautre|farine d'épeautre"),
  ),
  flour(
    'rye flour',
    9,
    'weak',
    'no gluten that holds; feeds a levain well',
    names('rye|Roggenmehl|Roggenmehl Type 1150|farine de seigle|T130'),
  ),
  ingredient('water', 'water', 4.19, 1, {
    water: 1,
    also: names('tap water|warm water|cold water|ice water|Wasser|eau'),
  }),
  ingredient('ice', 'water', 2.1, null, {
    water: 1,
    also: names('ice cubes|crushed ice|Eis|Eiswürfel|glace|glaçons'),
  }),
  dairy(
    'milk',
    3.9,
    1.03,
    0.87,
    0.036,
    names('whole milk|full-fat milk|fresh milk|Milch|Vollmilch|lait|lait entier'),
  ),
  dairy(
    'skimmed milk',
    3.95,
    1.03,
    0.9,
    0.002,
    names('skim milk|semi-skimmed milk|low-fat milk|Magermilch|fettarme Milch|lait écrémé|lait demi-écrémé'),
  ),
  ingredient('oat drink', 'dairy', 3.9, 1.02, {
    water: 0.9,
    fat: 0.015,
    allergens: ['gluten'],
    also: names('oat milk|Haferdrink|Hafermilch|boisson d’avoine|lait d’avoine'),
  }),
  ingredient('soya drink', 'dairy', 3.9, 1.02, {
    water: 0.9,
    fat: 0.018,
    allergens: ['soya'],
    also: names('soy milk|soya milk|Sojadrink|Sojamilch|boisson de soja|lait de soja'),
  }),
  dairy('buttermilk', 3.9, 1.03, 0.9, 0.005, names('Buttermilch|babeurre|lait ribot')),
  dairy(
    'yogurt',
    3.8,
    1.04,
    0.87,
    0.035,
    names('yoghurt|plain yogurt|natural yogurt|Joghurt|Naturjoghurt|yaourt|yaourt nature'),
  ),
  dairy(
    'milk powder',
    1.5,
    0.5,
    0.03,
    0.01,
    names(
      'dry milk|dried milk|skimmed milk powder|Milchpulver|Magermilchpulver|lait en poudre|poudre de lait',
    ),
  ),
  dairy(
    'cream',
    3.5,
    1,
    0.64,
    0.3,
    names(
      'heavy cream|whipping cream|heavy whipping cream|Sahne|Schlagsahne|Rahm|Obers|crème|crème liquide|crème entière|crème fleurette',
    ),
  ),
  dairy(
    'double cream',
    3.2,
    0.99,
    0.47,
    0.48,
    names('extra thick cream|Doppelrahm|Crème double|crème double'),
  ),
  dairy('single cream', 3.7, 1.01, 0.75, 0.18, names('light cream|half and half|Kaffeesahne|crème légère')),
  dairy('sour cream', 3.5, 1, 0.73, 0.2, names('soured cream|saure Sahne|Sauerrahm|Schmand|crème aigre')),
  dairy('crème fraîche', 3.4, 1, 0.6, 0.35, names('creme fraiche|crème épaisse')),
  dairy('quark', 3.5, 1.05, 0.8, 0.05, names('Speisequark|Topfen|Magerquark|fromage blanc')),
  dairy('cream cheese', 3.2, 1, 0.55, 0.33, names('soft cheese|Frischkäse|fromage frais|fromage à tartiner')),
  ingredient('hard cheese', 'dairy', 2.6, 0.45, {
    water: 0.36,
    fat: 0.32,
    salt: 0.015,
    allergens: ['milk'],
    also: names(
      'grated cheese|cheese|gruyère|cheddar|Käse|Bergkäse|Reibekäse|fromage|fromage râpé|comté|emmental',
    ),
  }),
  ingredient('egg', 'egg', 3.3, 1.03, {
    water: 0.75,
    fat: 0.1,
    allergens: ['egg'],
    also: names('whole egg|Ei|Eier|Vollei|œuf|oeuf|œuf entier|œufs|oeufs'),
  }),
  ingredient('egg yolk', 'egg', 2.8, 1.03, {
    water: 0.5,
    fat: 0.3,
    allergens: ['egg'],
    also: names("yolk|Eigelb|Dotter|jaune d’œuf|jaune d'œuf|jaune d'oeuf|jaunes d’œufs|jaune"),
  }),
  ingredient('egg white', 'egg', 3.8, 1.03, {
    water: 0.88,
    allergens: ['egg'],
    also: names("white|Eiweiß|Eiklar|blanc d’œuf|blanc d'œuf|blanc d'oeuf|blancs d’œufs"),
  }),
  ingredient('butter', 'fat', 4.3, 0.95, {
    water: 0.16,
    fat: 0.82,
    allergens: ['milk'],
    also: names('unsalted butter|roll-in butter|sweet butter|Butter|Süßrahmbutter|beurre|beurre doux'),
  }),
  ingredient('dry butter', 'fat', 4.3, 0.95, {
    water: 0.14,
    fat: 0.84,
    allergens: ['milk'],
    note: 'workable two degrees warmer',
    also: names(
      'European butter|Tourierbutter|Ziehbutter|beurre de tourage|beurre sec|beurre sec de tourage',
    ),
  }),
  ingredient('salted butter', 'fat', 4.3, 0.95, {
    water: 0.15,
    fat: 0.81,
    salt: 0.02,
    allergens: ['milk'],
    also: names('gesalzene Butter|Salzbutter|beurre salé|beurre demi-sel'),
  }),
  ingredient('bakery margarine', 'fat', 4.3, 0.95, {
    water: 0.18,
    fat: 0.8,
    also: names('margarine|Ziehmargarine|Backmargarine'),
    note: 'workable 15 to 20 °C; read its label for soya and milk',
  }),
  ingredient('lard', 'fat', 2.2, 0.9, { fat: 1, also: names('Schmalz|Schweineschmalz|saindoux|shortening') }),
  ingredient('rapeseed oil', 'fat', 2, 0.92, {
    fat: 1,
    also: names(
      'oil|vegetable oil|sunflower oil|canola oil|neutral oil|Öl|Rapsöl|Sonnenblumenöl|Pflanzenöl|huile|huile de colza|huile de tournesol|huile neutre',
    ),
  }),
  ingredient('olive oil', 'fat', 2, 0.91, { fat: 1, also: names("Olivenöl|huile d’olive|huile d'olive") }),
  sweet('sugar', 0.85, {
    also: names(
      'caster sugar|granulated sugar|white sugar|superfine sugar|Zucker|Kristallzucker|feiner Zucker|sucre|sucre en poudre|sucre semoule|sucre blanc',
    ),
  }),
  sweet('brown sugar', 0.88, {
    also: names(
      'light brown sugar|dark brown sugar|muscovado|muscovado sugar|brauner Zucker|Rohrzucker|Rohrohrzucker|cassonade|sucre roux|sucre brun|vergeoise',
    ),
  }),
  sweet('demerara sugar', 0.85, { also: names('demerara|turbinado|turbinado sugar|raw sugar') }),
  sweet('pearl sugar', 0.7, { also: names('nib sugar|Hagelzucker|sucre perlé|sucre en grains') }),
  sweet('icing sugar', 0.56, {
    also: names(
      "powdered sugar|confectioners' sugar|confectioners’ sugar|Puderzucker|Staubzucker|sucre glace",
    ),
  }),
  sweet('vanilla sugar', 0.85, { also: names('Vanillezucker|Vanillinzucker|sucre vanillé') }),
  sweet('honey', 1.42, { sugar: 0.8, water: 0.18, heat: 2.4, also: names('Honig|miel') }),
  sweet('maple syrup', 1.32, {
    sugar: 0.67,
    water: 0.32,
    heat: 2.6,
    also: names('Ahornsirup|sirop d’érable'),
  }),
  sweet('golden syrup', 1.4, {
    sugar: 0.8,
    water: 0.18,
    heat: 2.4,
    also: names(
      'corn syrup|glucose syrup|glucose|invert sugar|Glukosesirup|Zuckerrübensirup|sirop de glucose|sucre inverti',
    ),
  }),
  sweet('malt', 1.4, {
    sugar: 0.65,
    water: 0.2,
    heat: 2.4,
    allergens: ['gluten'],
    also: names(
      'barley malt|malt powder|diastatic malt|diastatic malt powder|malt syrup|malt extract|Malz|Backmalz|Malzsirup|malt d’orge|sirop de malt',
    ),
  }),
  ingredient('salt', 'salt', 0.9, 1.2, {
    salt: 1,
    also: names('fine salt|sea salt|table salt|kosher salt|Salz|Meersalz|Speisesalz|sel|sel fin|sel de mer'),
  }),
  ingredient('fresh yeast', 'yeast', 3.3, 0.9, {
    yeast: 0.33,
    also: names(
      "baker's yeast|baker’s yeast|cake yeast|compressed yeast|Frischhefe|frische Hefe|Hefewürfel|Germ|frische Germ|Germwürfel|levure fraîche|levure fraîche de boulanger|levure de boulanger fraîche",
    ),
  }),
  ingredient('instant yeast', 'yeast', 1.8, 0.63, {
    yeast: 1,
    also: names(
      'instant dry yeast|inst. yeast|fast-action yeast|fast-action dried yeast|easy-blend dried yeast|easy-bake dried yeast|instant dried yeast|rapid-rise dry yeast|fast-acting yeast|rapid-rise yeast|easy-bake yeast|SAF yeast|Instanthefe|Instant-Trockenhefe|levure instantanée|levure sèche instantanée',
    ),
  }),
  ingredient('active dry yeast', 'yeast', 1.8, 0.63, {
    yeast: 0.825,
    also: names(
      'dry yeast|dried yeast|dried active yeast|dry active yeast|Trockenhefe|Trockenbackhefe|levure sèche|levure sèche active|levure de boulanger sèche|levure déshydratée',
    ),
  }),
  ingredient('osmotolerant yeast', 'yeast', 1.8, 0.63, {
    yeast: 1,
    note: 'instant, for doughs above 10 % sugar',
    also: names('gold yeast|osmotolerant instant yeast|osmotolerante Hefe|levure osmotolérante'),
  }),
  ingredient('ripe levain', 'starter', 3, 0.9, {
    flour: 0.5,
    water: 0.5,
    allergens: ['gluten'],
    also: names(
      'levain|starter|sourdough starter|sourdough|liquid levain|ripe starter|active starter|mature starter|leaven|Sauerteig|Anstellgut|Lievito liquido|levain liquide|levain chef',
    ),
  }),
  ingredient('ripe stiff levain', 'starter', 2.6, 1, {
    flour: 2 / 3,
    water: 1 / 3,
    allergens: ['gluten'],
    also: names(
      'stiff starter|stiff levain|stiff sourdough|stiff sourdough starter|lievito madre|pasta madre|fester Sauerteig|levain dur',
    ),
  }),
  other('baking powder', 1.2, 0.9, names('Backpulver|levure chimique|poudre à lever')),
  other('baking soda', 1.2, 0.9, names('bicarbonate of soda|bicarbonate|bicarb|Natron|bicarbonate de soude')),
  other(
    'starch',
    1.8,
    0.6,
    names(
      'cornflour|cornstarch|corn starch|corn flour|maize starch|potato starch|Stärke|Speisestärke|Maisstärke|maïzena|fécule|fécule de maïs|amidon de maïs',
    ),
  ),
  other(
    'custard powder',
    1.8,
    0.6,
    names('pudding powder|Puddingpulver|Vanillepuddingpulver|poudre à crème'),
  ),
  other('gelatine', 1.6, null, names('gelatin|leaf gelatine|Blattgelatine|gélatine')),
  other(
    'vanilla',
    3,
    0.9,
    names(
      'vanilla extract|vanilla essence|vanilla bean|vanilla pod|vanilla paste|Vanille|Vanilleextrakt|Vanilleschote|Vanillemark|vanille|gousse de vanille|extrait de vanille',
    ),
  ),
  other('cinnamon', 1.5, 0.53, names('ground cinnamon|Zimt|cannelle')),
  other('cardamom', 1.5, 0.45, names('ground cardamom|Kardamom|cardamome')),
  other('nutmeg', 1.5, 0.5, names('Muskat|Muskatnuss|muscade|noix de muscade')),
  other('ginger', 1.5, 0.45, names('ground ginger|Ingwer|gingembre')),
  other('lemon zest', 3, 0.4, names('lemon rind|Zitronenschale|Zitronenabrieb|zeste de citron')),
  other('lemon juice', 4, 1.02, names('Zitronensaft|jus de citron'), { water: 0.9 }),
  other(
    'orange zest',
    3,
    0.4,
    names("orange rind|Orangenschale|Orangenabrieb|zeste d’orange|zeste d'orange"),
  ),
  other('orange juice', 3.9, 1.04, names("Orangensaft|jus d’orange|jus d'orange"), { water: 0.88 }),
  other('vinegar', 4, 1, names('Essig|vinaigre|cider vinegar'), { water: 0.94 }),
  other('poppy seed', 1.9, 0.6, names('ground poppy seed|Mohn|gemahlener Mohn|graines de pavot|pavot'), {
    fat: 0.42,
  }),
  ingredient('sesame seed', 'other', 1.9, 0.6, {
    fat: 0.5,
    allergens: ['sesame'],
    also: names('sesame|Sesam|graines de sésame|sésame'),
  }),
  other('sunflower seed', 1.9, 0.55, names('Sonnenblumenkerne|graines de tournesol'), { fat: 0.5 }),
  ingredient('raisins', 'other', 2.2, 0.65, {
    water: 0.16,
    allergens: ['sulphites'],
    also: names('sultanas|currants|Rosinen|Sultaninen|raisins secs'),
  }),
  other('plum', 3.7, 0.65, names('Pflaume|Zwetschge|prune|quetsche'), { water: 0.85 }),
  other('apple', 3.7, 0.6, names('Apfel|Äpfel|pomme'), { water: 0.85 }),
  other('jam', 2.6, 1.33, names('apricot jam|marmalade|Konfitüre|Marmelade|confiture'), {
    sugar: 0.6,
    water: 0.35,
  }),
  other('rum', 3, 0.95, names('dark rum|rhum'), { water: 0.6 }),
  ingredient('chocolate', 'other', 1.7, 0.65, {
    fat: 0.32,
    allergens: ['milk', 'soya'],
    also: names(
      'chocolate sticks|milk chocolate|white chocolate|chocolate chips|chocolate batons|Schokolade|Vollmilchschokolade|Schokoladenstäbchen|chocolat|chocolat au lait|bâtons de chocolat|pépites de chocolat',
    ),
  }),
  ingredient('dark chocolate', 'other', 1.7, 0.65, {
    fat: 0.35,
    allergens: ['milk', 'soya'],
    note: 'read its label: many are made beside milk',
    also: names(
      'bittersweet chocolate|semisweet chocolate|plain chocolate|Zartbitterschokolade|dunkle Schokolade|Kuvertüre|chocolat noir',
    ),
  }),
  other('cocoa', 1.7, 0.45, names('cocoa powder|Kakao|Kakaopulver|cacao|cacao en poudre'), { fat: 0.21 }),
  other('ham', 3.3, null, names('cooked ham|Schinken|Kochschinken|jambon|jambon blanc'), {
    water: 0.72,
    fat: 0.05,
    salt: 0.02,
  }),
  nut(
    'ground almond',
    0.42,
    0.5,
    names(
      'almond meal|almond flour|almonds|gemahlene Mandeln|Mandeln|poudre d’amande|amandes|poudre d’amandes',
    ),
  ),
  nut(
    'almond paste',
    1.2,
    0.28,
    names("marzipan|frangipane paste|Marzipan|Marzipanrohmasse|pâte d’amande|pâte d'amande"),
  ),
  nut(
    'flaked almond',
    0.35,
    0.5,
    names('sliced almonds|almond flakes|Mandelblättchen|gehobelte Mandeln|amandes effilées'),
  ),
  nut('hazelnut', 0.5, 0.6, names('ground hazelnuts|Haselnüsse|gemahlene Haselnüsse|noisettes')),
  nut('walnut', 0.45, 0.62, names('Walnüsse|cerneaux de noix|noix')),
  nut('pecan', 0.45, 0.7, names('pecans|pecan nuts|Pekannüsse|noix de pécan')),
  nut('pistachio', 0.5, 0.45, names('pistachios|Pistazien|pistaches')),
  nut('peanut', 0.6, 0.49, names('Erdnüsse|cacahuètes'), ['peanut']),
];
