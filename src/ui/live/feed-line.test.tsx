import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { listenToHouse } from './feed-line';

/** The browser's side of a feed, in the hands of the test. */
class Source extends EventTarget {
  static all: Source[] = [];
  static readonly OPEN = 1;
  readyState = 1;
  onmessage: ((message: MessageEvent<string>) => void) | null = null;
  onerror: (() => void) | null = null;
  constructor(readonly address: string) {
    super();
    Source.all.push(this);
  }
  close() {
    this.readyState = 2;
  }
  beat() {
    this.dispatchEvent(new Event('beat'));
  }
  news(cursor: number) {
    this.onmessage?.({
      data: '{"events":[],"calm":true}',
      lastEventId: String(cursor),
    } as MessageEvent<string>);
  }
  static get last(): Source {
    return Source.all.at(-1) as Source;
  }
}

let session: unknown;
const heard = { news: 0, lines: [] as string[], over: 0, sessions: [] as unknown[] };
let stop: () => void;
beforeEach(() => {
  vi.useFakeTimers();
  Source.all = [];
  Object.assign(heard, { news: 0, lines: [], over: 0, sessions: [] });
  session = undefined;
  vi.stubGlobal('EventSource', Source);
  vi.stubGlobal('fetch', () =>
    session === undefined
      ? Promise.reject(new TypeError('no line'))
      : Promise.resolve({ json: () => session }),
  );
  stop = listenToHouse(40, {
    onNews: () => heard.news++,
    onLine: (line) => heard.lines.at(-1) === line || heard.lines.push(line),
    onOver: () => heard.over++,
    onSession: (one) => heard.sessions.push(one),
  });
});
afterEach(() => {
  stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the line to the house', () => {
  it('is open when the house is heard and not before, whatever the browser believes', () => {
    expect(heard.lines).toEqual([]);
    Source.last.beat();
    expect(heard.lines).toEqual(['open']);
  });

  it('comes back from where it was, however often it is cut or answered with a status', async () => {
    Source.last.beat();
    Source.last.news(47);
    for (let cut = 1; cut <= 12; cut++) {
      Source.last.onerror?.();
      expect(heard.lines.at(-1)).toBe('away');
      await vi.advanceTimersByTimeAsync(5_000);
      expect(Source.all).toHaveLength(cut + 1);
      expect(Source.last.address).toBe('/api/feed?from=47');
    }
    Source.last.beat();
    expect(heard.lines.at(-1)).toBe('open');
    expect(heard.news).toBe(1);
  });

  it('is taken for gone when nothing is heard, and tried again', async () => {
    Source.last.beat();
    await vi.advanceTimersByTimeAsync(9_000);
    expect(heard.lines).toEqual(['open']);
    await vi.advanceTimersByTimeAsync(3_000);
    expect(heard.lines).toEqual(['open', 'away']);
    expect(Source.all.length).toBeGreaterThan(1);
  });

  it('does not wait for its pause when a tablet wakes up', async () => {
    Source.last.beat();
    for (let i = 0; i < 6; i++) {
      Source.last.onerror?.();
      await vi.advanceTimersByTimeAsync(5_000);
    }
    Source.last.onerror?.();
    const before = Source.all.length;
    window.dispatchEvent(new Event('online'));
    expect(Source.all).toHaveLength(before + 1);
  });

  it('is over when the house says that nobody is signed in, and by no other answer', async () => {
    for (const words of [undefined, { ok: false, status: 500 }, { error: 'no' }, 'portal', null]) {
      session = words;
      Source.last.onerror?.();
      await vi.advanceTimersByTimeAsync(5_000);
    }
    expect(heard.over).toBe(0);
    session = { ok: false, status: 401 };
    Source.last.dispatchEvent(new Event('over'));
    await vi.advanceTimersByTimeAsync(10);
    expect(heard.over).toBe(1);
    const before = Source.all.length;
    await vi.advanceTimersByTimeAsync(60_000);
    expect(Source.all).toHaveLength(before);
  });

  it('tells who else is signed in by now, and goes on listening', async () => {
    session = { ok: true, result: { personId: 3, sessionId: 9 } };
    Source.last.dispatchEvent(new Event('over'));
    await vi.advanceTimersByTimeAsync(2_000);
    expect(heard.sessions).toEqual([{ personId: 3, sessionId: 9 }]);
    expect(heard.over).toBe(0);
    expect(Source.all.length).toBeGreaterThan(1);
  });
});
