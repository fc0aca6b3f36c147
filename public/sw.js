// Keeps the floor's pages at hand, so that a reload without a line shows them as they were last seen. What was recorded
// meanwhile waits in the browser's database (src/ui/live/outbox.ts).
const PAGES = 'hefeteig-pages-1';
const PARTS = 'hefeteig-parts-1';
const FLOOR = ['/bench', '/proof', '/oven', '/handover'];
const PATIENCE = 4000;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('message', (event) => {
  // Whoever signs out leaves nothing to see behind.
  if (event.data === 'signed-out') event.waitUntil(caches.delete(PAGES));
  if (event.data === 'keep-parts') event.waitUntil(keepParts());
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  // A worker reads what it is for from its own address, which an answer from here would take away.
  if (request.destination === 'worker') return;
  if (url.pathname.startsWith('/_next/static/')) event.respondWith(part(request));
  else if (request.mode === 'navigate' && FLOOR.includes(url.pathname)) event.respondWith(page(request, url));
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
  const pages = await caches.open(PAGES);
  for (const { url } of await pages.keys()) {
    const page = await fetch(url).catch(() => null);
    if (page?.ok && !page.redirected) await pages.put(new URL(url).pathname, page);
    else return;
  }
  for (const path of old) await cache.delete(path);
}

/** The page from the house where it answers soon, as it was last seen otherwise. */
async function page(request, { pathname }) {
  const cache = await caches.open(PAGES);
  const asked = fetch(request).then(async (answer) => {
    if (answer.ok && !answer.redirected) await cache.put(pathname, answer.clone());
    return answer;
  });
  const known = await cache.match(pathname);
  if (!known) return asked;
  const soon = new Promise((resolve) => setTimeout(() => resolve(known), PATIENCE));
  return Promise.race([asked.catch(() => known), soon]);
}
