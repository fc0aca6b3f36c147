import base from './playwright.config';

/** Nights that do not go as planned, each in a bakery of its own. */
export default { ...base, testDir: 'e2e/nights', testIgnore: [], globalSetup: [] };
