import { readdirSync, readFileSync, statSync } from 'node:fs';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v4 as uuid, v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../test-support/demo-house';
import { ok } from '../test-support/house';
import { enrolled, listen, post, sessionOf } from '../test-support/tablet';
import { ACTORS, COMMANDS, PAGES, ROUTES, type Actor, type Page, type Route } from '@/core/shopfloor/rights';
import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import { hashPin } from '@/server/auth/pin';
import { commandNames, runCommand } from '@/server/commands/run';
import { rowsOf, write } from '@/server/db/rows';
import { startApplication, type Application } from './lib/application';
import { freePort } from './lib/ports';

let house: Awaited<ReturnType<typeof demoHouse>>;
let scratch: string;
let app: Application;
/** A session for each role, and one that nobody is signed in with. */
const cookies = {} as Record<Actor | 'nobody', string>;

const hire = async (name: string, role: string, pin: string) => {
  await write(
    house.pool,
    "INSERT INTO person (name, role, team, pin_hash, pin_peppered) VALUES (?, ?, 'nights', ?, TRUE)",
    [name, role, await hashPin(pin)],
  );
  const [row] = await rowsOf<{ id: number }>(house.pool, 'SELECT id FROM person WHERE name = ?', [name]);
  return row?.id ?? 0;
};

async function signedIn(personId: number, pin: string, device?: string): Promise<string> {
  const tablet = device ?? (await enrolled(app.address));
  const answer = await post(app.address, tablet, '/api/session', { personId, pin });
  expect(answer.status).toBe(200);
  const session = answer.headers.getSetCookie().map((cookie) => cookie.split(';')[0]);
  return [tablet, ...session].join('; ');
}

beforeAll(async () => {
  house = await demoHouse();
  scratch = mkdtempSync(join(tmpdir(), 'hefeteig-doors-'));
  app = await startApplication({
    ...{ build: 'build/test', port: await freePort(), databaseUrl: house.url },
    log: join(scratch, 'application.log'),
  });
  cookies.planner = await sessionOf(app.address, 'Mara');
  cookies.baker = await sessionOf(app.address, 'Jonas');
  cookies.helper = await signedIn(await hire('Helper', 'helper', '1111'), '1111');
  cookies.viewer = await signedIn(await hire('Wall', 'viewer', '2222'), '2222');
  cookies.resting = await sessionOf(app.address, 'Ida');
  await rest(cookies.resting);
  cookies.nobody = await enrolled(app.address);
}, 120_000);
afterAll(async () => {
  await app.stop();
  await house.close();
  rmSync(scratch, { recursive: true, force: true });
});

const rest = (cookie: string) =>
  fetch(`${app.address}/api/session`, { method: 'PUT', headers: { cookie, origin: app.address } });
const get = (cookie: string, path: string) =>
  fetch(app.address + path, { headers: { cookie }, redirect: 'manual' });
const note = (text: string) => ({ ...{ doughId: 5, stepKey: null, kind: 'note' }, id: uuidv7(), text });
const record = (cookie: string, text: string) =>
  post(app.address, cookie, '/api/commands/record-event', note(text)).then(({ status }) => status);
const stored = async (text: string) =>
  (await rowsOf(house.pool, 'SELECT id FROM floor_event WHERE text = ?', [text])).length;

/** Where an answer leads instead of showing a page, at once or when its frame is drawn; null where it shows one. */
async function wayOf(answer: Response): Promise<string | null> {
  const text = await answer.text();
  const to = answer.headers.get('location') ?? /__next-page-redirect"[^>]*url=([^"]+)"/.exec(text)?.[1];
  expect([200, 307]).toContain(answer.status);
  return to === undefined ? null : new URL(to, app.address).pathname;
}

/** A real address for each page. */
const ADDRESS: Partial<Record<Page, string>> = {
  '/dough/[id]': '/dough/5',
  '/dough/[id]/sheet': '/dough/5/sheet',
  '/dough/[id]/cut': '/dough/5/cut',
  '/dough/[id]/labels': '/dough/5/labels',
  '/batch/[id]': '/batch/1',
  '/formulas/[id]': '/formulas/1',
  '/rooms/[id]': '/rooms/retarder',
  '/products/[id]': '/products/1',
};
const EVERYBODY = [...ACTORS, 'nobody'] as const;

