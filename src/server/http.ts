/** Largest body a command may have; a note is at most a few kilobytes. */
export const LARGEST_BODY = 256 * 1024;

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

/** The JSON of a request; undefined where it is none or too large. */
export async function jsonBody(request: Request): Promise<unknown> {
  const text = await request.text();
  if (text.length > LARGEST_BODY) return undefined;
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}
