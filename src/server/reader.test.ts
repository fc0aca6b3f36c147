import { expect, it } from 'vitest';
import { asked } from './reader';

it.each([
  ['fr-CH, fr;q=0.9, en;q=0.8', 'fr'],
  ['nl, de;q=0.5, fr;q=0.7', 'fr'],
  ['de-AT', 'de'],
  ['nl', 'en'],
  ['', 'en'],
  [null, 'en'],
])('a browser that asks for %j is shown %s', (accepted, language) => {
  expect(asked(accepted)).toBe(language);
});