function pagesOnDisk(folder: string, path = ''): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory()) return pagesOnDisk(join(folder, entry.name), `${path}/${entry.name}`);
    return entry.name === 'page.tsx' ? [path] : [];
  });
}

describe('the table of rights', () => {
  it('names every page and every command that there is, and none that there is not', () => {
    expect(Object.keys(PAGES).sort()).toEqual(pagesOnDisk('src/app/(house)').sort());
    expect(Object.keys(COMMANDS).sort()).toEqual(commandNames().sort());
  });

  it.each(Object.keys(PAGES) as Page[])('holds at the door of the page %s', async (page) => {
    for (const who of EVERYBODY) {
      const answer = await get(cookies[who], ADDRESS[page] ?? page);
      const may = who !== 'nobody' && PAGES[page].includes(who);
      const wanted = may ? null : who === 'nobody' ? '/sign-in' : '/bench';
      expect([who, await wayOf(answer)]).toEqual([who, wanted]);
    }
  });

  it.each(Object.keys(ROUTES) as Route[])('holds at the door of %s', async (route) => {
    const [method = '', path = ''] = route.split(' ');
    const places: Record<string, string> = {
      '/api/plan': '/api/plan?as=csv',
      '/api/formulas': '/api/formulas/1',
      '/api/products': '/api/products/1',
      '/api/amounts': '/api/amounts/5',
      '/api/photos': `/api/photos/${uuid()}${method === 'PUT' ? '?dough=5' : ''}`,
      '/api/commands': '/api/commands/no-such-command',
    };
    for (const who of EVERYBODY) {
      const stop = new AbortController();
      const answer = await fetch(app.address + (places[path] ?? path), {
        method,
        headers: { cookie: cookies[who], origin: app.address, 'content-type': 'application/json' },
        ...(method === 'GET' ? {} : { body: method === 'PUT' ? 'no picture' : '{"stop":"x"}' }),
        signal: stop.signal,
      });
      stop.abort();
      const may = who !== 'nobody' && ROUTES[route].includes(who);
      if (may) expect([401, 403]).not.toContain(answer.status);
      else expect(answer.status).toBe(who === 'nobody' ? 401 : 403);
    }
  });

  it.each(Object.keys(COMMANDS))('holds for the command %s', async (name) => {
    for (const who of EVERYBODY) {
      const answer = await post(app.address, cookies[who], `/api/commands/${name}`, { never: 'understood' });
      const { message = '' } = (await answer.json()) as { message?: string };
      const may = who !== 'nobody' && (COMMANDS[name] ?? []).includes(who);
      expect(answer.status).not.toBe(200);
      if (who === 'nobody') expect(answer.status).toBe(401);
      else expect(/cannot do this here/.test(message)).toBe(!may);
    }
  });

  it('gives a helper’s calendar to planners and to nobody else', async () => {
    const person = house.person('Jonas').id;
    const asked = (who: Actor, of: number) => get(cookies[who], `/api/plan?as=calendar&person=${of}`);
    expect((await asked('planner', person)).status).toBe(200);
    expect((await asked('baker', person)).status).toBe(200);
    expect((await asked('baker', house.person('Ida').id)).status).toBe(403);
  });

  it('shows screens on the wall no customer and no note of an absence', async () => {
    await ok(
      runCommand('add-exception', house.person('Mara'), {
        ...{
          kind: 'down',
          personId: null,
          machineId: 'sheeter',
          units: null,
          note: 'knee surgery of the mechanic',
        },
        ...{ start: '2026-11-21T10:00', end: '2026-11-21T12:00', sure: true },
      }),
    );
    for (const page of ['/bench', '/plan', '/proof', '/oven', '/handover', '/dough/5'])
      for (const who of ['viewer', 'resting'] as const) {
        const text = await (await get(cookies[who], page)).text();
        expect(text.length).toBeGreaterThan(2000);
        expect(text).not.toMatch(/Café Lindenhof|Café am Wehr|Music club|knee surgery/);
      }
  });
});

