import { createHash, randomBytes } from 'node:crypto';

/** A new token: long and random, so that it needs no salt. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** A token as it is kept. */
export const tokenHash = (token: string) => createHash('sha256').update(token).digest('hex');
