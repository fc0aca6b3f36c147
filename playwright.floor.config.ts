import morning from './playwright.config';

/** A bakery of its own for the night on the floor, which moves the clock through a bake. */
export default { ...morning, testDir: 'e2e/floor', testIgnore: [] };
