import { screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show, telling } from '../../../test-support/view';
import { BLANK, IngredientForm } from './ingredient-form';

vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
const house = standInHouse();
const kept = () => house.sent.at(-1)?.input;

it('keeps a new ingredient as one of which nobody has said what it contains, until somebody does', async () => {
  const { user } = show(<IngredientForm ingredient={BLANK} onDone={telling()} />);
  await user.type(screen.getByLabelText('Name'), 'moon dust');
  expect(screen.getByText(/stay incomplete/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(kept()).toMatchObject({ name: 'moon dust', allergens: [], allergensUnknown: true });
  await user.click(screen.getByLabelText('none of these'));
  expect(screen.queryByText(/stay incomplete/)).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(kept()).not.toHaveProperty('allergensUnknown');
  await user.click(screen.getByLabelText('soya'));
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(kept()).toMatchObject({ allergens: ['soya'] });
  expect(screen.getByLabelText<HTMLInputElement>('none of these').checked).toBe(false);
});
