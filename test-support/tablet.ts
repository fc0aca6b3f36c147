import { PEOPLE } from '@/server/demo/bakery';

/** Sends to an application as a page of its own would. */
export function post(
  address: string,
  cookie: string,
  path: string,
  body: unknown,
  patience = 20_000,
): Promise<Response> {
  return fetch(address + path, {
    method: 'POST',
    headers: { origin: address, 'content-type': 'application/json', cookie },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(patience),
  });
}

const cookieOf = (answer: Response): string =>
  answer.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0])
    .join('; ');

/** Lets a new device in; returns the cookie that it has from then on. */
export async function enrolled(address: string): Promise<string> {
  return cookieOf(await post(address, '', '/api/tablet', {}));
}

/** Signs somebody of the demo in on a device of their own; returns its cookies. */
export async function sessionOf(address: string, name: string, tablet?: string): Promise<string> {
  const personId = 1 + PEOPLE.findIndex((person) => person.name === name);
  const device = tablet ?? (await enrolled(address));
  const session = await post(address, device, '/api/session', { personId, pin: PEOPLE[personId - 1]?.pin });
  if (!session.ok) throw new Error(`${name} could not sign in: ${await session.text()}`);
  return `${device}; ${cookieOf(session)}`;
}

/** Listens to an application's feed: what it has said so far, and how to stop. `from`: the last cursor that was seen. */
export async function listen(
  address: string,
  cookie: string,
  from?: number,
): Promise<{ heard: string[]; stop: () => void }> {
  const leave = new AbortController();
  const answer = await fetch(`${address}/api/feed${from === undefined ? '' : `?from=${from}`}`, {
    headers: { cookie },
    signal: leave.signal,
  });
  const heard: string[] = [];
  const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader();
  const read = async () => {
    for (let part = await reader?.read(); part && !part.done; part = await reader?.read())
      heard.push(part.value);
  };
  // It ends when the listener leaves or the application dies; what was heard until then is what counts.
  read().catch(() => undefined);
  return { heard, stop: () => leave.abort() };
}
