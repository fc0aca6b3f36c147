'use client';

import { createStore, del, entries, set } from 'idb-keyval';
import { v7 as uuidv7 } from 'uuid';
import { type Answer, fateOf, isOpen } from '@/core/wire/answer';
import { ask } from './ask';
import { recordedBy, recordingPerson } from './at-tablet';
import { noAnswer } from './command';
import { sayHere } from './say-here';
import { oneTabAtATime } from './pace';
import { putAside } from './refused';

/** A photo that is not known to have arrived. */
interface Kept {
  personId: number | null;
  doughId: number;
  stepKey: string | null;
  /** When it was taken, by the house's clock. */
  at: number;
  photo: Blob;
}

/** A photo is larger than a tap, and its line may be slow, ms. */
const PATIENCE = 60_000;

const held: { store: ReturnType<typeof createStore> | null } = { store: null };
const store = () => (held.store ??= createStore('hefeteig-photos', 'photos'));

/** Keeps a photo on this tablet until it has arrived, and sends what waits. Says what the house said of the last one. */
export async function keepPhoto(kept: Omit<Kept, 'personId'>): Promise<Answer> {
  await set(uuidv7(), { ...kept, personId: recordingPerson() } satisfies Kept, store());
  return sendPhotos();
}

/**
 * Sends the photos of whoever is signed in that wait, the oldest first. One is let go of when it is stored or refused by
 * the house itself, and that is said; everything else keeps it.
 */
export async function sendPhotos(): Promise<Answer> {
  let last: Answer =
    recordingPerson() === (recordedBy()?.personId ?? null) ? { ok: true, result: null } : noAnswer();
  await oneTabAtATime('hefeteig-photos', async () => {
    const all = await entries<string, Kept>(store());
    const own = all.filter(([, { personId }]) => personId === recordedBy()?.personId);
    for (const [id, kept] of own.sort(([a], [b]) => (a < b ? -1 : 1))) {
      const body = await put(id, kept);
      const fate = fateOf(body, id);
      last = isOpen(fate) ? noAnswer() : (body as Answer);
      if (isOpen(fate) || fate === 'not-theirs') return;
      await del(id, store());
      if (fate === 'refused' && !last.ok)
        await putAside({
          id,
          personId: kept.personId ?? 0,
          at: null,
          about: sayHere('live.photo'),
          message: last.message,
        });
    }
  });
  return last;
}

function put(id: string, { doughId, stepKey, at, photo }: Kept): Promise<unknown> {
  const of = new URLSearchParams({
    ...{ dough: String(doughId), at: String(at) },
    ...(stepKey === null ? {} : { step: stepKey }),
  });
  return ask(`/api/photos/${id}?${of.toString()}`, {
    method: 'PUT',
    body: photo,
    key: id,
    patience: PATIENCE,
  });
}
