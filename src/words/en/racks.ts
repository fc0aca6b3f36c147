export const racks = {
  noRoom: 'No room: {held} of {capacity} trays are in {oven}, and this load has {trays}. Load it anyway?',
  otherHeat: '{oven} is at {celsius} for {dough}; this load needs {wanted}. Load it anyway?',
  learntCorrection:
    '{percent} % {isLonger, select, true {longer} other {shorter}}, from {bakes, plural, one {# bake} other {# bakes}}',
  howManyCameOutWell: '{name}: how many came out well?',
  goodOf: '{good} good <span>of {all}</span>',
  cameOut: 'Good',
  secondQuality: 'Second',
  waste: 'Waste',
  keepTheCount: 'Save count',
  oneLess: '{label}: one less',
  oneMore: '{label}: one more',
} as const;
