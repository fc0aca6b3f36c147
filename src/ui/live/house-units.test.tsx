import { act, screen } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { show } from '../../../test-support/view';
import { METRIC } from '@/core/units/reader';
import { keepHouseUnits, retoldHere, useUnits } from './units';

function Shown() {
  const [{ temperature, length }, change] = useUnits();
  return (
    <button onClick={() => change({ temperature: 'C' })}>
      {temperature} {length}
    </button>
  );
}

beforeEach(() => localStorage.clear());

it('units are those of the house until a reader has chosen their own, which then stay', async () => {
  const { user } = show(<Shown />);
  expect(screen.getByRole('button').textContent).toBe('C cm');
  act(() => keepHouseUnits({ ...METRIC, temperature: 'F', length: 'in' }));
  expect(screen.getByRole('button').textContent).toBe('F in');
  expect(retoldHere('24 °C')).toBe('75 °F');
  await user.click(screen.getByRole('button'));
  expect(screen.getByRole('button').textContent).toBe('C in');
  act(() => keepHouseUnits({ ...METRIC, temperature: 'F' }));
  expect(screen.getByRole('button').textContent).toBe('C in');
});
