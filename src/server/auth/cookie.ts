import { createHmac, timingSafeEqual } from 'node:crypto';
import { cookies } from 'next/headers';
import { secrets } from './secrets';

/** What the browser keeps for us: who is signed in, and which tablet it is. */
type Kind = 'session' | 'tablet';

/** Behind HTTPS cookies are bound to this very host and never travel in the open. */
const https = () => process.env.HEFETEIG_HTTPS === '1';
const nameOf = (kind: Kind) => `${https() ? '__Host-' : ''}hefeteig${kind === 'tablet' ? '-tablet' : ''}`;
const signature = (kind: Kind, token: string, key: string) =>
  createHmac('sha256', key).update(`${kind}.${token}`).digest('base64url');

/** A token with its signature, as the cookie holds it. */
export const signed = (kind: Kind, token: string): string =>
  `${token}.${signature(kind, token, secrets().sessionKeys[0])}`;

/** The token of a signed one, or null where none of our keys has signed it. */
export function unsigned(kind: Kind, text: string): string | null {
  const [token = '', given = ''] = text.split('.');
  const is = (key: string) => {
    const [a, b] = [Buffer.from(signature(kind, token, key)), Buffer.from(given)];
    return a.length === b.length && timingSafeEqual(a, b);
  };
  return secrets().sessionKeys.some(is) ? token : null;
}

/** The token that the browser sent, or null. */
export async function tokenIn(kind: Kind): Promise<string | null> {
  const text = (await cookies()).get(nameOf(kind))?.value;
  return text === undefined ? null : unsigned(kind, text);
}

/** Longest time that a browser keeps a cookie, s; whether it still counts is decided in the database. */
const KEEP_SECONDS = { session: 14 * 24 * 3600, tablet: 400 * 24 * 3600 };

/** Gives the browser something to keep that no script reads and no other site sends; for 0 s: takes it back. */
export async function give(name: string, value: string, maxAge: number): Promise<void> {
  const bound = { httpOnly: true, sameSite: 'strict', secure: https(), path: '/' } as const;
  (await cookies()).set(name, value, { ...bound, maxAge });
}

/** Gives the browser a token to keep. */
export const giveToken = (kind: Kind, token: string): Promise<void> =>
  give(nameOf(kind), signed(kind, token), KEEP_SECONDS[kind]);

/** Takes the token back. */
export const takeToken = (kind: Kind): Promise<void> => give(nameOf(kind), '', 0);