describe('a session', () => {
  const ends: [how: string, end: (cookie: string, id: number) => Promise<unknown>][] = [
    [
      'signing out',
      (cookie) =>
        fetch(`${app.address}/api/session`, { method: 'DELETE', headers: { cookie, origin: app.address } }),
    ],
    ['resting', (cookie) => rest(cookie)],
    [
      'a planner who ends it',
      (_, id) => ok(runCommand('end-sessions', house.person('Mara'), { personId: id })),
    ],
    [
      'a new PIN',
      (_, id) => ok(runCommand('save-person', house.person('Mara'), person(id, { pin: '9876' }))),
    ],
    [
      'another role',
      (_, id) => ok(runCommand('save-person', house.person('Mara'), person(id, { role: 'viewer' }))),
    ],
    [
      'leaving',
      (_, id) => ok(runCommand('save-person', house.person('Mara'), person(id, { active: false }))),
    ],
  ];
  const person = (id: number, more: object) => ({
    ...{
      id,
      name: `Guest ${id}`,
      role: 'baker',
      team: 'nights',
      pin: '',
      skills: [],
      active: true,
      sure: true,
    },
    ...more,
  });

  it.each(ends)('is over at once after %s: for pages, commands, replays and the feed', async (how, end) => {
    const id = await hire(`Somebody before ${how}`, 'baker', '3333');
    const cookie = await signedIn(id, '3333');
    const tap = note(`before ${how}`);
    expect((await post(app.address, cookie, '/api/commands/record-event', tap)).status).toBe(200);
    const { heard, stop } = await listen(app.address, cookie);
    await expect.poll(() => heard.join('')).toContain('beat');
    await end(cookie, id);
    // The very cookie from before, as somebody who copied it would use it.
    expect(await record(cookie, `after ${how}`)).not.toBe(200);
    expect((await post(app.address, cookie, '/api/commands/record-event', tap)).status).not.toBe(200);
    expect(await stored(`after ${how}`)).toBe(0);
    if (how === 'resting') expect(await (await get(cookie, '/bench')).text()).toContain('Nobody');
    else {
      expect((await get(cookie, '/bench')).status).toBe(307);
      await record(cookies.baker, `heard after ${how}`);
      await expect.poll(() => heard.join(''), { timeout: 10_000 }).toContain('event: over');
      expect(heard.join('')).not.toContain(`heard after ${how}`);
    }
    stop();
  });

  it('of a browser is over when somebody else’s in it is first used, and not before', async () => {
    const device = await enrolled(app.address);
    const id = await hire('Before', 'baker', '4444');
    const before = await signedIn(id, '4444', device);
    const pin = { personId: house.person('Selma').id, pin: '3317' };
    const answer = await post(app.address, before, '/api/session', pin);
    // An answer that is lost on its way signs nobody out.
    expect(await record(before, 'the answer was lost')).toBe(200);
    const after = [device, ...answer.headers.getSetCookie().map((one) => one.split(';')[0])].join('; ');
    expect((await get(after, '/bench')).status).toBe(200);
    expect(await record(before, 'the answer has arrived')).toBe(401);
  });

  it('of a device that was shut out is over, and the device knows nobody’s name any more', async () => {
    const device = await enrolled(app.address);
    const cookie = await sessionOf(app.address, 'Piet', device);
    expect(await record(cookie, 'before it was shut out')).toBe(200);
    const [tablet] = await rowsOf<{ id: number }>(house.pool, 'SELECT MAX(id) AS id FROM tablet');
    await ok(runCommand('remove-tablet', house.person('Mara'), { id: tablet?.id }));
    expect(await record(cookie, 'after it was shut out')).toBe(401);
    expect(await (await get(cookie, '/sign-in')).text()).not.toContain('Jonas');
  });

  it('records under its own name only: what was recorded by somebody else waits for their PIN', async () => {
    const tap = note('of Ida, under the session of Jonas');
    const answer = await fetch(`${app.address}/api/commands/record-event`, {
      method: 'POST',
      headers: {
        ...{ origin: app.address, 'content-type': 'application/json', cookie: cookies.baker },
        ...{ 'x-recorded-by': `${house.person('Ida').id}/1`, 'idempotency-key': tap.id },
      },
      body: JSON.stringify(tap),
    });
    expect(answer.status).toBe(409);
    expect(await answer.json()).toMatchObject({ ok: false, status: 409, to: tap.id });
    expect(await stored(tap.text)).toBe(0);
  });

  it('cannot be made up: a token that our key has not signed is none', async () => {
    const [, token = ''] = /hefeteig=([^.;]+)/.exec(cookies.baker) ?? [];
    expect((await get(`hefeteig=${token}.forged`, '/bench')).status).toBe(307);
    expect((await get(`hefeteig=${token}`, '/bench')).status).toBe(307);
  });
});

