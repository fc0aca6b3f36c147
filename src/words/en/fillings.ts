export const fillings = {
  noPlannedDoughAsksFor: 'No planned dough needs a filling, wash or topping.',
  fillingsOf: 'Fillings, washes and toppings for {day}',
  pieces: '{time} {product}, {dough}: {pieces} pieces, {mass}; {moment}<full></full>',
  weighOut: 'Weigh out',
  toTaste: 'as needed',
  shapes: 'Shapes',
} as const;
