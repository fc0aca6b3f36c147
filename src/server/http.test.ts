import { describe, expect, it } from 'vitest';
import { fromOwnPage, jsonBody, LARGEST_BODY } from './http';

const post = (headers: Record<string, string>, body = '{}') =>
  new Request('http://127.0.0.1:3000/api/commands/x', { method: 'POST', headers, body });

describe('a request', () => {
  it('is our own page’s only when its origin is this very host', () => {
    const own = { host: '127.0.0.1:3000', origin: 'http://127.0.0.1:3000' };
    expect(fromOwnPage(post(own))).toBe(true);
    expect(fromOwnPage(post({ ...own, origin: 'http://127.0.0.1:3001' }))).toBe(false);
    expect(fromOwnPage(post({ ...own, origin: 'http://elsewhere.example' }))).toBe(false);
    expect(fromOwnPage(post({ ...own, origin: 'null' }))).toBe(false);
    expect(fromOwnPage(post({ host: own.host }))).toBe(false);
  });

  it('is read as JSON, unless it is none or too large', async () => {
    expect(await jsonBody(post({}, '{"a":1}'))).toEqual({ a: 1 });
    expect(await jsonBody(post({}, '{"a":'))).toBeUndefined();
    expect(await jsonBody(post({}, JSON.stringify('x'.repeat(LARGEST_BODY))))).toBeUndefined();
    expect(await jsonBody(new Request('http://127.0.0.1:3000/'))).toBeUndefined();
  });

  it('that never says how long it is is read no further than it may be', async () => {
    let sent = 0;
    const body = new ReadableStream<Uint8Array>({
      pull(stream) {
        sent += 1024;
        stream.enqueue(new Uint8Array(1024));
      },
    });
    const half = { method: 'POST', body, duplex: 'half' };
    const endless = new Request('http://127.0.0.1:3000/', half);
    expect(await jsonBody(endless, 8192)).toBeUndefined();
    expect(sent).toBeLessThan(64 * 1024);
  });
});
