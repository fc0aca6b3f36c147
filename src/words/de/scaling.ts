import type { Catalog } from '../message';

export const scaling: Catalog['scaling'] = {
  moreLess: '{grams} {isMore, select, true {mehr} other {weniger}} {name}',
  for: '{name} statt {name2}',
  heldBackAdded: '{grams} {name} {isHeldBack, select, true {zurückgehalten} other {zugegeben}}',
  theWeightToScaleTo: 'Ein Gewicht über 0 eingeben.',
  hasNoneToScaleBy: 'In dieser Rezeptur gibt es kein {what} zum Umrechnen.',
  flour: 'Mehl',
  doughAsSuch: 'Teig',
  scrapAndBakeLossAre: 'Verschnitt und Backverlust von 0 bis unter 100 % eingeben.',
  theFillingOfAPiece: 'Füllung eines Stücks als Gewicht eingeben, etwa 28 g.',
  suchIngredient: 'diese Zutat',
};
