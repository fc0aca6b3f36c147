export const kit = {
  close: 'Close',
  drawing: 'Drawing …',
  hasMBAtMostAre: '{name} has {megabytes} MB; at most {megabytes2} MB are read.',
  orPasteItHere: 'Or paste it here',
  tooLongToBeShown: 'Too long to be shown here',
  at: 'at',
  enterANumber: 'Enter a number, such as 12 or 1.5.',
  enterATime: 'Enter a time such as 45 min or 1 h 30.',
  enterAMeasure: 'Enter an amount with its unit.',
} as const;
