import 'fake-indexeddb/auto';
import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { standInHouse } from '../../../test-support/stand-in';
import { show } from '../../../test-support/view';
import type { Somebody } from './names';
import { SignInView } from './sign-in-view';

const go = vi.fn();
vi.mock('../live/go', () => ({ go: (path: string) => void go(path) }));
beforeEach(() => void go.mockClear());

const house = standInHouse();
const people: Somebody[] = [
  { id: 1, name: 'Mara', role: 'planner', team: 'plan' },
  { id: 2, name: 'Jonas', role: 'baker', team: 'nights', here: true },
  { id: 7, name: 'Proof room', role: 'viewer', team: 'nights' },
];
const view = (ended = false) => (
  <SignInView house={{ name: 'Backhaus Lindenried', zone: 'UTC' }} people={people} now={0} ended={ended} />
);
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('signing in', () => {
  it('shows who is on shift, who plans, and which is a screen', () => {
    show(view());
    expect(screen.getAllByRole('button').map(({ textContent }) => textContent)).toEqual([
      'Maraplanner',
      'Jonasnightson shift',
      'Proof roomwall screen',
      'Deutsch',
      'English',
      'Français',
    ]);
    expect(screen.getByText('Tap your name, then your PIN.')).toBeTruthy();
  });

  it('is a name and four digits, tapped or typed', async () => {
    house.result = { role: 'baker', sessionId: 7 };
    const { user } = show(view());
    await user.click(button(/^Jonas/));
    for (const digit of ['1', '2', '9']) await user.click(button(digit));
    expect(button('Sign in').disabled).toBe(true);
    await user.click(button('Delete last digit'));
    await user.click(button('0'));
    await user.click(button('3'));
    await user.click(button('Sign in'));
    await waitFor(() => expect(go).toHaveBeenCalledWith('/'));
    await user.click(button(/^Mara/));
    await user.keyboard('4711{Enter}');
    await waitFor(() => expect(go).toHaveBeenCalledTimes(2));
    expect(house.sent).toEqual([
      { command: '/api/session', input: { personId: 2, pin: '1203' } },
      { command: '/api/session', input: { personId: 1, pin: '4711' } },
    ]);
  });

  it('says that a PIN was wrong and empties the field; another name has nothing of it', async () => {
    house.refuse({ message: 'That is not the PIN of Jonas.' });
    const { user } = show(view());
    await user.click(button(/^Jonas/));
    await user.keyboard('0000{Enter}');
    expect((await screen.findByRole('alert')).textContent).toBe('That is not the PIN of Jonas.');
    expect(screen.getByLabelText<HTMLInputElement>('PIN of Jonas', { selector: 'input' }).value).toBe('');
    expect(go).not.toHaveBeenCalled();
    await user.click(button(/^Mara/));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('takes eight digits at most, however often somebody taps', async () => {
    const { user } = show(view());
    await user.click(button(/^Jonas/));
    for (let i = 0; i < 10; i++) await user.click(button('5'));
    expect(screen.getByLabelText<HTMLInputElement>('PIN of Jonas', { selector: 'input' }).value).toBe(
      '55555555',
    );
  });

  it('tells somebody whose session ended under their hands that what they recorded waits', () => {
    show(view(true));
    expect(screen.getByRole('status').textContent).toContain('is on this tablet; your PIN sends it');
  });
});

describe('a demo', () => {
  const pins = { 1: '471147', 2: '1203' };
  const demo = (
    <SignInView house={{ name: 'Made up', zone: 'UTC' }} now={0} ended={false} {...{ people, pins }} />
  );

  it('says that it is one, and what to try first, with the PIN for it', () => {
    show(demo);
    const note = screen.getByRole('region', { name: 'Demo bakery' });
    expect(note.textContent).toContain('made up');
    expect(note.textContent).toContain('Sign in as Mara, PIN 471147');
    expect(note.textContent).toContain('Sign in as Jonas, PIN 1203');
  });

  it('shows the PIN of whoever is chosen, and of nobody else', async () => {
    const { user } = show(demo);
    await user.click(button(/^Jonas/));
    expect(screen.getByText('Demo PIN: 1203')).toBeTruthy();
    await user.click(button(/^Proof room/));
    expect(screen.queryByText(/Demo PIN/)).toBeNull();
  });

  it('is the only house that says anything of the kind', async () => {
    const { user } = show(view());
    expect(screen.queryByText(/[Dd]emo/)).toBeNull();
    await user.click(button(/^Jonas/));
    expect(screen.queryByText(/[Dd]emo/)).toBeNull();
  });
});
