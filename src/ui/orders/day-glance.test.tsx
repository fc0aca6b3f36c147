import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { show } from '../../../test-support/view';
import { DayGlance } from './day-glance';

const day = { pieces: 148, customers: 3, served: 148, late: 0, open: 0 };

it('says that all of a day comes in time', () => {
  show(<DayGlance glance={day} />);
  expect(screen.getByText(/^148 pieces for 3 customers:/).textContent).toBe(
    '148 pieces for 3 customers: all on time',
  );
});

it('says what does not, and draws each part as wide as its share', () => {
  show(<DayGlance glance={{ ...day, served: 80, late: 48, open: 20 }} />);
  expect(screen.getByText(/^148 pieces/).textContent).toBe(
    '148 pieces for 3 customers: 48 late, 20 without a dough',
  );
  const shares = [...document.querySelectorAll<HTMLElement>('[aria-hidden] span')].map(
    ({ style }) => style.flexGrow,
  );
  expect(shares).toEqual(['80', '48', '20']);
});

it.each([
  ['de', '1 Stück für 1 Kunden: alles pünktlich'],
  ['fr', '1 pièce pour 1 client\u00a0: tout dans les temps'],
] as const)('counts as %s does', (language, words) => {
  show(<DayGlance glance={{ ...day, pieces: 1, customers: 1, served: 1 }} />, 0, language);
  expect(screen.getByText((_, element) => element?.tagName === 'P').textContent).toBe(words);
});
