export const alarms = {
  ofStep: '{dough}, {step}: {message}',
  stepOf: '{dough}: {step}',
  heatTheOvenToGoes: 'Heat the oven to {celsius}; {name} goes in {time}.',
  mixTheWashIsBrushed: 'Mix the wash; {name} is brushed {when}. Keep it cold, at most 2 h out.',
  butterOutOfTheCold: 'Butter out of the cold for {name} {when}.',
  forRipeStarterYeastFlour:
    '{label} for {name} {when}: {isLevain, select, true {ripe starter} other {yeast}}, flour and water to hand.',
  lookAtTheColour: '{name}: look at the colour, door open for a moment only.',
  turnTheTraysRoundSwap: '{name}: turn the trays round, swap the levels.',
  shouldBeDoneColourCore: '{name} should be done: colour, core, out.',
  shouldBeReadyIsIt: '{name} should be ready: is it alive?',
  shouldBeReadyLook: '{name} should be ready: look.',
  outOfTheFreezerFor:
    '{pieces} {product} out of the freezer for {time}: thaw overnight in the cold, covered.',
  noWordFromTheProbe:
    'No word from the probe of {names} for {duration}: read the thermometer, tell it on Rooms; battery, gateway.',
  forAboveBelowDoorFan:
    '{label} {shown} for {held}, {isAbove, select, true {above} other {below}} {bound}: door, fan, load.',
  judgedButEnteredLate: '{judged} A temperature was entered late, at {time}.',
  stopItWasNotAt: 'Stop: it was not at {celsius} by {time}. Do not use it; throw it away and make it anew.',
  itShouldHaveBeenAt: 'It should have been at {celsius} by {time}, and nobody has measured it: measure now.',
  atOrColderByMeasure: 'At {celsius} or colder by {time}: measure and tell it.',
  coldInTimeKeepIt: 'Cold in time. Keep it at {celsius} or colder and use it within 3 days.',
} as const;
