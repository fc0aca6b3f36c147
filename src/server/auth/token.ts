import { createHash } from 'node:crypto';

/** A device's token as it is kept: long random tokens need no salt. */
export const tokenHash = (token: string) => createHash('sha256').update(token).digest('hex');