describe('a device that nobody has let in', () => {
  const elsewhere = (
    path: string,
    init: { method?: string; body?: string; headers?: Record<string, string> } = {},
  ) => {
    // Not asked for on this very machine: only a code lets it in.
    const host = 'bakery.example';
    return import('node:http').then(
      ({ request }) =>
        new Promise<{ status: number; text: string; cookie: string }>((done, fail) => {
          const sent = request(
            `${app.address}${path}`,
            { method: init.method ?? 'GET', headers: { ...init.headers, host, origin: `http://${host}` } },
            (answer) => {
              let text = '';
              answer.on('data', (part) => (text += String(part)));
              answer.on('end', () =>
                done({
                  ...{ status: answer.statusCode ?? 0, text },
                  cookie: (answer.headers['set-cookie'] ?? []).map((one) => one.split(';')[0]).join('; '),
                }),
              );
            },
          );
          sent.on('error', fail);
          sent.end(init.body);
        }),
    );
  };

  it('is shown nobody’s name and checks no PIN', async () => {
    const page = await elsewhere('/sign-in');
    expect(page.status).toBe(200);
    expect(page.text).not.toMatch(/Jonas|Mara|Selma/);
    const guess = await elsewhere('/api/session', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ personId: 1, pin: '471147' }),
    });
    expect(guess.status).toBe(403);
  });

  it('is let in by a planner’s code once, and by no other', async () => {
    const { code } = await ok<{ code: string }>(runCommand('make-tablet-code', house.person('Mara'), {}));
    const type = (typed: string) =>
      elsewhere('/api/tablet', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ code: typed, name: 'Bench tablet' }),
      });
    expect((await type('AAAAAAAA')).status).toBe(422);
    const right = await type(` ${code.slice(0, 4).toLowerCase()}-${code.slice(4)} `);
    expect(right.status).toBe(200);
    expect((await type(code)).status).toBe(422);
    expect((await elsewhere('/sign-in', { headers: { cookie: right.cookie } })).text).toContain('Jonas');
  });

  it('has to wait after ten codes that were not right', async () => {
    const answers = await Promise.all(
      Array.from({ length: 30 }, (_, i) =>
        elsewhere('/api/tablet', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ code: `WRONG${100 + i}`, name: 'x' }),
        }),
      ),
    );
    expect(answers.filter(({ text }) => text.includes('Too many wrong codes')).length).toBeGreaterThanOrEqual(
      20,
    );
  });
});

describe('what is answered', () => {
  it('carries a strict policy with a nonce of its own on every page', async () => {
    const policies = await Promise.all(
      ['/sign-in', '/bench', '/nowhere'].map(async (path) =>
        (await get(cookies.baker, path)).headers.get('content-security-policy'),
      ),
    );
    for (const policy of policies) {
      expect(policy).toMatch(/script-src 'self' 'nonce-[\w+/=]+' 'strict-dynamic';/);
      expect(policy).not.toMatch(/script-src[^;]*unsafe/);
      expect(policy).toContain("frame-ancestors 'none'");
    }
    expect(new Set(policies).size).toBe(3);
    const { headers } = await get(cookies.baker, '/bench');
    expect(headers.get('permissions-policy')).toContain('microphone=()');
    expect(headers.get('x-content-type-options')).toBe('nosniff');
  });

  it('is kept by nobody where it is personal', async () => {
    for (const path of ['/bench', '/house', '/api/plan?as=csv', '/api/formulas/1', '/api/session'])
      expect((await get(cookies.planner, path)).headers.get('cache-control')).toContain('no-store');
  });

  it('has cookies that no script reads and no other site sends', async () => {
    const answer = await post(app.address, await enrolled(app.address), '/api/session', {
      ...{ personId: house.person('Jonas').id, pin: '1203' },
    });
    const language = await fetch(`${app.address}/api/language`, {
      method: 'PUT',
      headers: { origin: app.address, 'content-type': 'application/json' },
      body: '{"of":"tablet","language":"fr"}',
    });
    const given = [answer, language].flatMap(({ headers }) => headers.getSetCookie());
    expect(given.join()).toContain('=fr;');
    for (const cookie of given) {
      expect(cookie.toLowerCase()).toContain('httponly');
      expect(cookie.toLowerCase()).toContain('samesite=strict');
    }
  });
});

