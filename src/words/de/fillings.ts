import type { Catalog } from '../message';

export const fillings: Catalog['fillings'] = {
  noPlannedDoughAsksFor: 'Kein geplanter Teig braucht Füllung, Eistreiche oder Belag.',
  fillingsOf: 'Füllungen, Eistreichen und Beläge für {day}',
  pieces: '{time} {product}, {dough}: {pieces} Stück, {mass}; {moment}<full></full>',
  weighOut: 'Abwiegen',
  toTaste: 'nach Bedarf',
  shapes: 'Formen',
};
