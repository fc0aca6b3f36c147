export const alarms = {
  ofStep: '{dough}, {step}: {message}',
  stepOf: '{dough}: {step}',
  heatTheOvenToGoes: 'Heat oven to {celsius}. {name} in at {time}.',
  mixTheWashIsBrushed: 'Mix egg wash for {name}, {when}. Keep it cold.',
  butterOutOfTheCold: 'Take butter out for {name}, {when}.',
  forRipeStarterYeastFlour:
    '{label} for {name}, {when}: get {isLevain, select, true {ripe starter} other {yeast}}, flour and water ready.',
  lookAtTheColour: '{name}: check the colour. Open the door only briefly.',
  turnTheTraysRoundSwap: '{name}: turn trays, swap levels.',
  shouldBeDoneColourCore: '{name} should be done. Check colour and core, then unload.',
  shouldBeReadyIsIt: '{name} should be ripe. Check it.',
  shouldBeReadyLook: '{name} should be ready. Check it.',
  outOfTheFreezerFor:
    'Take {pieces} {product} out of the freezer for {time}. Thaw overnight in the cold, covered.',
  noWordFromTheProbe:
    'No reading from {names} for {duration}. Check battery and gateway; enter a thermometer reading under Rooms.',
  forAboveBelowDoorFan:
    '{label} {shown} for {held}, {isAbove, select, true {above} other {below}} {bound}. Check door, fan and load.',
  judgedButEnteredLate: '{judged} A temperature was entered late, at {time}.',
  stopItWasNotAt: 'Stop: not down to {celsius} by {time}. Throw it away and make it again.',
  itShouldHaveBeenAt: 'Due at {celsius} by {time}, not measured. Measure it now.',
  atOrColderByMeasure: 'Must be at {celsius} or colder by {time}. Measure and record it.',
  coldInTimeKeepIt: 'Cold in time. Keep it at {celsius} or colder and use it within 3 days.',
} as const;
