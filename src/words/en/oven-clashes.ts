export const ovenClashes = {
  theOvenHasNoRoom: 'the oven cannot take both',
  andDoNotGoTogether: '{celsius} and {celsius2} cannot share an oven',
  itCanOnlyWaitUntil: 'It keeps only until {time}.',
  thatIsWithinItsTime: 'That is within its time, until {time}.',
  andAreReadyTogetherWould:
    '{first} and {second} are ready together, and {why}. {second} would wait {duration}. {then}',
  longerThanItCan: ', too long for it',
  thenWaits: '{load} then waits {duration}{last}',
  thenNeitherWaits: 'then neither waits',
  bakeFirst: 'Bake {load} first: {then}.',
  splitItOfItsTrays: 'Split it: {room} of its {trays} trays with {other}, {left} after it.',
  intoThe: '{load} into the {place}, {celsius}',
  load: '{name}, load {nth}',
} as const;
