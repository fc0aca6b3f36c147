import { coded } from '@/core/codes/coded';
import type { Answer } from '@/core/wire/answer';
import { runCommand } from '@/server/commands/run';
import { inWords, no, reply, whoMay } from '@/server/door';
import { languageHere } from '@/server/reader';
import { fromOwnPage, jsonBody } from '@/server/http';
import { log } from '@/server/log';

/** Searches that somebody waits for, by the number that their page gave them, and who that is. */
interface Job {
  personId: number;
  stop: AbortController;
}
const held = globalThis as { hefeteigMends?: Map<string, Job> };

/** Shortest time between two lines of progress, ms. */
const APART = 150;

/**
 * Works out a mend and tells how far it is, a line of JSON at a time: `{ before }` while searches of others go first,
 * `{ points, late }` for each better plan, and the answer of the command `propose-mend` last. `{ stop: job }` ends a
 * search with the best so far, for whoever began it and for planners; leaving the page does too.
 */
export async function POST(request: Request): Promise<Response> {
  if (!fromOwnPage(request)) return reply(no(403, coded('refusals.thisCameFromAnotherSite')), undefined);
  const here = await whoMay('POST /api/plan/mend');
  if ('ok' in here) return reply(here, undefined);
  const { person, sessionId } = here;
  const asked = (await jsonBody(request)) as { job?: unknown; stop?: unknown; seconds?: unknown } | undefined;
  const jobs = (held.hefeteigMends ??= new Map<string, Job>());
  if (typeof asked?.stop === 'string') {
    const job = jobs.get(asked.stop);
    if (job && job.personId !== person.id && person.role !== 'planner')
      return reply(no(403, coded('refusals.somebodyElseIsWorkingThisOut')), undefined);
    job?.stop.abort();
    return reply({ ok: true, result: null }, undefined);
  }
  const number = typeof asked?.job === 'string' ? asked.job : crypto.randomUUID();
  if (jobs.has(number)) return reply(no(409, coded('refusals.thisIsBeingWorkedOutAlready')), undefined);
  const language = await languageHere();
  const stop = new AbortController();
  jobs.set(number, { personId: person.id, stop });
  request.signal.addEventListener('abort', () => stop.abort());
  const text = new TextEncoder();
  const stream = new ReadableStream({
    async start(lines) {
      let told = 0;
      const say = (line: Answer | { before: number } | { points: number; late: number }) => {
        // Nobody listens any more: the search is stopped, and what it found is kept as a proposal all the same.
        if (!request.signal.aborted) lines.enqueue(text.encode(`${JSON.stringify(line)}\n`));
      };
      const onBetter = (points: number, late: number) => {
        if (Date.now() - told < APART) return;
        told = Date.now();
        say({ points, late });
      };
      const onQueue = (before: number) => say({ before });
      const input = asked?.seconds === undefined ? {} : { seconds: asked.seconds };
      try {
        const live = { onBetter, onQueue, signal: stop.signal };
        say(await runCommand('propose-mend', person, input, { live, sessionId, language }));
      } catch (error) {
        log.error({ err: error }, 'mend failed');
        say(await inWords(no(500, coded('refusals.somethingWentWrongOnTheBakery'))));
      } finally {
        jobs.delete(number);
      }
      if (!request.signal.aborted) lines.close();
    },
  });
  return new Response(stream, {
    headers: {
      'content-type': 'application/x-ndjson',
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
    },
  });
}
