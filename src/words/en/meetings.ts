export const meetings = {
  theOvenHasNoRoom: 'the oven has no room for both',
  andDoNotGoTogether: '{celsius} and {celsius2} do not go together',
  itCanOnlyWaitUntil: 'It can only wait until {time}.',
  thatIsWithinItsTime: 'That is within its time, until {time}.',
  andAreReadyTogetherWould:
    '{first} and {second} are ready together, and {why}. {second} would wait {duration}. {then}',
  longerThanItCan: ', longer than it can',
  thenWaits: '{load} then waits {duration}{last}',
  thenNeitherWaits: 'then neither waits',
  bakeFirst: 'Bake {load} first: {then}.',
  splitItOfItsTrays: 'Split it: {room} of its {trays} trays go in with {other}, {left} after it.',
  intoThe: '{load} into the {place}, {celsius}',
  load: '{name}, load {nth}',
} as const;
