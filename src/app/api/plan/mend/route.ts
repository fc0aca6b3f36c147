import { Refusal } from '@/server/commands/command';
import { refused, runCommand } from '@/server/commands/run';
import { signedIn } from '@/server/auth/session';
import { fromOwnPage, jsonBody } from '@/server/http';

/** Searches that somebody waits for, by the number that their page gave them. */
const held = globalThis as { hefeteigMends?: Map<string, AbortController> };

/** Shortest time between two lines of progress, ms. */
const APART = 150;

/**
 * Works out a mend and tells how far it is, a line of JSON at a time: `{ points, late }` for each better plan, and the
 * answer of the command `propose-mend` last. `{ stop: job }` ends a search with the best so far; leaving the page does too.
 */
export async function POST(request: Request): Promise<Response> {
  if (!fromOwnPage(request))
    return Response.json(refused(403, new Refusal('This came from another site.')), { status: 403 });
  const person = await signedIn();
  if (!person) return Response.json(refused(401, new Refusal('You are signed out.')), { status: 401 });
  const asked = (await jsonBody(request)) as { job?: unknown; stop?: unknown; seconds?: unknown } | undefined;
  const mends = (held.hefeteigMends ??= new Map<string, AbortController>());
  if (typeof asked?.stop === 'string') {
    mends.get(asked.stop)?.abort();
    return Response.json({ ok: true });
  }
  const job = typeof asked?.job === 'string' ? asked.job : crypto.randomUUID();
  const stop = new AbortController();
  mends.set(job, stop);
  request.signal.addEventListener('abort', () => stop.abort());
  const text = new TextEncoder();
  const stream = new ReadableStream({
    async start(lines) {
      let told = 0;
      const say = (line: unknown) => {
        // Nobody listens any more: the search is stopped, and what it found is kept as a proposal all the same.
        if (!request.signal.aborted) lines.enqueue(text.encode(`${JSON.stringify(line)}\n`));
      };
      const onBetter = (points: number, late: number) => {
        if (Date.now() - told < APART) return;
        told = Date.now();
        say({ points, late });
      };
      const input = asked?.seconds === undefined ? {} : { seconds: asked.seconds };
      try {
        say(await runCommand('propose-mend', person, input, { onBetter, signal: stop.signal }));
      } catch (error) {
        console.error('plan mend:', error);
        say(refused(500, new Refusal('Something went wrong in the house; nothing was changed. Try again.')));
      }
      mends.delete(job);
      if (!request.signal.aborted) lines.close();
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
  });
}
