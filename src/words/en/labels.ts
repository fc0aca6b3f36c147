/** Labels of goods and of what is kept. */
export const labels = {
  labelsOf: 'Labels, {dough}',
  batch: 'Batch {batch}',
  ingredients: 'Ingredients: <list></list>',
  contains: 'Contains: {allergens}',
  incomplete: 'Label incomplete. Enter the allergens of {undeclared} under Ingredients.',
  made: '{kept, select, pieces {Frozen} frozen_dough {Frozen} other {Made}} {day}',
  bestBefore: 'Best before {day}',
  keep: '{isFrozen, select, true {Keep frozen. Thaw overnight in the cold, covered.} other {Keep cold, covered.}}',
  asDough: '{dough}, dough',
  planned: 'Dates as planned: not made yet.',
  size: 'Label size',
  sizes: '{size, select, wide {100 × 60 mm} tall {62 × 100 mm} other {A4, 21 labels of 70 × 42 mm}}',
  howMany: 'Labels of {product}',
  wholeNumber: 'Enter a whole number up to {most}.',
  print: 'Print {count, plural, one {1 label} other {# labels}}',
  dough: 'Dough',
  order:
    'Ingredients by weight as mixed, heaviest first; allergens in bold. Check what else your local law requires on a label.',
  language: 'Language of the labels',
} as const;
