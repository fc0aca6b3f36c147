export const kit = {
  close: 'Close',
  drawing: 'Drawing …',
  hasMBAtMostAre: '{name} has {megabytes} MB; at most {megabytes2} MB are read.',
  orPasteItHere: 'Or paste it here',
  tooLongToBeShown: 'Too long to be shown here',
  at: 'at',
} as const;
