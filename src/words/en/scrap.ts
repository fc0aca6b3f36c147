export const scrap = {
  typeAWeightSuchAs: 'Type a weight, such as 640 g or 1 lb 6 oz.',
  trimmings: 'Trimmings',
  howMuch: 'how much',
  howItIsKnown: 'How it is known',
  whatBecomesOfIt: 'What becomes of it?',
} as const;
