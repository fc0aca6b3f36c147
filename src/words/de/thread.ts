import type { Catalog } from '../message';

export const thread: Catalog['thread'] = {
  daysAndHours: 'Tage und Stunden',
  toDo: 'zu tun',
  underWay: 'läuft',
  done: 'fertig',
  skipped: 'übersprungen',
};
