export const waysOut = {
  later: 'Deliver later',
  frozen: 'Deliver from the freezer, bake later',
  hands: 'One more person by day',
  night: 'Work outside staffed hours',
  longer: 'Longer retard',
  roomProof: 'Proof at room temperature',
  coolerRoom: 'Proof {celsius} cooler',
  splitBake: 'One more oven load',
  unpin: 'Unpin steps',
} as const;
