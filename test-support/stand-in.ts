import { beforeEach, vi } from 'vitest';

/** Why the house does not do something, as it answers. */
interface Refused {
  message: string;
  field?: string;
  offer?: Record<string, unknown>;
}

/**
 * The house as a screen knows it, anew for each test: what was sent to it, in order, and what it answers. It does all that it
 * is told, unless a refusal lies ready; each is given once.
 */
export function standInHouse() {
  const house = {
    sent: [] as { command: string; input: Record<string, unknown> }[],
    /** What comes of what it does. */
    result: null as unknown,
    refuse: (...told: Refused[]) => void refusals.push(...told),
  };
  let refusals: Refused[] = [];
  beforeEach(() => {
    Object.assign(house, { sent: [], result: null });
    refusals = [];
    vi.stubGlobal(
      'fetch',
      (path: string, { body, headers }: { body: string; headers: Record<string, string> }) => {
        const input = JSON.parse(body) as Record<string, unknown>;
        house.sent.push({ command: path.replace('/api/commands/', ''), input });
        const no = refusals.shift();
        const answer = no
          ? { ok: false, status: 422, field: null, offer: null, ...no }
          : { ok: true, result: house.result };
        const to = headers['idempotency-key'];
        return Promise.resolve({ json: () => Promise.resolve({ ...answer, to }) });
      },
    );
  });
  return house;
}
