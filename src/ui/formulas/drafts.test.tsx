import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { show } from '../../../test-support/view';
import { Drafts } from './drafts';
import { keepUnsaved, type FormulaDraft } from './unsaved';

const draft: FormulaDraft['draft'] = { doughCelsius: '', flour: '', stages: [] };

it('lists what was begun on this device and not kept, whether it has amounts or not', () => {
  keepUnsaved(null, { name: '', note: '', draft, kitchen: null });
  keepUnsaved(7, { name: 'Crescent dough', note: '', draft, kitchen: null });
  show(<Drafts />);
  const links = screen.getAllByRole('link');
  expect(links.map((link) => [link.textContent, link.getAttribute('href')])).toEqual([
    ['New formula, no name yet', '/formulas/new'],
    ['Crescent dough', '/formulas/7'],
  ]);
});

it('is not there where everything is kept', () => {
  show(<Drafts />);
  expect(screen.queryByRole('region', { name: 'Drafts' })).toBeNull();
});
