import { expect, it } from 'vitest';
import { unsaidTexts } from '../../test-support/unsaid-texts';

it('no screen shows a text that is not in the words, nor a code as it is', () => {
  expect(unsaidTexts()).toEqual([]);
}, 400_000);
