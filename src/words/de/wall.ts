import type { Catalog } from '../message';

export const wall: Catalog['wall'] = {
  wall: 'Wandbildschirm',
  now: 'Jetzt',
  next: 'Danach',
  rising: 'Gare und Ruhe',
  nextIn: 'Als Nächstes hinein',
  nothingUnderWay: 'Nichts läuft.',
  nothingNext: 'Im Moment nichts.',
  nothingRises: 'Nichts geht.',
  ovenEmpty: 'Der Ofen ist leer.',
  readyUntil: 'Bereit bis dahin: {step}',
  trays: '{trays, plural, one {# Blech} other {# Bleche}}',
  outSince: '{trouble} seit {time}',
  more: '{count, plural, one {# weiterer Alarm} other {# weitere Alarme}}',
  pageOf: '{page} / {pages}',
};