describe('the health of the machine', () => {
  it('is told to anybody who watches over it, in words that say nothing of the bakery', async () => {
    const answer = await fetch(`${app.address}/api/health`);
    expect(answer.status).toBe(200);
    expect(answer.headers.get('cache-control')).toBe('no-store');
    expect(await answer.json()).toEqual({
      ...{ ready: true, database: 'ok', clock: 'ok', backup: 'ok' },
      disk: expect.stringMatching(/^(ok|low)$/) as string,
    });
  });
});

describe('what goes over the line', () => {
  const asked = (path: string, encoding: string) =>
    fetch(app.address + path, { headers: { cookie: cookies.baker, 'accept-encoding': encoding } });
  const told = ({ headers }: Response, name: string) => headers.get(name);
  const largestScript = () => {
    const folder = join('build', 'test', 'static', 'chunks');
    const scripts = readdirSync(folder).filter((name) => name.endsWith('.js'));
    return scripts.sort((a, b) => statSync(join(folder, b)).size - statSync(join(folder, a)).size)[0] ?? '';
  };

  it.each(['br', 'gzip'])('is packed at the build where it never changes: %s', async (encoding) => {
    const name = largestScript();
    const answer = await asked(`/_next/static/chunks/${name}`, encoding);
    expect(told(answer, 'content-encoding')).toBe(encoding);
    expect(told(answer, 'cache-control')).toMatch(/immutable/);
    expect(told(answer, 'x-content-type-options')).toBe('nosniff');
    const plain = readFileSync(join('build', 'test', 'static', 'chunks', name), 'utf8');
    expect(await answer.text()).toBe(plain);
    expect(Number(told(answer, 'content-length'))).toBeLessThan(plain.length / 3);
  });

  it('is packed as it goes out where it is made for each request, and a feed is not', async () => {
    const page = await asked('/bench', 'br');
    expect(told(page, 'content-encoding')).toBe('br');
    expect(await page.text()).toContain('</html>');
    const ending = new AbortController();
    const feed = await fetch(`${app.address}/api/feed`, {
      ...{ headers: { cookie: cookies.baker, 'accept-encoding': 'br' }, signal: ending.signal },
    });
    expect(told(feed, 'content-encoding')).toBeNull();
    ending.abort();
  });

  it.each(['/_next/static/nothing.js', '/_next/static/../../package.json', '/_next/static/%2e%2e/BUILD_ID'])(
    'is nothing but what the build has for pages: %s',
    async (path) => {
      const answer = await asked(path, 'br');
      expect(answer.status).toBe(404);
      expect(await answer.text()).not.toContain('hefeteig"');
    },
  );
});

describe('behind HTTPS', () => {
  it('cookies are bound to this host and never travel in the open, and browsers are told to stay', async () => {
    process.env.HEFETEIG_HTTPS = '1';
    const safe = await startApplication({
      ...{ build: 'build/test', port: await freePort(), databaseUrl: house.url },
      log: join(scratch, 'safe.log'),
    });
    delete process.env.HEFETEIG_HTTPS;
    const [cookie = ''] = (await post(safe.address, '', '/api/tablet', {})).headers.getSetCookie();
    const page = await fetch(`${safe.address}/sign-in`);
    await safe.stop();
    expect(cookie).toMatch(/^__Host-hefeteig-tablet=/);
    expect(cookie).toMatch(/; Path=\/; .*Secure/);
    expect(cookie).not.toMatch(/Domain=/);
    expect(page.headers.get('strict-transport-security')).toBe('max-age=31536000');
  });
});

