export const kit = {
  close: 'Close',
  drawing: 'Drawing …',
  hasMBAtMostAre: '{name} is {megabytes} MB; the limit is {megabytes2} MB.',
  orPasteItHere: 'Or paste it here',
  tooLongToBeShown: 'Too long to show here',
  at: 'at',
  enterANumber: 'Enter a number, such as 12 or 1.5.',
  enterATime: 'Enter a time, such as 45 min or 1 h 30.',
  enterAMeasure: 'Enter an amount with its unit.',
} as const;
