import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show, telling } from '../../../test-support/view';
import type { HouseBook, HousePlace } from '@/core/bakery/house-book';
import { PlaceSheet } from './place-sheet';
import { PlacesSection } from './places-section';
import { SendersSection } from './senders-section';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => void refresh.mockClear());

const house = standInHouse();
const inputs = () => house.sent.map(({ command, input }) => [command, input]);
const field = (name: string) => screen.findByLabelText<HTMLInputElement>(name);

const PROOFER: HousePlace = {
  ...{ id: 'proofer', label: 'Proofer', kind: 'proofer', purpose: 'dough', inDough: false },
  ...{ usual: 26, lowest: 5, highest: 60, machine: 'Proofer' },
};
const BOOK: HouseBook = {
  ...{ people: [], machines: [], exceptions: [], places: [PROOFER] },
  senders: [{ id: 'gateway', kind: 'probes', label: 'Gateway', madeAt: null }],
};

describe('the places of a house', () => {
  it('say what they are and usually have, and open for planners alone', async () => {
    const open = telling();
    const { user, again } = show(<PlacesSection book={BOOK} mayPlan onOpen={open} />);
    expect(screen.getByText(/proofer.*usually 26 °C/i)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Proofer' }));
    await user.click(screen.getByRole('button', { name: 'Add a place' }));
    expect(open.mock.calls.map(([told]) => told)).toEqual([
      { sheet: 'place', id: 'proofer' },
      { sheet: 'place', id: '' },
    ]);
    again(<PlacesSection book={BOOK} mayPlan={false} onOpen={open} />);
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('begin with what is usual for their air, and go to the house in °C', async () => {
    const done = telling();
    const { user } = show(<PlaceSheet place={null} onClose={done} />);
    await user.type(await field('Name'), 'Walk-in');
    await user.selectOptions(await field('Kind of place'), 'fridge');
    expect((await field('Usually')).value).toBe('4 °C');
    await user.clear(await field('Usually'));
    await user.type(await field('Usually'), '41 °F');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(inputs()).toEqual([
      [
        'save-place',
        {
          ...{ id: '', label: 'Walk-in', kind: 'fridge', purpose: 'dough', inDough: false },
          ...{ usual: 5, lowest: -8, highest: 25 },
        },
      ],
    ]);
  });

  it('ask nothing of the air of a core probe, and take no machine’s inside out of use', async () => {
    const { user, again } = show(<PlaceSheet place={null} onClose={telling()} />);
    await user.selectOptions(await field('Used for'), 'Core probe in a dough');
    expect(screen.queryByLabelText('Kind of place')).toBeNull();
    again(<PlaceSheet key="proofer" place={PROOFER} onClose={telling()} />);
    expect(await screen.findByText('This is the inside of Proofer.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take out of service' })).toBeNull();
  });
});

describe('probes and scales', () => {
  it('get a token that is shown once, and are withdrawn by name', async () => {
    house.result = { token: 'a-long-token' };
    const { user } = show(<SendersSection book={BOOK} zone="UTC" />);
    await user.type(screen.getByLabelText('New device'), 'Scale 1');
    await user.selectOptions(screen.getByLabelText('Type'), 'scale');
    await user.click(screen.getByRole('button', { name: 'Add device' }));
    const told = await screen.findByText('a-long-token');
    expect(within(told.parentElement as HTMLElement).getByText(/Token of Scale 1/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Remove Gateway' }));
    expect(inputs()).toEqual([
      ['make-sender', { kind: 'scale', label: 'Scale 1' }],
      ['withdraw-sender', { id: 'gateway' }],
    ]);
  });
});
