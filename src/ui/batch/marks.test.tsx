import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { show, telling } from '../../../test-support/view';
import { BatchList, type BatchFilter } from './batch-list';
import { MarksForm } from './marks-form';

vi.mock('next/navigation', () => ({ usePathname: () => '/batches' }));

describe('the marks of a batch', () => {
  it('are one tap each, and leave the others as they were', async () => {
    const told = telling();
    const { user } = show(<MarksForm marks={{ rise: 4 }} seen={['flat']} laminated onSay={told} />);
    await user.click(screen.getByRole('button', { name: /^Crumb 2/ }));
    await user.click(screen.getByRole('button', { name: 'Pieces uneven' }));
    await user.click(screen.getByRole('button', { name: 'Flat or wrinkled' }));
    expect(told.mock.calls.map(([said]) => said)).toEqual([
      { kind: 'marked', marks: { rise: 4, crumb: 2 }, seen: ['flat'] },
      { kind: 'marked', marks: { rise: 4 }, seen: ['flat', 'uneven'] },
      { kind: 'marked', marks: { rise: 4 }, seen: [] },
    ]);
  });

  it('show what was given, to the eye and to a reader', () => {
    show(<MarksForm marks={{ rise: 4 }} seen={['flat']} laminated onSay={telling()} />);
    const pressed = screen
      .getAllByRole('button')
      .filter((one) => one.getAttribute('aria-pressed') === 'true')
      .map((one) => one.getAttribute('aria-label') ?? one.textContent);
    expect(pressed).toEqual([expect.stringMatching(/^Rise 4, /), 'Flat or wrinkled']);
  });

  it('ask nothing of layers where a dough has none', () => {
    const groups = () => screen.getAllByRole('group').map((one) => one.getAttribute('aria-label'));
    const { again } = show(<MarksForm marks={{}} seen={[]} laminated onSay={telling()} />);
    expect(groups()).toContain('Layers');
    again(<MarksForm marks={{}} seen={[]} laminated={false} onSay={telling()} />);
    expect(groups()).not.toContain('Layers');
  });
});

describe('the list of batches', () => {
  const line = {
    id: 7,
    name: 'Brioche 26',
    products: ['Brioche loaf'],
    finishedAt: 0,
    counted: null,
    mean: null,
  };
  const list = (lines: (typeof line)[], asked: BatchFilter = {}, trouble: string | null = null) => (
    <BatchList {...{ lines, asked, trouble }} zone="UTC" />
  );

  it('says what is not yet counted or judged, and leads to each batch', () => {
    show(list([line]));
    const [, row] = screen.getAllByRole('row');
    expect(row?.textContent).toBe(
      'Compare Brioche 26Brioche 26Brioche loafThu 1 Jan 00:00not countednot judged',
    );
    expect(screen.getByRole('link', { name: 'Brioche 26' }).getAttribute('href')).toBe('/batch/7');
  });

  it('keeps what was asked for in its fields, says what was wrong with it, and what to do with nothing', () => {
    show(list([], { product: 'crescent', mark: '2' }, 'The 31st of February does not exist.'));
    const search = within(screen.getByRole('search'));
    expect(search.getByLabelText<HTMLInputElement>('Product').value).toBe('crescent');
    expect(search.getByLabelText<HTMLSelectElement>('Marks').value).toBe('2');
    expect(screen.getByRole('alert').textContent).toContain('does not exist');
    expect(screen.getByText('No matching batches. Remove a filter.')).toBeTruthy();
  });
});
