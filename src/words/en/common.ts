/** What several areas say. */
export const common = {
  pINOf: 'PIN of {name}',
  layingOutTheWork: 'Laying out the work …',
  fromTheScale: '{mass} from the scale',
  doughBeforeButter: 'dough before butter',
  aLimitIsATemperature: 'A limit is a temperature, such as 7 or 45 F; leave it empty for none.',
  howManyGramsOfYeast: 'How many grams of yeast?',
  howManyPiecesLieOn: 'How many pieces lie on the scale?',
  theWholePlan: 'The whole plan',
  thatIsNotATemperature: 'That is not a temperature. Type a number, with F for Fahrenheit.',
  whatWasGiven: 'What was given?',
  aLittleSmall: 'a little small',
  theyAreOut: 'Taken out to thaw',
  findingItsPlace: 'Finding its place …',
  fileToRead: 'File to read',
  line: 'Line {line}: {message}',
  cupsAndSpoons: 'Cups and spoons',
  at: '{name} at {celsius}',
  understood: 'Understood',
  proofOf:
    '{school, select, warm {warm, in the proofer} room {at room temperature} cold {overnight in the cold, then warmed up} cold_after_start {a start in the room, then overnight in the cold} levain {levain, 12 h in a cool room} other {{school}}}',
} as const;
