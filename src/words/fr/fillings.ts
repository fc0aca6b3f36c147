import type { Catalog } from '../message';

export const fillings: Catalog['fillings'] = {
  noPlannedDoughAsksFor: 'Aucune pâte prévue ne demande de garniture, dorure ou décor.',
  fillingsOf: 'Garnitures, dorures et décors pour {day}',
  pieces: '{time} {product}, {dough} : {pieces} pièces, {mass} ; {moment}<full></full>',
  weighOut: 'Peser',
  toTaste: 'selon besoin',
  shapes: 'Formes',
};
