import { createServer } from 'node:net';

function tryPort(port: number): Promise<number | null> {
  return new Promise((done) => {
    const server = createServer();
    server.once('error', () => done(null));
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => done(typeof address === 'object' && address ? address.port : null));
    });
  });
}

/** A port on loopback that nobody uses. */
export async function freePort(): Promise<number> {
  const port = await tryPort(0);
  if (port === null) throw new Error('No port on 127.0.0.1 is free.');
  return port;
}

/** `wanted`, or the next one that is free. */
export async function freePortFrom(wanted: number): Promise<number> {
  for (let port = wanted; port < wanted + 100; port++) if ((await tryPort(port)) !== null) return port;
  throw new Error(`No port from ${wanted} to ${wanted + 99} is free on 127.0.0.1.`);
}
