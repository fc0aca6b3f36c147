/** What several areas say. */
export const common = {
  pINOf: 'PIN of {name}',
  layingOutTheWork: 'Loading …',
  fromTheScale: '{mass} from the scale',
  doughBeforeButter: 'dough before butter',
  aLimitIsATemperature: 'Enter a temperature, such as 7 or 45 F; leave it empty for no limit.',
  howManyGramsOfYeast: 'How many grams of yeast?',
  howManyPiecesLieOn: 'How many pieces are on the scale?',
  theWholePlan: 'The whole plan',
  thatIsNotATemperature: 'Not a temperature. Enter a number, with F for Fahrenheit.',
  whatWasGiven: 'Which folds were made?',
  aLittleSmall: 'slightly small',
  theyAreOut: 'Taken out to thaw',
  findingItsPlace: 'Finding a slot …',
  fileToRead: 'File to import',
  line: 'Line {line}: {message}',
  cupsAndSpoons: 'Cups and spoons',
  at: '{name} at {celsius}',
  understood: 'OK',
  proofOf:
    '{school, select, warm {warm, in the proofer} room {at room temperature} cold {overnight in the cold, then warmed up} cold_after_start {started in the room, then overnight in the cold} levain {levain, 12 h in a cool room} other {{school}}}',
} as const;
