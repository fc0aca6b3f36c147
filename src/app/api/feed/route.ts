import { signedIn } from '@/server/auth/session';
import { newestChange, onChange, type News } from '@/server/feed';

const BREATH = 20_000;

/**
 * Server-sent feed of changes: one message for each cursor reached, with what was recorded on the floor. A browser that comes back sends the last cursor it
 * saw (`Last-Event-ID`) and is told at once if it has missed something.
 */
export async function GET(request: Request): Promise<Response> {
  if (!(await signedIn())) return new Response('Sign in first.', { status: 401 });
  const seen = Number(request.headers.get('last-event-id') ?? Number.NaN);
  const newest = await newestChange();
  const text = new TextEncoder();
  let stop = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      let told = Number.isNaN(seen) ? newest : seen;
      const tell = ({ cursor, ...news }: News) => {
        if (cursor <= told) return;
        told = cursor;
        controller.enqueue(text.encode(`id: ${cursor}\ndata: ${JSON.stringify(news)}\n\n`));
      };
      controller.enqueue(text.encode('retry: 1000\n\n'));
      tell({ cursor: newest, events: [], calm: false });
      const off = onChange(tell);
      const breath = setInterval(() => controller.enqueue(text.encode(': still here\n\n')), BREATH);
      stop = () => {
        off();
        clearInterval(breath);
      };
      request.signal.addEventListener('abort', () => {
        stop();
        controller.close();
      });
    },
    cancel: () => stop(),
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}
