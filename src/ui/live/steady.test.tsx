import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepSteady } from './steady';

const RSC = { headers: { rsc: '1' } };
const page = (text = '1:["page"]\n', status = 200, type = 'text/x-component') =>
  new Response(text, { status, headers: { 'content-type': type } });
/** What is answered, one after the other; the last one from then on. */
let answers: (() => Promise<Response>)[];
let told: boolean[];
let stop: () => void;
const here = () => `${location.pathname}${location.search}`;

beforeEach(() => {
  vi.useFakeTimers();
  told = [];
  vi.stubGlobal('fetch', () => (answers.length > 1 ? answers.shift() : answers[0])?.());
  stop = keepSteady((failing) => told.push(failing));
});
afterEach(() => {
  stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const answering = (...all: (Response | Error)[]) =>
  (answers = all.map(
    (one) => () => (one instanceof Error ? Promise.reject(one) : Promise.resolve(one.clone())),
  ));
const refreshed = async () => {
  const answer = fetch(here(), RSC);
  await vi.advanceTimersByTimeAsync(60_000);
  return answer;
};

describe('a page that is made anew', () => {
  it.each([
    ['500', page('broken', 500)],
    ['429', page('slow down', 429)],
    ['a proxy’s page', page('<h1>Welcome</h1>', 200, 'text/html')],
    ['a part that could not be made', page('1:["page"]\n2:E{"digest":"2345"}\n')],
    ['nobody', new TypeError('no line')],
  ])('is asked for again after %s, and what is shown stays until it is there', async (_, bad) => {
    answering(bad, bad, page());
    expect(await (await refreshed()).text()).toBe('1:["page"]\n');
    expect(told).toEqual([true, true, false]);
  });

  it('is led to another page, or told that it is not there any more', async () => {
    for (const digest of ['NEXT_REDIRECT;replace;/sign-in;307;', 'NEXT_HTTP_ERROR_FALLBACK;404']) {
      answering(page(`2:E{"digest":"${digest}"}\n`));
      expect(await (await refreshed()).text()).toContain(digest);
    }
    expect(told).toEqual([false, false]);
  });

  it('is given up when somebody goes to another one', async () => {
    answering(new TypeError('no line'));
    const leaving = new AbortController();
    const answer = fetch(here(), { ...RSC, signal: leaving.signal });
    const gone = expect(answer).rejects.toThrow('no line');
    await vi.advanceTimersByTimeAsync(100);
    leaving.abort();
    await vi.advanceTimersByTimeAsync(60_000);
    await gone;
    expect(told.at(-1)).toBe(false);
  });
});

describe('anything else that is asked for', () => {
  it('is answered as it comes: data, other pages, and what may be wanted later', async () => {
    answering(page('broken', 500));
    const asked = [
      fetch('/api/commands/record-event', { method: 'POST' }),
      fetch('/formulas', RSC),
      fetch(here(), { headers: { rsc: '1', 'next-router-prefetch': '1' } }),
    ];
    expect((await Promise.all(asked)).map(({ status }) => status)).toEqual([500, 500, 500]);
    expect(told).toEqual([]);
  });
});
