'use client';

import { setNonce } from 'get-nonce';

/**
 * Gives the styles that sheets write while they are open the nonce of the page: the content security policy lets no others
 * in.
 */
export function StyleNonce({ nonce }: { nonce: string }) {
  setNonce(nonce);
  return null;
}
