export const meetings = {
  theOvenHasNoRoom: 'the oven has no room for both',
  andDoNotGoTogether: '{celsius} and {celsius2} do not go together',
  itCanOnlyWaitUntil: 'It can only wait until {time}.',
  thatIsWithinItsTime: 'That is within its time, until {time}.',
  andAreReadyTogetherWould:
    '{nameOf} and {nameOf2} are ready together, and {why}. {nameOf2} would wait {duration}. {then}',
  longerThanItCan: ', longer than it can',
  thenWaits: '{nameOf} then waits {duration}{last}',
  thenNeitherWaits: 'then neither waits',
  bakeFirst: 'Bake {nameOf} first: {then}.',
  splitItOfItsTrays: 'Split it: {room} of its {trays} trays go in with {nameOf}, {left} after it.',
  intoThe: '{nameOf} into the {label}, {celsius}',
  load: '{name}, load {nth}',
} as const;
