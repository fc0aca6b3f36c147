import type { Catalog } from '../message';

export const labels: Catalog['labels'] = {
  labelsOf: 'Etiketten, {dough}',
  batch: 'Charge {batch}',
  ingredients: 'Zutaten: <list></list>',
  contains: 'Enthält: {allergens}',
  incomplete: 'Etikett unvollständig. Allergene von {undeclared} unter Zutaten eingeben.',
  made: '{kept, select, pieces {Eingefroren} frozen_dough {Eingefroren} other {Hergestellt}} {day}',
  bestBefore: 'Mindestens haltbar bis {day}',
  keep: '{isFrozen, select, true {Gefroren aufbewahren. Über Nacht zugedeckt in der Kälte auftauen.} other {Zugedeckt kalt aufbewahren.}}',
  asDough: '{dough}, Teig',
  planned: 'Daten laut Plan: noch nicht hergestellt.',
  size: 'Etikettengröße',
  sizes: '{size, select, wide {100 × 60 mm} tall {62 × 100 mm} other {A4, 21 Etiketten zu 70 × 42 mm}}',
  howMany: 'Etiketten von {product}',
  wholeNumber: 'Eine ganze Zahl bis {most} eingeben.',
  print: '{count, plural, one {1 Etikett} other {# Etiketten}} drucken',
  dough: 'Teig',
  order:
    'Zutaten nach Gewicht wie geknetet, die schwerste zuerst; Allergene fett. Prüfen, was das örtliche Recht auf Etiketten noch verlangt.',
  language: 'Sprache der Etiketten',
};
