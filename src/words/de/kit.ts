import type { Catalog } from '../message';

export const kit: Catalog['kit'] = {
  close: 'Schließen',
  drawing: 'Wird gezeichnet …',
  hasMBAtMostAre: '{name} hat {megabytes} MB; erlaubt sind {megabytes2} MB.',
  orPasteItHere: 'Oder hier einfügen',
  tooLongToBeShown: 'Zu lang zum Anzeigen',
  at: 'um',
  enterANumber: 'Eine Zahl eingeben, etwa 12 oder 1,5.',
  enterATime: 'Eine Dauer eingeben, etwa 45 min oder 1 h 30.',
  enterAMeasure: 'Eine Menge mit Einheit eingeben.',
};
