import { screen, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { show } from '../../../test-support/view';
import type { Mixing } from '@/core/heat/mixing';
import { METRIC } from '@/core/units/reader';
import { HeatShares } from './heat-shares';

const mixing: Mixing = {
  question: {
    parts: [
      { kg: 10, heat: 1.8, celsius: 24 },
      { kg: 2, heat: 3.9, celsius: 4 },
    ],
    liquid: { kg: 5, heat: 4.19, isWater: true },
    ...{ target: 24, rise: 6, coldest: 8, ice: -18, warmest: 45 },
  },
  groups: ['flour', 'cold'],
  flour: 0,
  liquid: { ingredient: 'water', name: 'water', grams: 5000 },
  terms: [],
};

it('says of every part how warm it is and what it does to the dough', () => {
  show(<HeatShares mixing={mixing} units={METRIC} />);
  const table = screen.getByRole('table', { name: 'What warms and cools the dough, against 24 °C' });
  const rows = within(table)
    .getAllByRole('row')
    .slice(1)
    .map((row) => [...row.children].map(({ textContent }) => textContent).join(' | '));
  expect(rows).toEqual([
    'Flour | 24 °C |  | no effect',
    'From the fridge | 4 °C |  | cools by 3.3 °C',
    'Water | 18.1 °C |  | cools by 2.7 °C',
    'Mixing |  |  | warms by 6 °C',
  ]);
});
