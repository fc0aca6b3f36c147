import base from './playwright.config';

/** A bakery of one's own, opened in an empty database. */
export default {
  ...base,
  testDir: 'e2e/own',
  testIgnore: [],
  globalSetup: './e2e/support/set-up-empty.ts',
};
