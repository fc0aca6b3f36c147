import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { show, telling } from '../../../test-support/view';
import { FollowSheet } from './follow-sheet';

describe('a formula that makes several products', () => {
  it('is kept for those that are ticked: all to begin with, none where that is meant', async () => {
    const kept = telling();
    const products = [
      { id: 4, name: 'Poppy danish' },
      { id: 11, name: 'Plum danish' },
    ];
    const { user } = show(<FollowSheet products={products} onKeep={kept} onClose={telling()} />);
    await user.click(await screen.findByRole('button', { name: 'Save for 2 products' }));
    await user.click(screen.getByLabelText('Poppy danish'));
    await user.click(screen.getByRole('button', { name: 'Save for 1 product' }));
    await user.click(screen.getByLabelText('Plum danish'));
    await user.click(screen.getByRole('button', { name: 'Save for none' }));
    expect(kept.mock.calls).toEqual([[[4, 11]], [[11]], [[]]]);
  });
});
