import { coded } from '@/core/codes/coded';
import { no, reply, whoMay } from '@/server/door';
import { hasRoom, newestChange, onChange, type News } from '@/server/feed';

/** A message at least so often, ms: a screen that hears nothing for longer knows that its line is gone. */
const BEAT = 4_000;
/** What may wait on a line that is read too slowly, bytes; a screen beyond that is dropped and comes back. */
const BACKLOG = 256 * 1024;

/**
 * Server-sent feed of changes: one message for each cursor reached, with what was recorded on the floor. A browser that
 * comes back says the last cursor it saw (`?from=`) and is told at once if it has missed something. `event: over` says
 * that the session has ended.
 */
export async function GET(request: Request): Promise<Response> {
  const here = await whoMay('GET /api/feed');
  if ('ok' in here) return reply(here, undefined);
  const { sessionId } = here;
  if (!hasRoom(sessionId)) return reply(no(429, coded('refusals.tooManyScreensAreOpenHere')), undefined);
  const from = Number(new URL(request.url).searchParams.get('from') ?? Number.NaN);
  const newest = await newestChange();
  const text = new TextEncoder();
  let stop = () => {};
  const stream = new ReadableStream<Uint8Array>(
    {
      start(controller) {
        let told = Number.isInteger(from) ? from : newest;
        let open = true;
        const close = () => {
          if (!open) return;
          open = false;
          stop();
          controller.close();
        };
        const say = (message: string) => {
          if (!open) return;
          if ((controller.desiredSize ?? 0) <= 0) return close();
          controller.enqueue(text.encode(message));
        };
        const tell = ({ cursor, ...news }: News) => {
          if (cursor <= told) return;
          told = cursor;
          say(`id: ${cursor}\ndata: ${JSON.stringify(news)}\n\n`);
        };
        const end = () => {
          say('event: over\ndata: \n\n');
          close();
        };
        const off = onChange({ sessionId, tell, end });
        const beat = setInterval(() => say('event: beat\ndata: \n\n'), BEAT);
        stop = () => {
          off();
          clearInterval(beat);
        };
        say('event: beat\ndata: \n\n');
        tell({ cursor: newest, events: [], calm: false });
        if (request.signal.aborted) close();
        else request.signal.addEventListener('abort', close);
      },
      cancel: () => stop(),
    },
    new ByteLengthQueuingStrategy({ highWaterMark: BACKLOG }),
  );
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store, no-transform',
      // Proxies that buffer would keep news back.
      'x-accel-buffering': 'no',
    },
  });
}
