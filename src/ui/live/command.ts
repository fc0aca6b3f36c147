'use client';

import type { Answer } from '@/core/floor/answer';

const AWAY: Answer = {
  ok: false,
  status: 0,
  message: 'The bakery’s computer does not answer. Nothing was changed; try again in a moment.',
  field: null,
  offer: null,
};

async function post(path: string, input: unknown): Promise<Answer> {
  try {
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(input),
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

/** Signs out on this device. */
export async function signOut(): Promise<void> {
  await fetch('/api/session', { method: 'DELETE' });
}