describe('the feed', () => {
  it('tells proxies not to hold it back', async () => {
    const stop = new AbortController();
    const { headers } = await fetch(`${app.address}/api/feed`, {
      headers: { cookie: cookies.baker },
      signal: stop.signal,
    });
    stop.abort();
    expect(headers.get('x-accel-buffering')).toBe('no');
    expect(headers.get('cache-control')).toContain('no-transform');
  });

  it('leaves nothing behind of screens that have gone: one session may open and close as many as it likes', async () => {
    for (let round = 0; round < 4; round++) {
      const open = await Promise.all(Array.from({ length: 18 }, () => listen(app.address, cookies.baker)));
      open.forEach(({ stop }) => stop());
      await expect
        .poll(async () => {
          const one = await get(cookies.baker, '/api/session');
          return one.status;
        })
        .toBe(200);
    }
    await expect
      .poll(async () => {
        const stop = new AbortController();
        const { status } = await fetch(`${app.address}/api/feed`, {
          headers: { cookie: cookies.baker },
          signal: stop.signal,
        });
        stop.abort();
        return status;
      })
      .toBe(200);
  });
});

describe('the log', () => {
  it('is lines of JSON for its owner’s eyes, without statements, PINs, tokens or notes', async () => {
    const pin = '55512399';
    await write(house.pool, 'ALTER TABLE floor_event RENAME TO floor_event_away', []);
    await record(cookies.baker, 'a secret note of the baker');
    await post(app.address, cookies.planner, '/api/commands/save-person', {
      ...{ id: null, name: 'Nobody yet', role: 'baker', team: 'x', pin, skills: [], active: true },
    });
    await get(cookies.baker, '/bench');
    await write(house.pool, 'ALTER TABLE floor_event_away RENAME TO floor_event', []);
    const file = join(scratch, 'application.log');
    await expect.poll(() => readFileSync(file, 'utf8')).toContain('ER_NO_SUCH_TABLE');
    const text = readFileSync(file, 'utf8');
    expect(text).not.toMatch(/secret note|argon2|55512399|INSERT INTO|SELECT /);
    expect(statSync(file).mode & 0o077).toBe(0);
    const lines = text.split('\n').filter((line) => line.startsWith('{'));
    expect(lines.length).toBeGreaterThan(0);
    for (const line of lines) expect(JSON.parse(line)).toHaveProperty('time');
  });
});

describe('the audit', () => {
  it('knows who changed what, with what it was and what it is, and cannot be changed itself', async () => {
    const mara = house.person('Mara');
    await ok(runCommand('set-limits', mara, { place: 'proofer', low: 20, high: 30, minutes: 15 }));
    await ok(runCommand('set-limits', mara, { place: 'proofer', low: 20, high: 31, minutes: 15 }));
    await ok(runCommand('set-limits', mara, { place: 'proofer', low: 20, high: 31, minutes: 15 }));
    const rows = await rowsOf<{ by: number; subject: string; was: string; becomes: string }>(
      house.pool,
      "SELECT person_id AS `by`, subject, was, becomes FROM audit WHERE command = 'set-limits' ORDER BY id",
    );
    const read = (text: unknown) => (typeof text === 'string' ? (JSON.parse(text) as unknown) : text);
    expect(rows).toHaveLength(2);
    expect(rows[1]).toMatchObject({
      by: mara.id,
      subject: asText(coded('record.limitsOf', { place: 'Proofer' })),
    });
    expect([read(rows[1]?.was), read(rows[1]?.becomes)]).toEqual([
      { low: 20, high: 30, minutes: 15 },
      { low: 20, high: 31, minutes: 15 },
    ]);
    await expect(house.pool.query("UPDATE audit SET subject = 'x'")).rejects.toThrow(/not changed/);
    await expect(house.pool.query('DELETE FROM audit')).rejects.toThrow(/not deleted/);
  });
});
