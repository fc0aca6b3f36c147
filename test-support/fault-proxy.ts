import { createServer, request, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

/** What a bad network did to a request. */
export const MISCHIEFS = ['status', 'foreign', 'swallowed', 'cut-before', 'cut-after'] as const;
export type Mischief = (typeof MISCHIEFS)[number];

export interface FaultProxy {
  address: string;
  /** How often it did what. */
  done: Record<Mischief | 'passed', number>;
  /** Cuts all lines that are open for addresses with this word in them. */
  cut: (word: string) => void;
  close: () => Promise<void>;
}

/** True for a request for data: what a page records, its feed, and itself made anew. */
export const isData = ({ method, url, headers }: IncomingMessage): boolean =>
  method !== 'GET' || url?.startsWith('/api/feed') === true || headers.rsc === '1';

const STATUSES = [500, 502, 503, 429, 403, 408];
/** What others answer in place of the house. */
const FOREIGN = [
  ...['{"error":"rate limited"}', '{"ok":true}', '<html><h1>502 Bad Gateway</h1></html>', '', 'null'],
];

/**
 * A proxy as a bad night has it, between tablets and the application on `target`: it answers some requests itself with a
 * status or with words that are not the house's, swallows some, and cuts some before or after the application has heard
 * them.
 *
 * @param mischiefTo - what it does to a request; undefined: it passes it on
 */
export async function faultProxy(
  target: () => string,
  mischiefTo: (asked: IncomingMessage) => Mischief | undefined,
): Promise<FaultProxy> {
  const done: FaultProxy['done'] = {
    ...{ passed: 0, status: 0, foreign: 0, swallowed: 0 },
    ...{ 'cut-before': 0, 'cut-after': 0 },
  };
  const open = new Set<IncomingMessage>();
  const server = createServer((asked, answer) => {
    open.add(asked);
    answer.on('close', () => open.delete(asked));
    const what = mischiefTo(asked);
    const nth = done[what ?? 'passed']++;
    const foreign = FOREIGN[nth % FOREIGN.length] ?? '';
    if (what === 'status') return end(answer, STATUSES[nth % STATUSES.length] ?? 500, foreign);
    if (what === 'foreign') return end(answer, 200, foreign);
    if (what === 'cut-before') return void asked.socket.destroy();
    pass(target(), asked, answer, what);
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.address() as AddressInfo;
  return {
    ...{ address: `http://127.0.0.1:${port}`, done },
    cut: (word) => {
      for (const { url, socket } of open) if (url?.includes(word)) socket.destroy();
    },
    close: () =>
      new Promise((closed) => {
        server.close(() => closed());
        server.closeAllConnections();
      }),
  };
}

function end(answer: ServerResponse, status: number, body: string): void {
  answer.writeHead(status, { 'content-type': body.startsWith('<') ? 'text/html' : 'application/json' });
  answer.end(body);
}

function pass(
  target: string,
  asked: IncomingMessage,
  answer: ServerResponse,
  what: Mischief | undefined,
): void {
  const { hostname, port } = new URL(target);
  const sent = request(
    { hostname, port, path: asked.url, method: asked.method, headers: asked.headers },
    (got) => {
      // The application has heard it; its answer never comes, or the line is cut in the middle.
      if (what === 'swallowed') return void got.resume();
      if (what === 'cut-after') return void asked.socket.destroy();
      answer.writeHead(got.statusCode ?? 502, got.headers);
      got.pipe(answer);
      got.on('error', () => answer.destroy());
    },
  );
  // Nobody listens behind it: as a proxy says so.
  sent.on('error', () => {
    if (answer.headersSent) answer.destroy();
    else end(answer, 502, '<html><h1>502 Bad Gateway</h1></html>');
  });
  answer.on('close', () => sent.destroy());
  asked.pipe(sent);
}
