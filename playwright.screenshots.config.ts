import base from './playwright.config';

/** Takes the pictures of docs/screenshots anew: npm run screenshots (it sets up the build and the database). */
export default { ...base, testDir: 'docs/screenshots', testMatch: 'take.ts', testIgnore: [] };
