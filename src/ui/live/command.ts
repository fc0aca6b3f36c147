'use client';

import type { Answer } from '@/core/floor/answer';

/** Nobody answered. */
export const AWAY: Answer = {
  ok: false,
  status: 0,
  message: 'The bakery’s computer does not answer. Nothing was changed; try again in a moment.',
  field: null,
  offer: null,
};

/** Longest message that a browser still sends when its page is left, by the fetch standard 64 KiB for all under way. */
const KEPT_ALIVE = 30_000;

async function post(path: string, input: unknown): Promise<Answer> {
  try {
    const body = JSON.stringify(input);
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
      // A tap just before somebody opens another page is sent all the same.
      keepalive: body.length < KEPT_ALIVE,
    });
    return (await answer.json()) as Answer;
  } catch {
    return AWAY;
  }
}

/** Sends a command to the house. */
export function send(command: string, input: unknown): Promise<Answer> {
  return post(`/api/commands/${command}`, input);
}

/** Signs in with a PIN. */
export function signIn(personId: number, pin: string): Promise<Answer> {
  return post('/api/session', { personId, pin });
}

/** Gives up the right to record on this device, and goes on showing. */
export async function rest(): Promise<void> {
  await fetch('/api/session', { method: 'PUT' });
}

/** Signs out on this device. */
export async function signOut(): Promise<void> {
  await fetch('/api/session', { method: 'DELETE' });
  navigator.serviceWorker?.controller?.postMessage('signed-out');
}
