export const scaling = {
  moreLess: '{grams} {isMore, select, true {more} other {less}} {name}',
  for: '{name} for {name2}',
  heldBackAdded: '{grams} {name} {isHeldBack, select, true {held back} other {added}}',
  theWeightToScaleTo: 'Enter a weight above 0.',
  hasNoneToScaleBy: 'This formula has no {what} to scale by.',
  flour: 'flour',
  doughAsSuch: 'dough',
  scrapAndBakeLossAre: 'Enter scrap and bake loss from 0 to below 100 %.',
  theFillingOfAPiece: 'Enter the filling of a piece as a weight, such as 28 g.',
  suchIngredient: 'such ingredient',
} as const;
