import type { Catalog } from '../message';

export const ovenClashes: Catalog['ovenClashes'] = {
  theOvenHasNoRoom: 'le four ne peut contenir les deux',
  andDoNotGoTogether: '{celsius} et {celsius2} ne peuvent partager un four',
  itCanOnlyWaitUntil: 'Cela ne tient que jusqu’à {time}.',
  thatIsWithinItsTime: 'C’est dans les temps, jusqu’à {time}.',
  andAreReadyTogetherWould:
    '{first} et {second} sont prêts ensemble, et {why}. {second} attendrait {duration}. {then}',
  longerThanItCan: ', trop pour lui',
  thenWaits: '{load} attend alors {duration}{last}',
  thenNeitherWaits: 'alors aucun n’attend',
  bakeFirst: 'Cuire {load} d’abord : {then}.',
  splitItOfItsTrays: 'Séparer : {room} de ses {trays} plaques avec {other}, {left} ensuite.',
  intoThe: '{load} vers {place}, {celsius}',
  load: '{name}, enfournement {nth}',
};
