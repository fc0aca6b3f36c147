import type { Language } from '../message';

/**
 * What templates of products are about, in languages other than their own. Read where a bakery chooses some, and nowhere
 * else: no other page is sent them.
 */
const ABOUT: Readonly<Record<Exclude<Language, 'en'>, Readonly<Record<string, string>>>> = {
  de: {
    'Autolyse and a full knead, cross lock-in; warm proof, to be changed to room or cold':
      'Autolyse und voll geknetet, über Kreuz eingeschlagen; warme Gare, auf Raum oder kalt umstellbar',
    'Both sides to the middle, a letter fold, then a book fold last':
      'Beide Seiten zur Mitte, eine einfache, zuletzt eine doppelte Tour',
    'Sponge under flour, dough retarded overnight': 'Vorteig unter Mehl, Teig über Nacht kalt geführt',
    'The brioche dough in tins': 'Der Briocheteig in Formen',
    'The brioche dough in tins, sugared hot': 'Der Briocheteig in Formen, heiß gezuckert',
    'Three days: dough retarded overnight, laminated, pieces retarded overnight':
      'Drei Tage: Teig über Nacht kalt, touriert, Teiglinge über Nacht kalt',
    'From the crescent dough, with chocolate laid in': 'Aus dem Hörnchenteig, mit eingelegter Schokolade',
    'From the crescent dough, spread, rolled and sliced':
      'Aus dem Hörnchenteig, bestrichen, gerollt und geschnitten',
    'A crescent filled with almond cream': 'Ein Hörnchen mit Mandelcreme',
    'A crescent with cheese and seeds': 'Ein Hörnchen mit Käse und Saaten',
    'Two-thirds lock with a butter template; custard goes on after the proof':
      'Butterplatte auf zwei Dritteln eingeschlagen; die Creme kommt nach der Gare darauf',
    'Pockets with a cooked poppy filling': 'Taschen mit gekochter Mohnfüllung',
    'Pinwheels with half a plum': 'Windräder mit einer halben Pflaume',
    'Frozen butter grated on in two additions, stretch and folds in bulk':
      'Gefrorene Butter in zwei Gaben geraspelt, in der Stockgare gedehnt und gefaltet',
    'Floured soft butter locked half over, three turns in one go, shaped half an hour later':
      'Weiche Mehlbutter zur Hälfte eingeschlagen, drei Touren am Stück, nach einer halben Stunde geformt',
    'Soft butter spread and dusted with flour, folded in one go; egg-free, milk wash':
      'Weiche Butter aufgestrichen und mit Mehl bestaubt, am Stück gefaltet; ohne Ei, mit Milch abgestrichen',
    'Soaked fruit and custard, rolled and sliced; proofed a little, then cold overnight':
      'Eingeweichte Früchte und Creme, gerollt und geschnitten; kurz angegart, dann über Nacht kalt',
    'Laminated brioche, folds in pairs, braided into buttered tins with salt and sugar':
      'Tourierte Brioche, Touren zu zweit, in gebutterte Formen mit Salz und Zucker geflochten',
    'Levain built the day before, pieces retarded overnight':
      'Sauerteig vom Vortag, Teiglinge über Nacht kalt',
    'Levain built the night before, no yeast, 12 h proof in a cool room':
      'Sauerteig vom Vorabend, ohne Hefe, 12 h Gare im kühlen Raum',
    'All on one day: short bulk, chilled, laminated, proofed warm':
      'Alles an einem Tag: kurze Stockgare, gekühlt, touriert, warm gegart',
    'Rich dough spread, rolled up, sliced into sugared tins, turned out hot':
      'Schwerer Hefeteig, bestrichen, gerollt, in gezuckerte Formen geschnitten, heiß gestürzt',
    'A sponge under flour in the morning, sold in the evening of the same day':
      'Vorteig unter Mehl am Morgen, verkauft am selben Abend',
    'Stiff levain, cold bulk of half a day to a day, weighed balls, stacked discs with a spread, cut in sectors':
      'Fester Sauerteig, kalte Stockgare von einem halben bis ganzen Tag, gewogene Ballen, gestapelte Scheiben mit Aufstrich, in Segmente geschnitten',
    'One dough, four kinds told apart by their topping': 'Ein Teig, vier Sorten, am Belag zu unterscheiden',
    'One tall stack of buttered discs, rolled round and cut like a cake':
      'Ein hoher Stapel gebutterter Scheiben, rund ausgerollt und wie ein Kuchen geschnitten',
  },
  fr: {
    'Autolyse and a full knead, cross lock-in; warm proof, to be changed to room or cold':
      'Autolyse et pétrissage complet, beurrage en croix ; apprêt chaud, à passer en ambiant ou à froid',
    'Both sides to the middle, a letter fold, then a book fold last':
      'Les deux côtés au milieu, un tour simple, puis un tour double',
    'Sponge under flour, dough retarded overnight': 'Levain-levure sous la farine, pâte au froid la nuit',
    'The brioche dough in tins': 'La pâte à brioche en moules',
    'The brioche dough in tins, sugared hot': 'La pâte à brioche en moules, sucrée à chaud',
    'Three days: dough retarded overnight, laminated, pieces retarded overnight':
      'Trois jours : pâte au froid la nuit, tourage, pâtons au froid la nuit',
    'From the crescent dough, with chocolate laid in': 'De la pâte à croissant, avec du chocolat',
    'From the crescent dough, spread, rolled and sliced':
      'De la pâte à croissant, garnie, roulée et tranchée',
    'A crescent filled with almond cream': 'Un croissant garni de crème d’amande',
    'A crescent with cheese and seeds': 'Un croissant au fromage et aux graines',
    'Two-thirds lock with a butter template; custard goes on after the proof':
      'Beurrage aux deux tiers ; la crème se pose après l’apprêt',
    'Pockets with a cooked poppy filling': 'Chaussons à la garniture au pavot',
    'Pinwheels with half a plum': 'Moulinets à la demi-prune',
    'Frozen butter grated on in two additions, stretch and folds in bulk':
      'Beurre congelé râpé en deux fois, rabats pendant le pointage',
    'Floured soft butter locked half over, three turns in one go, shaped half an hour later':
      'Beurre fariné mou enfermé à moitié, trois tours d’affilée, façonnage une demi-heure après',
    'Soft butter spread and dusted with flour, folded in one go; egg-free, milk wash':
      'Beurre mou étalé et fariné, plié d’affilée ; sans œuf, doré au lait',
    'Soaked fruit and custard, rolled and sliced; proofed a little, then cold overnight':
      'Fruits trempés et crème, roulés et tranchés ; court apprêt, puis nuit au froid',
    'Laminated brioche, folds in pairs, braided into buttered tins with salt and sugar':
      'Brioche feuilletée, tours par deux, tressée dans des moules beurrés, sel et sucre',
    'Levain built the day before, pieces retarded overnight': 'Levain de la veille, pâtons au froid la nuit',
    'Levain built the night before, no yeast, 12 h proof in a cool room':
      'Levain de la veille au soir, sans levure, 12 h d’apprêt en pièce fraîche',
    'All on one day: short bulk, chilled, laminated, proofed warm':
      'Tout en un jour : pointage court, froid, tourage, apprêt chaud',
    'Rich dough spread, rolled up, sliced into sugared tins, turned out hot':
      'Pâte riche garnie, roulée, tranchée en moules sucrés, démoulée chaude',
    'A sponge under flour in the morning, sold in the evening of the same day':
      'Levain-levure le matin, vendu le soir même',
    'Stiff levain, cold bulk of half a day to a day, weighed balls, stacked discs with a spread, cut in sectors':
      'Levain dur, pointage au froid d’une demi-journée à un jour, boules pesées, disques empilés et garnis, coupés en parts',
    'One dough, four kinds told apart by their topping': 'Une pâte, quatre sortes, reconnues à leur finition',
    'One tall stack of buttered discs, rolled round and cut like a cake':
      'Une haute pile de disques beurrés, abaissée ronde et coupée en parts',
  },
};

/** What a template is about, as this language says it. */
export const templateAbout = (about: string, language: Language): string =>
  language === 'en' ? about : (ABOUT[language][about] ?? about);
