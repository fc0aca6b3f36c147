import base from './playwright.config';

/** The demo's bakery as it opens, read in every other language: nobody has written anything into it yet. */
export default { ...base, testDir: 'e2e/languages', testIgnore: [] };
