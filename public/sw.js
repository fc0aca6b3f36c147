// Keeps the floor's pages at hand, so that a reload without a line shows them as they were last seen. What was recorded
// meanwhile waits in the browser's database (src/ui/live/outbox.ts).
const PAGES = 'hefeteig-pages-2';
const PARTS = 'hefeteig-parts-1';
const FLOOR = ['/bench', '/proof', '/oven', '/handover', '/batches', '/wall'];
/** Pages that nobody has opened are fetched anew after so long, ms. */
const FRESH = 10 * 60 * 1000;
const FETCHED = '/pages-fetched';
const PATIENCE = 4000;
/** Whose page was shown last: only theirs are shown again. */
const LAST = '/last-person';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(begin()));

async function begin() {
  const names = await caches.keys();
  const old = names.filter((name) => name.startsWith('hefeteig-pages') && name !== PAGES);
  await Promise.all(old.map((name) => caches.delete(name)));
  await self.clients.claim();
}

self.addEventListener('message', (event) => {
  if (event.data === 'keep-parts') event.waitUntil(keepParts().then(keepFloor));
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  // A worker reads what it is for from its own address, which an answer from here would take away.
  if (request.destination === 'worker') return;
  if (url.pathname.startsWith('/_next/static/')) event.respondWith(part(request));
  else if (request.mode === 'navigate' && !url.pathname.startsWith('/api/'))
    event.respondWith(page(request, url));
});

/** Parts of the application have their contents in their names: what is known is right. */
async function part(request) {
  const cache = await caches.open(PARTS);
  const known = await cache.match(request);
  if (known) return known;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request, answer.clone());
  return answer;
}

/** Fetches the parts of this version that are not at hand yet, and lets go of those of earlier ones. */
async function keepParts() {
  const answer = await fetch('/api/parts').catch(() => null);
  if (!answer?.ok) return;
  const parts = await answer.json();
  const cache = await caches.open(PARTS);
  const known = new Set((await cache.keys()).map(({ url }) => new URL(url).pathname));
  for (const path of parts.filter((one) => !known.has(one))) {
    // One at a time: what somebody is waiting for goes first. What fails comes with the next page.
    const part = await fetch(path).catch(() => null);
    if (part?.ok) await cache.put(path, part);
  }
  const wanted = new Set(parts);
  const old = [...known].filter((path) => path.endsWith('.js') && !wanted.has(path));
  if (old.length === 0) return;
  // Pages of an earlier version would look for its parts.
  const again = await Promise.all(FLOOR.map((path) => fetch(path).catch(() => null)));
  if (again.some((page) => !page?.ok || page.redirected)) return;
  await caches.delete(PAGES);
  for (const [i, page] of again.entries()) await keep(FLOOR[i], page);
  for (const path of old) await cache.delete(path);
}

/** Fetches the floor's pages, so that each opens without a line whether or not somebody has opened it before. */
async function keepFloor() {
  const cache = await caches.open(PAGES);
  const [last, fetched] = await Promise.all([cache.match(LAST), cache.match(FETCHED)]);
  const of = last ? await last.text() : '';
  const [who, at] = fetched ? (await fetched.text()).split(' ') : [];
  if (who === of && Date.now() - Number(at) < FRESH) return;
  for (const path of FLOOR) {
    // One at a time: what somebody is waiting for goes first.
    const page = await fetch(path).catch(() => null);
    if (page?.ok && !page.redirected) await keep(path, page);
  }
  const now = await cache.match(LAST);
  if (now) await cache.put(FETCHED, new Response(`${await now.text()} ${Date.now()}`));
}

/** Keeps a page for whoever it was made for; returns whether it is one of ours. */
async function keep(path, answer) {
  const [, person] = /data-person="(\d+)"/.exec(await answer.clone().text()) ?? [];
  if (person === undefined) return false;
  const cache = await caches.open(PAGES);
  await cache.put(LAST, new Response(person));
  await cache.put(`${path}?person=${person}`, answer);
  return true;
}

/** The page as whoever was here last has seen it last; undefined where there is none. */
async function kept(path) {
  const cache = await caches.open(PAGES);
  const last = await cache.match(LAST);
  return last && cache.match(`${path}?person=${await last.text()}`);
}

/** The house shows a page, leads to another one, or says that there is none; any other status is not its own. */
const isWhole = (answer) => answer.ok || answer.type === 'opaqueredirect' || answer.status === 404;

/** The page from the house where it answers soon, as it was last seen otherwise. */
async function page(request, { pathname }) {
  const isFloor = FLOOR.includes(pathname);
  const asked = fetch(request).then(async (answer) => {
    if (!isWhole(answer)) throw new Error(`answered ${answer.status}`);
    if (isFloor && answer.ok && !answer.redirected && !(await keep(pathname, answer.clone())))
      throw new Error('answered with a page of somebody else');
    return answer;
  });
  const known = isFloor ? await kept(pathname) : undefined;
  if (!known) return asked.catch(() => waiting());
  const soon = new Promise((resolve) => setTimeout(() => resolve(known), PATIENCE));
  return Promise.race([asked.catch(() => known), soon]);
}

/** Stands in for a page that nobody answers, and asks for it again by itself. */
function waiting() {
  const html = `<!doctype html><html lang="en"><meta charset="utf-8"><meta http-equiv="refresh" content="4">
<meta name="viewport" content="width=device-width, initial-scale=1"><title>Hefeteig</title>
<style>body{font:20px/1.5 sans-serif;max-width:36em;margin:4em auto;padding:0 1em}</style>
<h1>The bakery’s computer is not answering</h1>
<p>What was recorded on this tablet is kept here and sent later. This page keeps trying.</p>
<p><a href="/bench">Go to the bench</a></p></html>`;
  return new Response(html, {
    status: 503,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'cache-control': 'no-store',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
    },
  });
}
