import 'fake-indexeddb/auto';
import { screen, within, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { boardOf } from '../../../test-support/board';
import { MIN } from '../../../test-support/floor';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import type { Person } from '@/core/bakery/people';
import type { Place } from '@/core/heat/places';
import { FollowDough } from './follow-dough';
import { RoomsView } from './rooms-view';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => void refresh.mockClear());

const house = standInHouse();
const jonas: Person = { id: 2, name: 'Jonas', role: 'baker', team: 'nights' };
const board = boardOf();
const place = (more: Partial<Place> = {}): Place => ({
  ...{
    id: 'retarder',
    label: 'Retarder',
    kind: 'retarder',
    purpose: 'dough',
    usual: 4,
    lowest: -10,
    highest: 15,
  },
  ...{ reading: null, remark: null },
  ...more,
});
const reading = { celsius: 5.4, humidity: null, at: 50 * MIN, source: 'probe', by: null } as const;
const rooms = (places: Place[]) => (
  <RoomsView places={places} board={board} person={jonas} ahead={{ told: [], weatherUntil: null }} />
);
const rowOf = (name: string) =>
  within(
    within(screen.getByRole('region', { name: 'Temperatures today' }))
      .getAllByRole('listitem')
      .find(({ textContent }) => textContent?.includes(name)) ?? document.body,
  );

describe('the rooms', () => {
  it('say where each temperature comes from: a probe, somebody, or what is usual', () => {
    show(
      rooms([
        place({ reading }),
        place({ id: 'bakery', label: 'Bakery', kind: 'room', usual: 22 }),
        place({ id: 'tap', label: 'Tap', kind: 'room', reading: { ...reading, source: 'typed', by: 'Ida' } }),
      ]),
      60,
    );
    expect(rowOf('Retarder').getByText(/by probe/).textContent).toBe(
      'retarder with fan, by probe 00:50, 10 min ago',
    );
    expect(rowOf('Bakery').getByText(/usual value/).textContent).toBe('room, usual value');
    expect(rowOf('Bakery').getByText('22 °C')).toBeTruthy();
    expect(rowOf('Tap').getByText(/entered by Ida/).textContent).toContain('water, entered by Ida 00:50');
  });

  it('say what is not believed, in its own sentence', () => {
    const remark = 'The probe read 85 °C, as a broken one does; ignored.';
    show(rooms([place({ reading, remark })]));
    expect(rowOf('Retarder').getByText(remark)).toBeTruthy();
  });

  it('take a temperature as bakers write it, in either unit, and humidity only of the proofer', async () => {
    const proofer = place({ id: 'proofer', label: 'Proofer', kind: 'proofer', usual: 26 });
    const { user } = show(rooms([place(), proofer]));
    expect(rowOf('Retarder').queryByLabelText('Humidity')).toBeNull();
    await user.type(rowOf('Proofer').getByLabelText('Temperature of proofer'), '80 F');
    await user.type(rowOf('Proofer').getByLabelText('Humidity'), '82,5 %');
    await user.click(rowOf('Proofer').getByRole('button', { name: 'Record' }));
    expect(house.sent).toEqual([
      { command: 'tell-place', input: { place: 'proofer', celsius: 26.7, humidity: 82.5 } },
    ]);
    await waitFor(() => expect(refresh).toHaveBeenCalledOnce());
  });

  it('refuse what is no temperature before it is sent, and keep what was typed when the house refuses', async () => {
    house.refuse({ message: 'A retarder is not 40 °C warm.' });
    const { user } = show(rooms([place()]));
    const typed = rowOf('Retarder').getByLabelText<HTMLInputElement>('Temperature of retarder');
    await user.type(typed, 'cold{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('Not a temperature.');
    expect(house.sent).toEqual([]);
    await user.clear(typed);
    await user.type(typed, '40{Enter}');
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('not 40 °C warm'));
    expect(typed.value).toBe('40');
    expect(refresh).not.toHaveBeenCalled();
  });
});

describe('a plan that follows its waits', () => {
  it('says how many steps moved, and whether it has settled', async () => {
    house.result = { moved: 4, settled: false };
    const { user } = show(<FollowDough id={5} name="Brioche 26" />);
    await user.click(screen.getByRole('button', { name: 'Update the plan' }));
    expect((await screen.findByRole('alert')).textContent).toBe(
      '4 steps of Brioche 26 moved. Some waits are still changing; check again.',
    );
    house.result = { moved: 1, settled: true };
    await user.click(screen.getByRole('button', { name: 'Update the plan' }));
    expect((await screen.findByRole('status')).textContent).toBe('1 steps of Brioche 26 moved.');
    house.refuse({ message: 'There is no room for it today.' });
    await user.click(screen.getByRole('button', { name: 'Update the plan' }));
    expect((await screen.findByRole('alert')).textContent).toBe('There is no room for it today.');
  });
});
