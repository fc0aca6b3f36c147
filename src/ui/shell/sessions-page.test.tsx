import 'fake-indexeddb/auto';
import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { show } from '../../../test-support/view';
import type { Person } from '@/core/bakery/people';
import { Shell } from './shell';

vi.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: () => undefined }),
  usePathname: () => '/bench',
}));

const jonas: Person = { id: 2, name: 'Jonas', role: 'baker', team: 'nights' };
const ida: Person = { ...jonas, id: 3, name: 'Ida' };

beforeEach(() => {
  vi.stubGlobal(
    'EventSource',
    class extends EventTarget {
      close() {}
    },
  );
  vi.stubGlobal('fetch', () => new Promise(() => undefined));
});

const page = (person: Person, sessionId: number) => (
  <Shell
    {...{ person, sessionId, cursor: 1, people: [], idleMinutes: 0 }}
    house={{ name: 'Lindenried', zone: 'UTC' }}
    clock={{ demo: false, now: 0, rate: 1, paused: true }}
  >
    <input aria-label="In your own words" />
  </Shell>
);
const written = () => screen.getByLabelText<HTMLInputElement>('In your own words');

it('a page that becomes somebody else’s, signed in by another tab, has nothing left of what was half written', async () => {
  const { user, again } = show(page(jonas, 7));
  await user.type(written(), 'sticks to the pin');
  again(page(jonas, 7));
  expect(written().value).toBe('sticks to the pin');
  again(page(ida, 8));
  expect(screen.getByRole('button', { name: /^Ida is signed in here/ })).toBeTruthy();
  expect(written().value).toBe('');
});
