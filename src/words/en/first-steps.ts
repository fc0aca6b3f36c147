export const firstSteps = {
  title: 'First steps',
  welcome: 'Welcome, {name}. Three things to know.',
  nth: '{nth} of {of}',
  planThreads:
    'Each line is one dough over time: it rises where it gets warmer, and dots are work. Tap a line to see its steps.',
  planPanel:
    'Here are the steps of the dough you tapped, with times and people. Open it for its mixing sheet, or remove it.',
  navOrders: 'Orders lists what has no dough yet and proposes doughs. Accept one and it is in this plan.',
  benchNow:
    'This is your next step. Tap the yellow button when you start, and again when it is done. That moves everything after it.',
  benchNext: 'What comes next, in order. Tap Take to make a step yours.',
  floorTabs:
    'Proof watch says which dough to check and when, Oven what goes in next. Tap Trouble when something is wrong.',
  floorTrouble: 'Something broken, spilt or running out? Tap Trouble, and everybody sees it.',
  skip: 'Skip',
  next: 'Next',
  begin: 'Start work',
} as const;
