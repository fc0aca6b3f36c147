import type { Catalog } from '../message';

export const ovenClashes: Catalog['ovenClashes'] = {
  theOvenHasNoRoom: 'der Ofen fasst nicht beide',
  andDoNotGoTogether: '{celsius} und {celsius2} gehen nicht zusammen in einen Ofen',
  itCanOnlyWaitUntil: 'Das hält nur bis {time}.',
  thatIsWithinItsTime: 'Das ist in der Zeit, bis {time}.',
  andAreReadyTogetherWould:
    '{first} und {second} sind zugleich reif, und {why}. {second} würde {duration} warten. {then}',
  longerThanItCan: ', zu lange dafür',
  thenWaits: '{load} wartet dann {duration}{last}',
  thenNeitherWaits: 'dann wartet keine',
  bakeFirst: '{load} zuerst backen: {then}.',
  splitItOfItsTrays: 'Teilen: {room} der {trays} Bleche mit {other}, {left} danach.',
  intoThe: '{load} in {place}, {celsius}',
  load: '{name}, Beschickung {nth}',
};
