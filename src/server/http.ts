/** Largest body a command may have; a note is at most a few kilobytes. */
export const LARGEST_BODY = 256 * 1024;

/** Largest body with a file in it: a whole set-up, its quotes escaped. */
export const LARGEST_FILE = 3 * 1024 * 1024;

/** True for a request that a page of this very host has sent. A form on another site is not one. */
export function fromOwnPage(request: Request): boolean {
  const origin = request.headers.get('origin');
  const host = request.headers.get('x-forwarded-host') ?? request.headers.get('host');
  if (!origin || !host) return false;
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

/** The JSON of a request; undefined where it is none or larger than `most` bytes, of which no more is read. */
export async function jsonBody(request: Request, most = LARGEST_BODY): Promise<unknown> {
  const bytes = await limitedBody(request, most);
  if (!bytes) return undefined;
  try {
    return JSON.parse(new TextDecoder().decode(bytes)) as unknown;
  } catch {
    return undefined;
  }
}

/** The body of a request; null where it is larger than `most` bytes. */
export async function limitedBody(request: Request, most: number): Promise<Uint8Array<ArrayBuffer> | null> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return null;
  const parts: Uint8Array[] = [];
  let size = 0;
  // What says nothing of its length is given up where it has become too long.
  for await (const part of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    size += part.length;
    if (size > most) return null;
    parts.push(part);
  }
  const whole = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/** True where any device that can reach this process may show the names: the demo, asked for on this very machine. */
export function letsAnybodyIn({ headers }: { headers: Pick<Headers, 'get'> }): boolean {
  const host = headers.get('host') ?? '';
  return process.env.HEFETEIG_ENROL === 'loopback' && /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/.test(host);
}
