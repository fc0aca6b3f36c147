/**
 * The built application behind one port of this machine: pages and answers come from Next, and what never changes (scripts,
 * styles and fonts of the build) from its files as compress.mjs has packed them, the smallest that a browser takes.
 *
 * Plain JavaScript, so that nothing has to be compiled between it and the application. Settings come from the environment:
 * PORT, HEFETEIG_BUILD, and what the application itself asks for. Started by lib/application.ts.
 */
import { createServer } from 'node:http';
import { join } from 'node:path';
import { constants } from 'node:zlib';
import compression from 'compression';
import next from 'next';
import sirv from 'sirv';

/** Where pages ask for the files of their build. */
const FILES = '/_next/static/';
/** How long answers under way may take once the application is told to end, ms: a feed never ends by itself. */
const PATIENCE = 3_000;
/** As quick as gzip, and smaller by a tenth. */
const QUALITY = { [constants.BROTLI_PARAM_QUALITY]: 5 };

const hostname = '127.0.0.1';
const port = Number(process.env.PORT);
const pages = next({ dev: false, hostname, port });
await pages.prepare();
const answer = pages.getRequestHandler();
const files = sirv(join(process.env.HEFETEIG_BUILD ?? '.next', 'static'), {
  ...{ brotli: true, gzip: true, immutable: true, maxAge: 31_536_000 },
  setHeaders: (response) => response.setHeader('X-Content-Type-Options', 'nosniff'),
});
/** What is made for each request is packed as it goes out; a feed goes out line by line. */
const pack = compression({
  brotli: { params: QUALITY },
  filter: (request, response) =>
    !String(response.getHeader('content-type')).startsWith('text/event-stream') &&
    compression.filter(request, response),
});

const server = createServer((request, response) => {
  const { url = '/' } = request;
  if (!url.startsWith(FILES)) return pack(request, response, () => void answer(request, response));
  request.url = url.slice(FILES.length - 1);
  files(request, response, () => {
    request.url = url;
    void answer(request, response);
  });
});
server.on('error', (error) => {
  console.error(error.message);
  process.exit(1);
});
server.listen(port, hostname);

for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    setTimeout(() => server.closeAllConnections(), PATIENCE).unref();
  });
