import { screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import type { RoomDay } from '@/core/climate/room-course';
import { DaysAhead } from './days-ahead';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => void refresh.mockClear());

const house = standInHouse();
const DAY = 24 * 60 * 60_000;
const course = { from: 0, hours: Array.from({ length: 60 }, (_, hour) => 20 + hour / 4) };
const ahead = (
  told: (RoomDay & { place: string; by: string })[] = [],
  weatherUntil: number | null = null,
) => (
  <DaysAhead
    rooms={[{ id: 'bakery', label: 'Bakery' }]}
    courses={{ bakery: { course } }}
    {...{ told, weatherUntil }}
    zone="UTC"
  />
);

describe('the days ahead of a room', () => {
  it('are shown by the hour', () => {
    show(ahead());
    const hours = within(screen.getAllByRole('list')[0] as HTMLElement).getAllByRole('listitem');
    expect(hours.slice(0, 3).map(({ textContent }) => textContent)).toEqual([
      '00:0020 °C',
      '03:0021 °C',
      '06:0021 °C',
    ]);
  });

  it('are told by day: coolest and warmest; what is no temperature is not sent', async () => {
    house.result = { place: 'bakery' };
    const { user } = show(ahead());
    await user.type(screen.getByLabelText('Coolest on Fri'), 'mild');
    const friday = () => screen.getAllByRole('button', { name: 'Save' })[1] as HTMLElement;
    await user.click(friday());
    expect(screen.getByRole('alert').textContent).toContain('temperature');
    expect(house.sent).toEqual([]);
    await user.clear(screen.getByLabelText('Coolest on Fri'));
    await user.type(screen.getByLabelText('Coolest on Fri'), '24');
    await user.type(screen.getByLabelText('Warmest on Fri'), '91 F');
    await user.click(friday());
    expect(house.sent.at(-1)).toMatchObject({
      command: 'tell-room-day',
      input: { place: 'bakery', day: '1970-01-02', expected: { coolest: 24 } },
    });
    const { expected } = house.sent.at(-1)?.input as { expected: { warmest: number } };
    expect(expected.warmest).toBeCloseTo(32.8, 1);
    expect(refresh).toHaveBeenCalled();
  });

  it('that somebody told name them, and are forgotten with one tap', async () => {
    house.result = { place: 'bakery' };
    const { user } = show(ahead([{ day: DAY / 2, coolest: 21, warmest: 30, place: 'bakery', by: 'Ida' }]));
    expect(screen.getByText('entered by Ida')).toBeTruthy();
    expect(screen.getByLabelText('Warmest on Thu')).toHaveProperty('value', '30 °C');
    await user.click(screen.getByRole('button', { name: 'Remove' }));
    expect(house.sent.at(-1)?.input).toEqual({ place: 'bakery', day: '1970-01-01', expected: null });
  });

  it('follow a weather file, which is shown before it is taken', async () => {
    house.result = { hours: 2 };
    const { user } = show(ahead([], DAY));
    expect(screen.getByText('Weather is known until Fri 00:00.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Import weather' }));
    await user.click(screen.getByRole('textbox', { name: /paste/ }));
    await user.paste('time,temperature\n1970-01-02T14:00,31\n1970-01-02T15:00,29\n');
    expect(screen.getByRole('status').textContent).toBe(
      '2 hours, Fri 14:00 to Fri 15:00: 29 °C to 31 °C outdoors.',
    );
    await user.click(screen.getByRole('button', { name: 'Use this weather' }));
    expect(house.sent.at(-1)?.input).toEqual({
      hours: [
        { at: DAY + 14 * 3_600_000, celsius: 31 },
        { at: DAY + 15 * 3_600_000, celsius: 29 },
      ],
    });
  });
});
