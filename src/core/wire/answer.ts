/** What a command answered: done, or a refusal in a sentence, with the field it belongs to and what could be done instead. */
export type Answer = (
  | { ok: true; result: unknown }
  | {
      ok: false;
      status: number;
      message: string;
      field: string | null;
      offer: Record<string, unknown> | null;
    }
) & {
  /** The number that the page gave what it sent: the answer is to that, and comes from the application itself. */
  to?: string;
};

/** A command said no, for good: with the same words it would say no again. */
export const REFUSED = 422;
/** What was sent belongs to somebody else than who is signed in on this tablet now. */
export const OF_SOMEBODY_ELSE = 409;
/** Nobody is signed in. */
export const SIGNED_OUT = 401;

/**
 * What becomes of something that waits on a tablet:
 *
 * - `stored`: it is kept by the server, and the tablet may let go of it
 * - `refused`: the command itself said no; whoever recorded it has to see why
 * - `not-theirs`: it waits for the PIN of whoever recorded it
 * - `failed`: the house has read it and could not do it, or may not now; it is sent again later
 * - `again`: anything else, however it looks; it is sent again later
 */
export type Fate = 'stored' | 'refused' | 'not-theirs' | 'failed' | 'again';

/**
 * Reads the fate of what was sent under `id` from whatever came back. Only an answer to that very id counts: a proxy, a
 * captive portal or an older page may answer anything, in JSON too.
 *
 * @example
 * fateOf({ ok: true, result: null, to: 'a' }, 'a'); // 'stored'
 * fateOf({ ok: true, result: null }, 'a'); // 'again'
 * fateOf({ error: 'rate limited' }, 'a'); // 'again'
 */
export function fateOf(body: unknown, id: string): Fate {
  if (typeof body !== 'object' || body === null) return 'again';
  const { ok, status, to } = body as { ok?: unknown; status?: unknown; to?: unknown };
  if (to !== id) return 'again';
  if (ok === true) return 'stored';
  if (ok !== false) return 'again';
  if (status === REFUSED) return 'refused';
  if (status === OF_SOMEBODY_ELSE || status === SIGNED_OUT) return 'not-theirs';
  return 'failed';
}

/** Nothing is known of it: it stays, and is sent again. */
export const isOpen = (fate: Fate): boolean => fate === 'again' || fate === 'failed';
