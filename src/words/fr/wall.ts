import type { Catalog } from '../message';

export const wall: Catalog['wall'] = {
  wall: 'Écran mural',
  now: 'Maintenant',
  next: 'Ensuite',
  rising: 'Pousse et repos',
  nextIn: 'À enfourner ensuite',
  nothingUnderWay: 'Rien en cours.',
  nothingNext: 'Rien pour l’instant.',
  nothingRises: 'Rien ne pousse.',
  ovenEmpty: 'Le four est vide.',
  readyUntil: 'Prêt jusque-là : {step}',
  trays: '{trays, plural, one {# plaque} other {# plaques}}',
  outSince: '{trouble} depuis {time}',
  more: '{count, plural, one {# autre alarme} other {# autres alarmes}}',
  pageOf: '{page} / {pages}',
};
