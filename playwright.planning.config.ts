import base from './playwright.config';

/** Planning acts in the browser, on a bakery of their own. */
export default { ...base, testDir: 'e2e/planning', testIgnore: [] };
