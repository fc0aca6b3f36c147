'use client';

import dynamic from 'next/dynamic';
import type { SheetProps } from './sheet-paper';

// Fetched when the first one opens: no page waits for it. Without a line the service worker has it.
const SheetPaper = dynamic(() => import('./sheet-paper'), { ssr: false });

/** A sheet of paper over the work. */
export function Sheet(props: SheetProps) {
  return props.open ? <SheetPaper {...props} /> : null;
}
