import 'fake-indexeddb/auto';
import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { show } from '../../../test-support/view';
import type { Person } from '@/core/bakery/people';
import { actAs, beginSession, recordedBy, signedInHere } from '../live/at-tablet';
import { confirm, flush, keep } from '../live/outbox';
import { LineState } from './line-state';
import { PersonSwitch } from './person-switch';
import { Unconfirmed } from './unconfirmed';

const line = vi.hoisted(() => ({ away: true }));
vi.mock('../live/away', () => ({ useAway: () => line.away }));

const jonas: Person = { id: 2, name: 'Jonas', role: 'baker', team: 'nights' };
const ida: Person = { ...jonas, id: 3, name: 'Ida' };
const HOUR = 60;
const EVERYBODY = [jonas, ida].map((one) => ({ ...one, here: true }));

const tablet = (
  <>
    <PersonSwitch person={jonas} people={EVERYBODY} idleMinutes={0} zone="UTC" />
    <LineState />
    <Unconfirmed person={jonas} sessionId={7} zone="UTC" />
  </>
);

/** Something recorded on this tablet by somebody. */
const tap = (personId: number) =>
  keep({
    ...{ id: uuidv7(), doughId: 1, stepKey: 'mix', kind: 'start', at: 0, personId },
    ...{ celsius: null, text: null, undoes: null, data: null },
  });

beforeEach(async () => {
  line.away = true;
  vi.stubGlobal('fetch', (_: string, { headers }: { headers: Record<string, string> }) =>
    Promise.resolve({
      json: () => Promise.resolve({ ok: true, result: null, to: headers['idempotency-key'] }),
    }),
  );
  for (const one of [ida, jonas]) {
    beginSession(one, 7, one);
    await confirm(one.id, 7, []);
    await flush();
  }
});

describe('a tablet without a line', () => {
  it('lets who has signed in here within a shift go on by name, and says that the PIN is still to come', async () => {
    signedInHere(ida, 5 * HOUR * 60_000);
    const { user } = show(tablet, 10 * HOUR);
    await user.click(screen.getByRole('button', { name: 'Jonas is signed in here; change' }));
    await user.click(await screen.findByRole('button', { name: /^Ida/ }));
    const now = await screen.findByRole('button', { name: 'Ida is signed in here; change' });
    expect(now.textContent).toBe('Ida, no PIN yet');
    expect(recordedBy()).toEqual({ personId: jonas.id, sessionId: 7 });
  });

  it('does not offer who has not been here for longer than a shift', async () => {
    signedInHere(ida, 5 * HOUR * 60_000);
    const { user } = show(tablet, 18 * HOUR);
    await user.click(screen.getByRole('button', { name: 'Jonas is signed in here; change' }));
    expect(await screen.findByText(/^Offline\./)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Ida/ })).toBeNull();
  });

  it('asks for no PIN, since nobody could check it, and counts what waits', async () => {
    signedInHere(ida, 0);
    actAs(ida, 0);
    show(tablet);
    await tap(ida.id);
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe('Offline, 1 to send'));
    expect(screen.queryByRole('region', { name: 'To be confirmed' })).toBeNull();
  });
});

describe('a tablet whose line is back', () => {
  it('asks for the PIN of who has gone on without one, and sends nothing of theirs before', async () => {
    signedInHere(ida, 0);
    actAs(ida, 0);
    line.away = false;
    const { user } = show(tablet);
    await tap(ida.id);
    await tap(ida.id);
    const open = await screen.findByRole('region', { name: 'To be confirmed' });
    expect(open.textContent).toContain(
      '2 recorded here by Ida, not confirmed yet. Ida confirms with the PIN.',
    );
    await user.click(screen.getByRole('button', { name: 'PIN of Ida' }));
    expect(await screen.findByLabelText('PIN of Ida', { selector: 'input' })).toBeTruthy();
  });

  it('lets whoever is signed in go on where the other has recorded nothing', async () => {
    signedInHere(ida, 0);
    actAs(ida, 0);
    line.away = false;
    show(tablet);
    const open = await screen.findByRole('region', { name: 'To be confirmed' });
    expect(open.textContent).toContain('Online again. Ida continues with the PIN.');
    expect(screen.getByRole('button', { name: 'Jonas continues' })).toBeTruthy();
  });

  it('asks nothing of anybody who did not', () => {
    line.away = false;
    show(tablet);
    expect(screen.queryByRole('region', { name: 'To be confirmed' })).toBeNull();
    expect(screen.getByRole('status').textContent).toBe('Live');
  });
});
