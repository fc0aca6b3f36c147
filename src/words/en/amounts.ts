export const amounts = {
  stage:
    '{stage, select, levain {Levain} stiff_levain {Stiff levain} sponge {Sponge} poolish {Poolish} autolyse {Autolyse} roll_in {Butter block} filling {Filling} finish {Finish} other {Dough}}',
  writeAnAmountANumber:
    'Write an amount: a number with a unit, such as 54 %, 540 g, 1/2 tbsp or 2 eggs, or “to taste”.',
  aRangeGoesFromThe: 'A range goes from the lower to the higher.',
  anAmountCannotBeNegative: 'An amount cannot be negative.',
  isItOrWriteWithout:
    'Is it {small} or {large}? Write it without the mark, or with another number of digits.',
  isNotANumber: '“{text}” is not a number.',
  wasNotUnderstoodWriteThe: '“{unread}” was not understood. Write the amount with its unit, such as 540 g.',
  writeAnAmount: 'Write an amount.',
  isThatTheWeightOf: 'Is that the weight of each {unit}, or of all {to}? Write “each”, or the weight alone.',
  ofWhatWriteTheUnit: '{from} of what? Write the unit: {from} g, or {from} %.',
  theTwoValuesDisagreeAnd: 'The two values disagree: {weighed} and {other}, {percent} % apart.',
  whatDoesOneOfWeigh: 'What does one {unit} of {what} weigh? Write the grams as well.',
  isNotCountedInS: '{ingredient} is not counted in {unit}s. Write grams.',
  hasNoDensitySoA:
    '{ingredient} has no density, so a {unit} of it has no weight. Write grams, or enter its density.',
} as const;
