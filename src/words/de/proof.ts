import type { Catalog } from '../message';

export const proof: Catalog['proof'] = {
  proofWatch: 'Gare',
  togetherAtTheOven: 'Zusammen am Ofen',
  togetherAtTheOven2: 'zusammen am Ofen',
  nothingRestsOrRisesJust: 'Nichts ruht oder geht.',
  lookAtIt: 'Prüfen',
  pastItsTime: 'überfällig',
  in: 'in {duration}',
  readyUntilThen: 'reif bis dahin',
  trays: ', {trays} Bleche',
  labelPart: '{label}{part}',
  look: ', prüfen {time}',
  untilReadyTo: '{isMin, select, true {bis {time}} other {reif {time2} bis {time3}}}{sure}{part}',
  freeNow: '{name} jetzt frei',
  free: '{name} frei {time}',
  sure: ', am besten {best} ± {minutes} min',
};
