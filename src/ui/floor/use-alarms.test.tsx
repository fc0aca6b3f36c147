import 'fake-indexeddb/auto';
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { boardOf } from '../../../test-support/board';
import { MIN } from '../../../test-support/floor';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import { NO_CALLS } from '@/core/wire/board';
import { AlarmBand } from './alarm-band';
import { useAlarms } from './use-alarms';

const house = standInHouse();
const thaw = { productId: 1, product: 'Butter crescent', pieces: 24, dueAt: 900 * MIN };
const BOARD = boardOf({ calls: { ...NO_CALLS, thaws: [thaw], leads: { ...NO_CALLS.leads, thaw: 600 } } });

function Alarms() {
  const { open, take, takeOut, trouble } = useAlarms(BOARD, [], 400 * MIN, 3);
  return <AlarmBand {...{ open, take, takeOut, trouble }} zone="UTC" />;
}

describe('frozen pieces that are called for', () => {
  it('call nobody any more once they are out, and nobody is asked to take that call', async () => {
    const { user } = show(<Alarms />);
    await user.click(screen.getByRole('button', { name: 'Taken out to thaw' }));
    await expect.poll(() => screen.queryByRole('button', { name: 'Taken out to thaw' })).toBeNull();
    // What is kept to be sent leaves a moment later.
    await new Promise((done) => setTimeout(done, 50));
    expect(house.sent).toEqual([
      { command: 'move-stock', input: { productId: 1, amount: -24, forDue: 900 * MIN } },
    ]);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('go on calling, with why, where the house does not have them', async () => {
    house.refuse({ message: 'There are 12 in the freezer.' });
    const { user } = show(<Alarms />);
    await user.click(screen.getByRole('button', { name: 'Taken out to thaw' }));
    expect(await screen.findByText('There are 12 in the freezer.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Taken out to thaw' })).toBeTruthy();
  });
});
