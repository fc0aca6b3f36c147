'use client';

/** What a command answered. `message`: a sentence for the person; `field`: where it belongs. */
export type CommandAnswer =
  | { ok: true; result: unknown }
  | {
      ok: false;
      status: number;
      message: string;
      field: string | null;
      offer: Record<string, unknown> | null;
    };

const AWAY: CommandAnswer = {
  ok: false,
  status: 0,
  message: 'The bakery’s computer does not answer. Nothing was changed; try again in a moment.',
  field: null,
  offer: null,
};

async function post(path: string, input: unknown): Promise<CommandAnswer> {
  try {
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(input),
    });
    return (await answer.json()) as CommandAnswer;
  } catch {
    return AWAY;
  }
}

/** Sends a command to the house. */
export function send(command: string, input: unknown): Promise<CommandAnswer> {
  return post(`/api/commands/${command}`, input);
}

/** Signs in with a PIN. */
export function signIn(personId: number, pin: string): Promise<CommandAnswer> {
  return post('/api/session', { personId, pin });
}

/** Signs out on this device. */
export async function signOut(): Promise<void> {
  await fetch('/api/session', { method: 'DELETE' });
}
