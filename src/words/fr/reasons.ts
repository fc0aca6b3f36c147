import type { Catalog } from '../message';

export const reasons: Catalog['reasons'] = {
  takenOut: '{dough} retiré',
  putBack: '{dough} remis',
  added: '{dough} ajouté',
  laminated: '{dough} tourné en {scheme}',
  followsToday: '{dough} adapté aux températures du jour',
  stepMovedTo: '{dough} : {step} à {time}',
  stepFixedOrLetGo: '{dough} : {step} {isFixed, select, true {fixé} other {libéré}}',
  undone: 'Annulé : {act}',
  doneAgain: 'Rétabli : {act}',
  byWhom: '{reason} ({name}, {time})',
  theWay: '{dough} : {way}',
  fitsBetterSo: 'va mieux',
  makesRoomFor: 'fait place à {dough} : {resource}',
  anotherDough: 'une autre',
  hands: 'personnel',
  aDoughOf: '{way} pour {dough}',
  tellTheCustomerAt: 'informer le client : {product} à {time} au lieu de {due}',
  tellTheCustomerNotBefore: 'informer le client : {pieces} {product}, au plus tôt {time}',
  thaw: 'décongeler {pieces} {product} une nuit au froid, apprêt pour {time}',
  worksAsWell: '{name} travaille aussi de {from} à {to}',
  letGo: '{count, plural, one {# étape fixée libérée} other {# étapes fixées libérées}}',
  cannotWait:
    '{dough} ne peut attendre : {step} durerait {minutes}, {longest} au plus. Refroidir, cuire ailleurs ou enregistrer la perte.',
  forThePlan: 'pour le plan',
};
