export const waysOut = {
  later: 'Promise it for later',
  frozen: 'Pieces from the freezer, the dough for later',
  hands: 'One more pair of hands by day',
  night: 'Somebody works while nobody is there',
  longer: 'A longer retard',
  roomProof: 'Prove it in the room, not in the proofer',
  coolerRoom: 'Let it rise {celsius} cooler, so that it may wait',
  splitBake: 'Bake it in one load more',
  unpin: 'Let go of what is fixed by hand',
} as const;
