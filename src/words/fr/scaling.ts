import type { Catalog } from '../message';

export const scaling: Catalog['scaling'] = {
  moreLess: '{grams} de {name} en {isMore, select, true {plus} other {moins}}',
  for: '{name} au lieu de {name2}',
  heldBackAdded: '{grams} de {name} {isHeldBack, select, true {retenus} other {ajoutés}}',
  theWeightToScaleTo: 'Saisir un poids supérieur à 0.',
  hasNoneToScaleBy: 'Cette formule n’a pas de {what} pour la conversion.',
  flour: 'farine',
  doughAsSuch: 'pâte',
  scrapAndBakeLossAre: 'Saisir rognures et perte à la cuisson de 0 à moins de 100 %.',
  theFillingOfAPiece: 'Saisir la garniture d’une pièce en poids, par exemple 28 g.',
  suchIngredient: 'cet ingrédient',
};
