'use client';

import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** False while a page is made on the house's computer and comes to life, true from then on. */
export const useInBrowser = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
