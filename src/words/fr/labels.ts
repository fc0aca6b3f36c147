import type { Catalog } from '../message';

export const labels: Catalog['labels'] = {
  labelsOf: 'Étiquettes, {dough}',
  batch: 'Fournée {batch}',
  ingredients: 'Ingrédients : <list></list>',
  contains: 'Contient : {allergens}',
  incomplete: 'Étiquette incomplète. Saisir les allergènes de {undeclared} dans Ingrédients.',
  made: '{kept, select, pieces {Congelé le} frozen_dough {Congelé le} other {Fabriqué le}} {day}',
  bestBefore: 'À consommer de préférence avant le {day}',
  keep: '{isFrozen, select, true {Conserver congelé. Décongeler une nuit au froid, à couvert.} other {Conserver au froid, à couvert.}}',
  asDough: '{dough}, pâte',
  planned: 'Dates selon le plan : pas encore fabriqué.',
  size: 'Format d’étiquette',
  sizes: '{size, select, wide {100 × 60 mm} tall {62 × 100 mm} other {A4, 21 étiquettes de 70 × 42 mm}}',
  howMany: 'Étiquettes de {product}',
  wholeNumber: 'Saisir un nombre entier jusqu’à {most}.',
  print: 'Imprimer {count, plural, one {1 étiquette} other {# étiquettes}}',
  dough: 'Pâte',
  order:
    'Ingrédients par poids comme pétris, le plus lourd d’abord ; allergènes en gras. Vérifier ce que la loi locale exige d’autre sur l’étiquette.',
  language: 'Langue des étiquettes',
};
