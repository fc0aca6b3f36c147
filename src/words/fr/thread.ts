import type { Catalog } from '../message';

export const thread: Catalog['thread'] = {
  daysAndHours: 'Jours et heures',
  toDo: 'à faire',
  underWay: 'en cours',
  done: 'fait',
  skipped: 'passé',
  knotLock: 'enchâss.',
  knotCut: 'découpe',
  knotMix: 'pétrir',
  knotShape: 'façonner',
  knotDivide: 'diviser',
  knotButter: 'beurre',
  knotFilling: 'garniture',
  knotLevain: 'levain',
  lastProof: 'apprêt',
  lastWash: 'dorer',
  lastOven: 'four',
};
