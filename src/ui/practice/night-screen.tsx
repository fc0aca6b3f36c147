'use client';

import dynamic from 'next/dynamic';

/** A practice night goes on from what this tablet itself remembers of it, which no page that is made elsewhere can know. */
export const NightScreen = dynamic(() => import('./night-view').then((module) => module.NightView), {
  ssr: false,
  loading: () => <main className="flex-1" />,
});
