import type { Catalog } from '../message';

export const heat: Catalog['heat'] = {
  theCoreDoesNotCome: 'Le cœur n’atteint pas {celsius} en {duration} ; il sera alors à {celsius2}.',
  coreAtIn: 'Cœur à {celsius} dans {duration}.',
  byThenTheSkinIs:
    'La surface sera alors à {celsius} et le beurre craquera aux bords. Sortir plus tôt et laisser s’équilibrer.',
  byThenTheSkinIs2: 'La surface sera alors à {celsius} : laisser s’équilibrer quelques minutes.',
  room: 'local',
  fridgeStillAir: 'réfrigérateur, air calme',
  retarderWithFan: 'chambre froide ventilée',
  freezer: 'congélateur',
  blastFreezer: 'surgélateur',
  prooferWithFan: 'étuve ventilée',
  oven: 'four',
  onAMetalTray: 'sur une plaque',
  onARack: 'sur une grille',
  onAWoodenBoard: 'sur une planche en bois',
  inATubWithLid: 'en bac avec couvercle',
  inAStack: 'empilé',
  wrappedInFilm: 'filmé',
};
