import base from './playwright.config';

/** Every view in every language and size, in a bakery that is fuller than any. */
export default {
  ...base,
  testDir: 'e2e/views',
  testIgnore: [],
  globalSetup: './e2e/support/set-up-crowded.ts',
};
