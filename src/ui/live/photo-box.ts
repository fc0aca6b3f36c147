'use client';

import { createStore, del, entries, set } from 'idb-keyval';
import { v7 as uuidv7 } from 'uuid';
import type { Answer } from '@/core/floor/answer';
import { recordingPerson, sessionPerson } from './at-tablet';
import { AWAY } from './command';

/** A photo that is not known to have arrived. */
interface Kept {
  personId: number | null;
  doughId: number;
  stepKey: string | null;
  photo: Blob;
}

const held: { store: ReturnType<typeof createStore> | null } = { store: null };
const store = () => (held.store ??= createStore('hefeteig-photos', 'photos'));

/** Keeps a photo on this tablet until it has arrived, and sends what waits. Says what the house said of the last one. */
export async function keepPhoto(kept: Omit<Kept, 'personId'>): Promise<Answer> {
  await set(uuidv7(), { ...kept, personId: recordingPerson() } satisfies Kept, store());
  return sendPhotos();
}

/** Sends the photos of whoever is signed in that wait, oldest first; what is refused is given up with its sentence, what nobody answers stays. */
export async function sendPhotos(): Promise<Answer> {
  let last: Answer = { ok: true, result: null };
  const waiting = (await entries<string, Kept>(store())).filter(
    ([, { personId }]) => personId === sessionPerson(),
  );
  if (waiting.length === 0 && recordingPerson() !== sessionPerson()) return AWAY;
  for (const [id, kept] of waiting.sort(([a], [b]) => (a < b ? -1 : 1))) {
    last = await put(id, kept);
    if (!last.ok && (last.status === 0 || last.status === 401 || last.status >= 500)) return last;
    await del(id, store());
    if (!last.ok) return last;
  }
  return last;
}

async function put(id: string, { doughId, stepKey, photo }: Kept): Promise<Answer> {
  const of = new URLSearchParams({ dough: String(doughId), ...(stepKey === null ? {} : { step: stepKey }) });
  try {
    const answer = await fetch(`/api/photos/${id}?${of.toString()}`, { method: 'PUT', body: photo });
    return (await answer.json()) as Answer;
  } catch {
    return AWAY;
  }
}
