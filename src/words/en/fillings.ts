export const fillings = {
  noPlannedDoughAsksFor: 'No planned dough asks for a filling.',
  fillingsOf: 'Fillings of {day}',
  pieces: '{time} {product}, {dough}: {pieces} pieces, {mass}; {FILLINGMOMENTS}<full></full>',
  shapes: 'Shapes',
} as const;
