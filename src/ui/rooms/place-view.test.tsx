import { screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import type { Person } from '@/core/bakery/people';
import type { PlaceRecord } from '@/core/climate/curve';
import { PlaceView } from './place-view';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
// Drawn by a library that measures the screen; what is in it has tests in the core, and a browser test.
vi.mock('./place-chart', () => ({ default: () => <figure aria-label="curve" /> }));

const MINUTE = 60_000;
const planner: Person = { id: 1, name: 'Mara', role: 'planner', team: 'plan' };
const baker: Person = { ...planner, id: 2, name: 'Jonas', role: 'baker' };
const record = (more: Partial<PlaceRecord> = {}): PlaceRecord => ({
  ...{ id: 'retarder', from: 0, to: 1440 * MINUTE, step: 4 * MINUTE, outside: [], doubted: [] },
  limits: { place: 'retarder', label: 'Retarder', low: null, high: 7, minutes: 30 },
  points: [{ at: 1430 * MINUTE, celsius: 3.8, lowest: 3.6, highest: 4, humidity: null }],
  ...more,
});
const view = (shown: PlaceRecord, person = planner) => (
  <PlaceView record={shown} zone="UTC" person={person} span="day" />
);

const house = standInHouse();
beforeEach(() => void refresh.mockClear());

describe('a place over time', () => {
  it('says what it is now, and which span is shown', async () => {
    show(view(record()));
    expect(screen.getByText(/at 23:50/).textContent).toBe('3.8 °C at 23:50');
    expect(screen.getByRole('link', { name: 'day' }).getAttribute('aria-current')).toBe('page');
    expect(screen.getByRole('link', { name: 'week' }).getAttribute('href')).toBe('/rooms/retarder?span=week');
    expect(await screen.findByRole('figure', { name: 'curve' })).toBeTruthy();
  });

  it('tells when it was outside its limits, for how long and how far; or that it never was', () => {
    const outside = [{ from: 120 * MINUTE, to: 160 * MINUTE, celsius: 9.2, limit: 7 }];
    const { again } = show(view(record({ outside })));
    const region = () => within(screen.getByRole('region', { name: 'Outside the limits' }));
    expect(region().getByRole('listitem').textContent).toBe(
      'Thu 02:00 for 40 min, up to 9.2 °C; not above 7 °C',
    );
    again(view(record()));
    expect(region().getByRole('listitem').textContent).toBe(
      'Within limits (up to 30 min outside is allowed).',
    );
    again(view(record({ limits: { ...record().limits, high: null } })));
    expect(region().getByRole('listitem').textContent).toBe('No limits set.');
  });

  it('tells what its probe said and nobody believed, and that it has said nothing', () => {
    const doubt = 'The probe read 85 °C, as a broken one does; ignored.';
    const { again } = show(view(record({ doubted: [{ at: 60 * MINUTE, doubt, times: 3 }] })));
    expect(screen.getByText(/85 °C/).textContent).toBe(`${doubt} 3 times, last Thu 01:00`);
    again(view(record({ points: [] })));
    expect(screen.getByText('No probe readings in this period.')).toBeTruthy();
  });

  it('has limits that a planner moves, and nobody else', async () => {
    const { user, again } = show(view(record()));
    const high = screen.getByLabelText('maximum');
    await user.clear(high);
    await user.type(high, '46,4 F');
    await user.click(screen.getByRole('button', { name: 'Save limits' }));
    expect(house.sent).toEqual([
      { command: 'set-limits', input: { place: 'retarder', low: null, high: 8, minutes: 30 } },
    ]);
    expect(await screen.findByText('Saved.')).toBeTruthy();
    expect(refresh).toHaveBeenCalledOnce();
    again(view(record(), baker));
    expect(screen.queryByLabelText('maximum')).toBeNull();
  });

  it('says what is wrong with a limit, and keeps what was typed', async () => {
    const { user } = show(view(record()));
    await user.type(screen.getByLabelText('minimum'), 'cold');
    await user.click(screen.getByRole('button', { name: 'Save limits' }));
    expect(screen.getByRole('alert').textContent).toContain('Enter a temperature, such as 7 or 45 F');
    expect(house.sent).toEqual([]);
    const refusal = 'The minimum must be below the maximum.';
    house.refuse({ message: refusal });
    await user.clear(screen.getByLabelText('minimum'));
    await user.type(screen.getByLabelText('minimum'), '12');
    await user.click(screen.getByRole('button', { name: 'Save limits' }));
    expect((await screen.findByText(refusal)).getAttribute('role')).toBe('alert');
    expect(screen.getByLabelText<HTMLInputElement>('minimum').value).toBe('12');
    expect(refresh).not.toHaveBeenCalled();
  });
});
