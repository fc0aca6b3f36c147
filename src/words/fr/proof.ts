import type { Catalog } from '../message';

export const proof: Catalog['proof'] = {
  proofWatch: 'Apprêts',
  togetherAtTheOven: 'Ensemble au four',
  togetherAtTheOven2: 'ensemble au four',
  nothingRestsOrRisesJust: 'Rien ne repose ni ne pousse.',
  lookAtIt: 'Contrôler',
  pastItsTime: 'en retard',
  in: 'dans {duration}',
  readyUntilThen: 'prêt d’ici là',
  trays: ', {trays} plaques',
  labelPart: '{label}{part}',
  look: ', contrôler {time}',
  untilReadyTo: '{isMin, select, true {jusqu’à {time}} other {prêt de {time2} à {time3}}}{sure}{part}',
  freeNow: '{name} libre maintenant',
  free: '{name} libre {time}',
  sure: ', idéal {best} ± {minutes} min',
};
