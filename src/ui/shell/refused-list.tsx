'use client';

import dynamic from 'next/dynamic';
import { useRefused } from '../live/refused';
import type { Somebody } from '../sign-in/names';

// Hardly ever wanted: no page waits for it. Without a line the service worker has it.
const RefusedLines = dynamic(() => import('./refused-lines').then((module) => module.RefusedLines), {
  ssr: false,
});

/**
 * What was recorded on this tablet and could not be kept, each with its reason, until somebody has seen it: whoever is
 * signed in, and after the session too.
 */
export function RefusedList({ people, zone }: { people: readonly Somebody[]; zone: string }) {
  const refused = useRefused();
  return refused.length === 0 ? null : <RefusedLines {...{ refused, people, zone }} />;
}
