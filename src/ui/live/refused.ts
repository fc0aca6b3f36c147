'use client';

import { createStore, del, entries, set } from 'idb-keyval';
import { useEffect, useState } from 'react';

/** Something that was recorded here and will never be stored, until whoever recorded it has seen why. */
export interface RefusedTap {
  id: string;
  personId: number;
  /** When it was recorded, by the house's clock; null where that is not known. */
  at: number | null;
  about: string;
  /** Why, in a sentence. */
  message: string;
}

const held: { store: ReturnType<typeof createStore> | null } = { store: null };
const store = () => (held.store ??= createStore('hefeteig-refused', 'taps'));
const watchers = new Set<() => void>();

async function changed(): Promise<void> {
  for (const watcher of watchers) watcher();
  // The other tabs of this tablet look again too.
  if (typeof BroadcastChannel !== 'undefined') {
    const channel = new BroadcastChannel('hefeteig-refused');
    channel.postMessage(null);
    channel.close();
  }
  return Promise.resolve();
}

/** Puts something aside that was refused for good, with the reason. */
export async function putAside(refused: RefusedTap): Promise<void> {
  await set(refused.id, refused, store());
  await changed();
}

/** Somebody has seen it. */
export async function seen(ids: readonly string[]): Promise<void> {
  for (const id of ids) await del(id, store());
  await changed();
}

/** All that was refused on this tablet and nobody has seen yet, the oldest first. */
export async function allRefused(): Promise<RefusedTap[]> {
  return (await entries<string, RefusedTap>(store()))
    .map(([, one]) => one)
    .sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** All that was refused on this tablet and nobody has seen yet. */
export function useRefused(): readonly RefusedTap[] {
  const [list, setList] = useState<readonly RefusedTap[]>([]);
  useEffect(() => {
    const look = () => void allRefused().then(setList);
    look();
    watchers.add(look);
    const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('hefeteig-refused');
    channel?.addEventListener('message', look);
    return () => {
      watchers.delete(look);
      channel?.close();
    };
  }, []);
  return list;
}
