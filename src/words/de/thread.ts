import type { Catalog } from '../message';

export const thread: Catalog['thread'] = {
  daysAndHours: 'Tage und Stunden',
  toDo: 'zu tun',
  underWay: 'läuft',
  done: 'fertig',
  skipped: 'übersprungen',
  knotLock: 'einschl.',
  knotCut: 'schneiden',
  knotMix: 'kneten',
  knotShape: 'formen',
  knotDivide: 'teilen',
  knotButter: 'Butter',
  knotFilling: 'Füllung',
  knotLevain: 'Sauerteig',
  lastProof: 'Gare',
  lastWash: 'abstreichen',
  lastOven: 'Ofen',
};
