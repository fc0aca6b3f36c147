import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { baked } from '../../../test-support/batch';
import { did, MIN } from '../../../test-support/floor';
import { boardOf } from '../../../test-support/board';
import { show } from '../../../test-support/view';
import type { Person } from '@/core/bakery/people';
import type { HandoverWords } from '@/core/shopfloor/handover-words';
import { beginSession } from '../live/at-tablet';
import { HandoverView } from './handover-view';

vi.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: () => undefined }),
  usePathname: () => '/handover',
}));

const jonas: Person = { id: 1, name: 'Jonas', role: 'baker', team: 'nights' };
const ida: Person = { ...jonas, id: 2, name: 'Ida' };
const dough = baked();
const retard = dough.steps.find(({ step }) => step.id === 'retard');
const NOW = (retard?.plannedStart ?? 0) / MIN + 60;

const board = boardOf({
  people: [jonas, ida],
  places: [{ place: 'retarder', label: 'Retarder', celsius: 3.6, humidity: null, at: 0 }],
  coreProbes: [{ id: 'core-1', label: 'Core probe 1', celsius: 8.5, at: (NOW - 5) * MIN }],
  doughs: [
    {
      ...dough,
      events: [
        ...dough.events.filter(({ at }) => at <= (retard?.plannedStart ?? 0)),
        did('move', 'retard', NOW - 50, { data: { kind: 'moved', place: 'retarder', shelf: 12 } }),
        did('probe', 'retard', NOW - 40, { data: { kind: 'probed', probe: 'core-1' } }),
        did('note', 'retard', NOW - 20, { text: 'skin has formed' }),
      ],
    },
  ],
});
const WORDS: HandoverWords[] = [{ id: 7, at: 0, by: 'Ida', words: 'The door sticks.', readBy: [] }];
const page = (words = WORDS) => (
  <HandoverView board={board} words={words} person={jonas} shortOrders={null} />
);

let away = false;
let sent: string[] = [];
beforeEach(() => {
  [away, sent] = [false, []];
  beginSession(jonas, 7, jonas);
  vi.stubGlobal('fetch', (path: string) => {
    if (away) return Promise.reject(new TypeError('no line'));
    sent.push(path.split('/').at(-1) ?? '');
    return Promise.resolve({ json: () => Promise.resolve({ ok: true, result: null }) });
  });
});

describe('the handover', () => {
  it('never says that all went as planned while something is out', () => {
    const out = {
      id: 1,
      machineId: null,
      personId: 2,
      units: null,
      deck: null,
      slower: null,
      since: 10 * MIN,
      until: 9000 * MIN,
      note: 'fever',
    };
    const calm = boardOf({ people: [jonas, ida] });
    const shown = (troubles: (typeof out)[]) => (
      <HandoverView
        board={{ ...calm, calls: { ...calm.calls, troubles } }}
        words={WORDS}
        person={jonas}
        shortOrders={null}
      />
    );
    const { again } = show(shown([]), 20);
    expect(screen.getByText('Everything went to plan.')).toBeTruthy();
    again(shown([out]));
    expect(screen.queryByText('Everything went to plan.')).toBeNull();
    expect(screen.getByText(/Ida not here: fever/)).toBeTruthy();
  });

  it('says where a dough is: place, shelf, since when, how cold by the core probe in it', () => {
    show(page(), NOW);
    const where = within(screen.getByRole('region', { name: 'Where things stand' })).getByRole('listitem');
    expect(where.textContent).toMatch(/Crescent 1.*8\.5 °C at/);
    expect(where.textContent).toMatch(/retard since .*retarder shelf 12, 3\.6 °C/);
  });

  it('tells what was not as usual, with who said so', () => {
    show(page(), NOW);
    const unusual = within(screen.getByRole('region', { name: 'Deviations in the last 12 h' }));
    expect(unusual.getByText(/skin has formed/).textContent).toContain('Jonas');
  });

  it('is signed by the next shift, and not by who wrote it', async () => {
    const { user, again } = show(page(), NOW);
    await user.click(screen.getByRole('button', { name: 'I have read it' }));
    await waitFor(() => expect(sent).toEqual(['sign-handover']));
    again(page([{ ...WORDS[0], by: 'Jonas' } as HandoverWords]));
    expect(screen.queryByRole('button', { name: 'I have read it' })).toBeNull();
  });

  it('keeps words that are left without a line, shows them, and asks nobody to sign them yet', async () => {
    away = true;
    const { user } = show(page([]), NOW);
    await user.type(screen.getByRole('textbox'), 'Flour is low.');
    await user.click(screen.getByRole('button', { name: 'Leave note' }));
    expect(await screen.findByText('“Flour is low.”')).toBeTruthy();
    expect(screen.getByText(/not read yet/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'I have read it' })).toBeNull();
    expect(sent).toEqual([]);
  });
});
