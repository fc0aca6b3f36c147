'use client';

import { setNonce } from 'get-nonce';
import { useState } from 'react';

/**
 * Gives the styles that sheets write while they are open the nonce of the page: the content security policy lets no others
 * in. The document keeps the one that it was loaded with, however often the page is made anew.
 */
export function StyleNonce({ nonce }: { nonce: string }) {
  useState(() => setNonce(nonce));
  return null;
}
