import type { Catalog } from '../message';

export const waysOut: Catalog['waysOut'] = {
  later: 'Livrer plus tard',
  frozen: 'Livrer du congélateur, cuire plus tard',
  hands: 'Une personne de plus le jour',
  night: 'Travailler hors des heures de présence',
  longer: 'Pousse au froid plus longue',
  roomProof: 'Apprêt à température ambiante',
  coolerRoom: 'Apprêt {celsius} plus froid',
  splitBake: 'Un enfournement de plus',
  unpin: 'Libérer des étapes',
};
