import { recordedBy, type Recorder } from './at-tablet';

/** How long a request may take before it counts as not answered, ms. */
export const PATIENCE = 7_000;

/** Longest message that a browser still sends when its page is left, by the fetch standard 64 KiB for all under way. */
const KEPT_ALIVE = 30_000;

/** What is asked of the house. */
export interface HouseRequest {
  method?: 'GET' | 'POST' | 'PUT' | 'DELETE';
  /** Sent as JSON, or a file as it is. */
  body?: unknown;
  /** The number under which it is done once, however often it is sent. */
  key?: string;
  /** Who recorded it; left out, whoever this page was made for. */
  by?: Recorder | null;
  /** ms */
  patience?: number;
}

/**
 * Asks the house something, for a limited time.
 *
 * @returns what came back as JSON; undefined where nobody answered in time or the answer was none
 */
export async function ask(path: string, asked: HouseRequest = {}): Promise<unknown> {
  const { method = 'POST', body, key, by = recordedBy(), patience = PATIENCE } = asked;
  const isFile = body instanceof Blob;
  const text = body === undefined || isFile ? undefined : JSON.stringify(body);
  const signal = AbortSignal.timeout(patience);
  try {
    const answer = await fetch(path, {
      method,
      headers: {
        ...(text === undefined ? {} : { 'content-type': 'application/json' }),
        ...(key === undefined ? {} : { 'idempotency-key': key }),
        ...(by ? { 'x-recorded-by': `${by.personId}/${by.sessionId}` } : {}),
      },
      ...(isFile ? { body } : text === undefined ? {} : { body: text }),
      // A tap just before somebody opens another page is sent all the same.
      keepalive: (text?.length ?? 0) < KEPT_ALIVE && !isFile,
      signal,
    });
    return (await answer.json()) as unknown;
  } catch {
    return undefined;
  }
}
