export const kit = {
  close: 'Close',
  drawing: 'Drawing …',
  n1pxSolidVarEdge: '1px solid var(--edge)',
  hasMBAtMostAre: '{name} has {megabytes} MB; at most {megabytes2} MB are read.',
  orPasteItHere: 'Or paste it here',
  tooLongToBeShown: 'Too long to be shown here',
  inputSelectTextareaContenteditable: 'input, select, textarea, [contenteditable]',
  buttonA: 'button, a',
  layingOutTheWork: 'Laying out the work …',
  at: 'at',
} as const;
