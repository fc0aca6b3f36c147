import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import { SETTING_GROUPS } from '@/core/bakery/setting-groups';
import { SETTINGS, settingsOf } from '@/core/bakery/settings';
import { ValuesView } from './values-view';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => void refresh.mockClear());

const house = standInHouse();
const view = (set: Parameters<typeof settingsOf>[0] = {}) => (
  <ValuesView
    settings={settingsOf(set)}
    changes={{ blockKg: { by: 'Mara', at: Date.UTC(2024, 2, 9) } }}
    zone="UTC"
    apart={['nuts']}
  />
);
describe('allergens kept apart', () => {
  it('are ticked one by one', async () => {
    const { user } = show(view());
    expect(screen.getByLabelText<HTMLInputElement>('nuts').checked).toBe(true);
    await user.click(screen.getByLabelText('sesame'));
    await user.click(screen.getByLabelText('nuts'));
    expect(house.sent.map(({ input }) => input)).toEqual([{ apart: ['nuts', 'sesame'] }, { apart: [] }]);
    expect(refresh).toHaveBeenCalledTimes(2);
  });
});

const row = (label: string) => {
  const input = screen.getByLabelText<HTMLInputElement>(label);
  return { input, part: within(input.closest('li') as HTMLElement) };
};

describe('the groups of values', () => {
  it('hold every setting once', () => {
    const grouped: string[] = Object.values(SETTING_GROUPS).flat();
    expect([...grouped].sort()).toEqual(Object.keys(SETTINGS).sort());
  });
});

describe('a value of the house', () => {
  it('shows what it means, its unit, its range, what is usual and who set it last', () => {
    show(view({ blockKg: 4.5 }));
    const { input, part } = row('Heaviest block, kg');
    expect(input.value).toBe('4.5');
    expect(part.getByText('default 6 kg, from 0.5 to 60; Mara, 9 Mar')).toBeTruthy();
  });

  it('has no unit where it is a number alone', () => {
    show(view());
    expect(row('Spread between bakes of one oven').part.getByText('default 0.07, from 0 to 1')).toBeTruthy();
  });

  it('offers to keep what was typed, and nothing before', async () => {
    const { user } = show(view());
    const { input, part } = row('Heat the oven before a load by, min');
    expect(part.queryByRole('button')).toBeNull();
    await user.clear(input);
    await user.type(input, '50');
    await user.click(part.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(refresh).toHaveBeenCalled());
    expect(house.sent).toEqual([{ command: 'set-value', input: { name: 'preheatLead', value: 50 } }]);
  });

  it.each([
    ['4,5', 4.5],
    ['1/2', 0.5],
    ['much', 'much'],
  ])('typed as “%s” is sent as %s', async (text, value) => {
    const { user } = show(view());
    const { input } = row('Heaviest block, kg');
    await user.clear(input);
    await user.type(input, `${text}{Enter}`);
    await waitFor(() => expect(house.sent).toHaveLength(1));
    expect(house.sent[0]?.input).toEqual({ name: 'blockKg', value });
  });

  it('says beside itself why it is not taken, and keeps what was typed', async () => {
    house.refuse({ message: 'Enter a value from 0.5 to 60.' });
    const { user } = show(view());
    const { input, part } = row('Heaviest block, kg');
    await user.clear(input);
    await user.type(input, '900{Enter}');
    expect((await part.findByRole('alert')).textContent).toBe('Enter a value from 0.5 to 60.');
    expect(input.value).toBe('900');
    expect(refresh).not.toHaveBeenCalled();
  });

  it('is in the units of its reader, and kept in its own', async () => {
    localStorage.setItem('hefeteig-units', JSON.stringify({ mass: 'oz', temperature: 'F', length: 'in' }));
    const { user } = show(view({ benchLength: 254, mixingRise: 5 }));
    const bench = row('Longest sheet on the bench, in');
    expect(bench.input.value).toBe('100');
    expect(row('Rise by mixing until measured, °F').input.value).toBe('9');
    await user.clear(bench.input);
    await user.type(bench.input, '90{Enter}');
    await waitFor(() => expect(house.sent).toHaveLength(1));
    expect(house.sent[0]?.input).toEqual({ name: 'benchLength', value: 228.6 });
    localStorage.removeItem('hefeteig-units');
  });

  it('is as usual again with one tap', async () => {
    const { user } = show(view({ blockKg: 4.5 }));
    await user.click(row('Heaviest block, kg').part.getByRole('button', { name: 'Reset' }));
    await waitFor(() => expect(refresh).toHaveBeenCalled());
    expect(house.sent).toEqual([{ command: 'set-value', input: { name: 'blockKg', value: null } }]);
  });
});
