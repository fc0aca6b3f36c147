import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import type { SetUp } from '@/core/process/set-up';
import { METRIC } from '@/core/units/reader';
import { FirstRun } from './first-run';
import { SetUpView } from './set-up-view';

const go = vi.fn();
const refresh = vi.fn();
vi.mock('../live/go', () => ({ go: (path: string) => void go(path) }));
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
beforeEach(() => {
  go.mockClear();
  refresh.mockClear();
});

const house = standInHouse();
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });
const field = (name: string) => screen.getByLabelText<HTMLInputElement>(name, { selector: 'input' });

describe('the first run', () => {
  const view = (isKnown = false) => <FirstRun zones={['Europe/Berlin', 'UTC']} isKnown={isKnown} />;

  it('opens a bakery with what was typed, signs its planner in and goes on to set-up', async () => {
    house.result = { personId: 7 };
    const { user } = show(view());
    await user.type(field('Code'), 'ABCD2345');
    await user.type(field('Name of the bakery'), 'Corner bakery');
    await user.selectOptions(screen.getByLabelText('Time zone'), 'Europe/Berlin');
    await user.type(field('Your name'), 'Nora');
    await user.type(field('Your PIN'), '735190');
    await user.click(button('Open a bakery'));
    await waitFor(() => expect(go).toHaveBeenCalledWith('/setup'));
    expect(house.sent).toEqual([
      {
        command: '/api/opening',
        input: {
          ...{ code: 'ABCD2345', name: 'Corner bakery', zone: 'Europe/Berlin' },
          ...{ planner: 'Nora', pin: '735190', units: METRIC },
        },
      },
      { command: '/api/session', input: { personId: 7, pin: '735190' } },
    ]);
  });

  it('says what was refused beside its field, and keeps everything that was typed', async () => {
    house.refuse({ message: 'That code is not right.', field: 'code' });
    const { user } = show(view());
    await user.type(field('Code'), 'WRONG');
    await user.type(field('Your name'), 'Nora');
    await user.click(button('Open a bakery'));
    expect((await screen.findByRole('alert')).textContent).toBe('That code is not right.');
    expect(field('Code').getAttribute('aria-invalid')).toBe('true');
    expect(field('Your name').value).toBe('Nora');
    expect(button('Open a bakery').disabled).toBe(false);
    expect(go).not.toHaveBeenCalled();
  });

  it('says beneath the form what belongs to no field', async () => {
    house.refuse({ message: 'There is already a bakery here: Corner bakery.' });
    const { user } = show(view());
    await user.click(button('Open a bakery'));
    expect((await screen.findByRole('alert')).textContent).toMatch(/already a bakery here/);
  });

  it('leads to the sign-in where the bakery was opened but the session was not begun', async () => {
    house.result = { personId: 7 };
    const { user } = show(view());
    await user.type(field('Your PIN'), '735190');
    vi.stubGlobal('fetch', refuseAfter(1));
    await user.click(button('Open a bakery'));
    await waitFor(() => expect(go).toHaveBeenCalledWith('/sign-in'));
  });

  it('asks a device that was let in already for no code', () => {
    show(view(true));
    expect(screen.queryByLabelText('Code')).toBeNull();
    expect(field('Name of the bakery')).toBeTruthy();
  });

  it('begins with the time zone of the device, and shows units in the device’s own choice', async () => {
    const { user } = show(view());
    const zone = screen.getByLabelText<HTMLSelectElement>('Time zone');
    expect(zone.value).toBe(Intl.DateTimeFormat().resolvedOptions().timeZone);
    await user.selectOptions(screen.getByLabelText('Temperatures'), '°F');
    expect(localStorage.getItem('hefeteig-units')).toContain('"temperature":"F"');
  });
});

/** A house that answers so many requests and then refuses. */
const refuseAfter = (count: number) => () => {
  const ok = count-- > 0;
  const answer = ok
    ? { ok: true, result: { personId: 7 } }
    : { ok: false, status: 422, message: 'No.', field: null, offer: null };
  return Promise.resolve({ json: () => Promise.resolve(answer) });
};

describe('set-up', () => {
  const empty: SetUp = { machines: 0, people: 1, onShifts: 0, products: 0, doughs: 0, lacking: [] };
  const shelf = [
    {
      name: 'Butter crescent',
      called: 'Butterhörnchen',
      about: 'Three days',
      scheme: 'Three letter folds',
      productId: null,
    },
    { name: 'Brioche loaf', called: 'Brioche loaf', about: 'In tins', scheme: null, productId: 6 },
  ];
  const view = (state: Partial<SetUp> = {}) => <SetUpView state={{ ...empty, ...state }} shelf={shelf} />;
  const stage = (name: string) => {
    const heading = screen.getByRole('heading', { name });
    return within(heading.closest('li') as HTMLElement);
  };

  it('says of each part whether it is done, what there is and what to do first', () => {
    show(view());
    expect(stage('Machines').getByRole('img').getAttribute('aria-label')).toBe('to do');
    expect(stage('Machines').getByText('None yet')).toBeTruthy();
    expect(stage('Machines').getByText(/Add what you have/)).toBeTruthy();
    expect(stage('People and shifts').getByText('1 person, 0 with weekly shifts')).toBeTruthy();
    expect(stage('People and shifts').getByText(/Nobody has shifts yet/)).toBeTruthy();
    expect(stage('House values').getByRole('img').getAttribute('aria-label')).toBe('done');
    expect(stage('Products').getByText(/Start from a template/)).toBeTruthy();
  });

  it('names the kinds of machines that products need and the bakery lacks', () => {
    const lacking: SetUp['lacking'] = [{ kind: 'proofer', products: ['Butter crescent', 'Brioche loaf'] }];
    show(view({ machines: 3, products: 2, lacking }));
    expect(stage('Machines').getByRole('img').getAttribute('aria-label')).toBe('to do');
    expect(stage('Machines').getByText('Missing: proofer (Butter crescent, Brioche loaf)')).toBeTruthy();
    expect(stage('Products').getByText('2 products')).toBeTruthy();
  });

  it('leads to the plan once there is something to plan', () => {
    const { again } = show(view());
    expect(stage('First dough').queryByRole('link')).toBeNull();
    again(view({ machines: 8, onShifts: 1, products: 1, doughs: 1 }));
    expect(stage('First dough').getByRole('link').getAttribute('href')).toBe('/plan');
    expect(stage('First dough').getByText('1 dough planned')).toBeTruthy();
    expect(stage('Machines').getByRole('img').getAttribute('aria-label')).toBe('done');
  });

  it('takes a beginning from the shelf with one tap; what the house has is not offered again', async () => {
    const { user } = show(view());
    const list = within(screen.getByRole('region', { name: 'Templates' }));
    const rows = list.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(rows).toEqual([
      'ButterhörnchenThree days. Three letter folds.Use',
      'Brioche loafIn tins. Not laminated.Added',
    ]);
    await user.click(list.getByRole('button', { name: 'Use' }));
    await waitFor(() => expect(refresh).toHaveBeenCalled());
    expect(house.sent).toEqual([{ command: 'take-beginning', input: { name: 'Butter crescent' } }]);
  });

  it('says why a beginning was not taken', async () => {
    house.refuse({ message: 'Butter crescent is not among the templates, or you already have it.' });
    const { user } = show(view());
    await user.click(button('Use'));
    expect((await screen.findByRole('alert')).textContent).toMatch(/not among the templates/);
    expect(refresh).not.toHaveBeenCalled();
  });
});
