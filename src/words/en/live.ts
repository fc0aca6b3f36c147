export const live = {
  proofJudged: 'proof judged',
  lookedAt: 'looked at',
  temperaturesAtTheBowl: 'temperatures at the bowl',
  actualAmounts: 'actual amounts',
  piecesWeighed: 'pieces weighed',
  takenOn: 'taken on',
  coreProbe: 'core probe',
  theBakerySComputerDoes: 'The bakery’s computer does not answer',
  whatWasRecordedIsSafe: 'What was recorded is safe. This page tries again by itself.',
  tryNow: 'Try now',
} as const;
