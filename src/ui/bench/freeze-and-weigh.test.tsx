import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { did } from '../../../test-support/floor';
import { standInHouse } from '../../../test-support/stand-in';
import { itemOf, output, show, telling } from '../../../test-support/view';
import type { FloorEvent } from '@/core/record/events';
import { FreezePieces } from './freeze-pieces';
import { StepAmounts } from './step-amounts';

standInHouse();

describe('pieces for the freezer', () => {
  const form = (events: FloorEvent[] = [], told = telling()) => (
    <FreezePieces item={itemOf(events, '5.1.shape')} outputs={[output()]} tell={told} />
  );
  const field = () => screen.getByRole('textbox', { name: 'Pieces to the freezer, of 40' });

  it('are as many as somebody types, and no more than there are', async () => {
    const told = telling();
    const { user } = show(form([], told));
    for (const wrong of ['41', 'some', '-1', '1.5', '']) {
      await user.clear(field());
      if (wrong) await user.type(field(), wrong);
      expect(screen.getByRole('alert').textContent).toBe('Enter 0 to 40.');
      expect(screen.getByRole('button', { name: 'Freeze' }).hasAttribute('disabled')).toBe(true);
    }
    await user.clear(field());
    await user.type(field(), '15');
    await user.click(screen.getByRole('button', { name: 'Freeze' }));
    expect(told.mock.calls).toEqual([[{ kind: 'bag', data: { kind: 'frozen', pieces: 15 } }]]);
  });

  it('are told with how many go on, and where their labels are', () => {
    show(form([did('bag', '5.1.shape', 300, { data: { kind: 'frozen', pieces: 15 } })]));
    expect(screen.getByRole('status').textContent).toContain('15 in the freezer, 25 go on.');
    expect(screen.getByRole('link').getAttribute('href')).toBe('/dough/1/labels');
  });
});

describe('what a step weighs out', () => {
  it('is had from this tablet where nobody answers, line by line', () => {
    const amounts = {
      steps: {
        set: [
          {
            ...{ what: { stage: 'sponge' }, grams: 525 },
            lines: [
              { ingredient: 'milk', grams: 185.3 },
              { ingredient: 'lemon', grams: null },
            ],
          },
        ],
      },
      ...{ names: { milk: 'whole milk' }, cold: ['milk'] },
    };
    localStorage.setItem('hefeteig-amounts', JSON.stringify([[7, amounts]]));
    const { again } = show(<StepAmounts doughId={7} stepKey="set" />);
    expect(screen.getByRole('table').textContent).toBe(
      'Sponge, 525 g in totalwhole milk185.3 glemonto taste',
    );
    again(<StepAmounts doughId={7} stepKey="mix" />);
    expect(screen.queryByRole('table')).toBeNull();
  });
});
