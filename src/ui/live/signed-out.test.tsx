import { act, cleanup, render } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

const go = vi.hoisted(() => vi.fn());
vi.mock('./go', () => ({ go }));
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));

/** A feed that the test ends. */
class Feed extends EventTarget {
  static last: Feed;
  onerror = null;
  onmessage = null;
  constructor() {
    super();
    Feed.last = this;
  }
  close() {}
}

const answer = (body: unknown) => Promise.resolve({ status: 200, ok: true, json: () => body });
const nobody = { ok: false, status: 401, message: 'Nobody is signed in.', field: null, offer: null };

/** A page that listens to the house, with its own memory of who has signed out on it. */
async function openPage() {
  vi.resetModules();
  const { Live } = await import('./live');
  render(
    <Live personId={4} cursor={7}>
      <p>The bench</p>
    </Live>,
  );
  return import('./command');
}

/** The house ends the feed, and says that nobody is signed in. */
const endFeed = () =>
  act(async () => {
    Feed.last.dispatchEvent(new Event('over'));
    await new Promise((done) => setTimeout(done, 5));
  });

beforeEach(() => {
  go.mockReset();
  vi.stubGlobal('EventSource', Feed);
  vi.stubGlobal('fetch', (_: string, { method }: RequestInit) =>
    answer(method === 'DELETE' ? { ok: true, result: null } : nobody),
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('a page whose session is over', () => {
  it('says so where somebody else has ended it', async () => {
    await openPage();
    await endFeed();
    expect(go.mock.calls).toEqual([['/sign-in?ended']]);
  });

  it('says nothing to whoever has signed out on it, even where the feed ends before the house has answered', async () => {
    const { signOut } = await openPage();
    const out = signOut();
    await endFeed();
    await out;
    expect(go).toHaveBeenCalled();
    expect(go.mock.calls.every(([path]) => path === '/sign-in')).toBe(true);
  });
});
