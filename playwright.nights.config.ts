import base from './playwright.config';

/** Nights that do not go as planned, each in a bakery of its own. */
const { globalSetup: _, ...nights } = base;
export default { ...nights, testDir: 'e2e/nights', testIgnore: [] };
