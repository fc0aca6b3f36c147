export const amounts = {
  stage:
    '{stage, select, levain {Levain} stiff_levain {Stiff levain} sponge {Sponge} poolish {Poolish} autolyse {Autolyse} roll_in {Butter block} filling {Filling} finish {Finish} other {Dough}}',
  writeAnAmountANumber:
    'Enter an amount: a number with a unit, such as 54 %, 540 g, 1/2 tbsp or 2 eggs, or “to taste”.',
  aRangeGoesFromThe: 'A range runs from low to high.',
  anAmountCannotBeNegative: 'An amount cannot be negative.',
  isItOrWriteWithout: 'Is that {small} or {large}? Enter it without the separator.',
  isNotANumber: '“{text}” is not a number.',
  wasNotUnderstoodWriteThe: 'Could not read “{unread}”. Enter the amount with its unit, such as 540 g.',
  writeAnAmount: 'Enter an amount.',
  isThatTheWeightOf:
    'Is that the weight of each {unit} or of all {to}? Add “each”, or enter the weight alone.',
  ofWhatWriteTheUnit: '{from} of what? Add the unit: {from} g or {from} %.',
  theTwoValuesDisagreeAnd: 'The two values disagree: {weighed} and {other}, {percent} % apart.',
  whatDoesOneOfWeigh: 'How much does one {unit} of {what} weigh? Add the grams.',
  isNotCountedInS: '{ingredient} cannot be counted in {unit}s. Enter grams.',
  hasNoDensitySoA:
    '{ingredient} has no density, so a {unit} of it cannot be weighed. Enter grams, or add its density.',
} as const;
