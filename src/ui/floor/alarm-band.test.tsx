import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { MIN } from '../../../test-support/floor';
import { show, telling } from '../../../test-support/view';
import { groupAlarms } from '@/core/shopfloor/alarm-groups';
import type { AlarmKind } from '@/core/shopfloor/alarm-kinds';
import type { Alarm } from '@/core/shopfloor/alarms';
import { AlarmBand } from './alarm-band';
import { coded } from '@/core/codes/coded';

const alarm = (kind: AlarmKind, minute: number): Alarm => ({
  ...{ id: `${kind}/1/x`, kind, doughId: 1, stepKey: 'x', at: minute * MIN },
  message: coded('alarms.shouldBeReadyLook', { name: kind }),
  takenBy: null,
});
const band = (open: Alarm[], take = telling(), trouble: string | null = null, takeOut = telling()) => (
  <AlarmBand open={groupAlarms(open)} {...{ take, takeOut, trouble }} zone="UTC" />
);

describe('the band of alarms', () => {
  it('is not there when nothing is called for', () => {
    show(band([]));
    expect(screen.queryByRole('region')).toBeNull();
  });

  it('has on top what burns, then what was called for first, and the rest behind a tap', async () => {
    const { user } = show(band([alarm('wash', 5), alarm('preheat', 1), alarm('out', 9), alarm('silent', 0)]));
    const shown = () =>
      screen.getAllByRole('listitem').map(({ textContent }) => textContent?.slice(6, 12).trim());
    expect(shown()).toEqual(['out sh', 'prehea']);
    await user.click(screen.getByRole('button', { name: '2 more' }));
    expect(shown()).toHaveLength(4);
    await user.click(screen.getByRole('button', { name: 'less' }));
    expect(shown()).toHaveLength(2);
  });

  it('says the day of what was called for on another one', () => {
    show(band([alarm('wash', 5), alarm('preheat', 24 * 60 + 5)]), 24 * 60 + 10);
    expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent?.slice(0, 9))).toEqual([
      '00:05 pre',
      'Thu 00:05',
    ]);
  });

  it('is taken with one tap', async () => {
    const take = telling();
    const { user } = show(band([alarm('wash', 5)], take));
    await user.click(screen.getByRole('button', { name: 'I’m on it' }));
    expect(take).toHaveBeenCalledWith(expect.objectContaining({ id: 'wash/1/x' }));
  });

  it('of frozen pieces can be answered with their being out, and no other can', async () => {
    const takeOut = telling();
    const thaw = { productId: 1, product: 'Butter crescent', pieces: 24, dueAt: 900 * MIN };
    const { user } = show(band([{ ...alarm('thaw', 1), thaw }, alarm('wash', 5)], telling(), null, takeOut));
    await user.click(screen.getByRole('button', { name: 'Taken out to thaw' }));
    expect(takeOut.mock.calls).toEqual([[expect.objectContaining({ thaw })]]);
  });

  it('sounds only where this tablet was told to, and says whether it does', () => {
    show(band([alarm('wash', 5)]));
    expect(screen.getByRole('button', { name: /^Sound is off/ }).getAttribute('aria-pressed')).toBe('false');
  });

  it('says what was refused, also when nothing is open any more', () => {
    show(band([], telling(), 'Ida is already on it.'));
    expect(screen.getByRole('status').textContent).toBe('Ida is already on it.');
  });
});
