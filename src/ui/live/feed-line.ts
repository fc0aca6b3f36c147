import { SIGNED_OUT } from '@/core/wire/answer';
import type { FloorEvent } from '@/core/record/events';
import { ask } from './ask';
import type { Recorder } from './at-tablet';
import { pauseBefore } from './pace';

/** What the house tells its screens. */
export interface News {
  events: FloorEvent[];
  /** Nothing else has changed that somebody waits for. */
  calm: boolean;
}

/** What becomes of the line. */
interface FeedListener {
  onNews: (news: News) => void;
  onLine: (line: 'open' | 'away') => void;
  /** Nobody is signed in here any more. */
  onOver: () => void;
  /** Who is signed in here, asked when the feed broke off. */
  onSession: (session: Recorder) => void;
}

/** The house is heard every few seconds; after this long without a word the line is taken for gone, ms. */
const SILENCE = 10_000;

/**
 * Listens to the house's feed of changes and comes back by itself from any status, cut, sleep or restart, with growing
 * pauses. The line counts as open only while the house is heard.
 *
 * @param from - how far the house was when the page was made
 * @returns how to stop
 */
export function listenToHouse(from: number, { onNews, onLine, onOver, onSession }: FeedListener): () => void {
  let cursor = from;
  let failures = 0;
  let source: EventSource | null = null;
  let again: ReturnType<typeof setTimeout> | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;
  let heardAt = 0;
  let stopped = false;

  const heard = () => {
    failures = 0;
    heardAt = Date.now();
    onLine('open');
    clearTimeout(silence);
    silence = setTimeout(lost, SILENCE);
  };

  const connect = () => {
    clearTimeout(again);
    source?.close();
    if (stopped) return;
    const own = new EventSource(`/api/feed?from=${cursor}`);
    source = own;
    clearTimeout(silence);
    silence = setTimeout(lost, SILENCE);
    own.addEventListener('beat', heard);
    // The session that it began with has ended; another may have begun in another tab.
    own.addEventListener('over', lost);
    own.onmessage = ({ data, lastEventId }: MessageEvent<string>) => {
      cursor = Number(lastEventId) || cursor;
      heard();
      onNews(JSON.parse(data) as News);
    };
    // The browser would come back from a cut by itself, but not from a status; so neither is left to it.
    own.onerror = lost;
  };

  function lost() {
    source?.close();
    clearTimeout(silence);
    clearTimeout(again);
    if (stopped) return;
    onLine('away');
    failures++;
    again = setTimeout(connect, pauseBefore(failures));
    // A status does not reach us through the feed itself.
    void sessionHere().then((session) => {
      if (stopped || session === undefined) return;
      if (session !== null) return onSession(session);
      stop();
      onOver();
    });
  }

  /** A tablet that wakes up, or whose network is back, does not wait for its pause. */
  const wake = () => {
    if (stopped || document.visibilityState === 'hidden') return;
    if (source?.readyState === EventSource.OPEN && Date.now() - heardAt < SILENCE) return;
    failures = 0;
    connect();
  };

  function stop() {
    stopped = true;
    source?.close();
    clearTimeout(again);
    clearTimeout(silence);
    window.removeEventListener('online', wake);
    document.removeEventListener('visibilitychange', wake);
  }

  window.addEventListener('online', wake);
  document.addEventListener('visibilitychange', wake);
  connect();
  return stop;
}

/** Who is signed in here as the house says; null: nobody; undefined where it is not answered. */
async function sessionHere(): Promise<Recorder | null | undefined> {
  const body = await ask('/api/session', { method: 'GET' });
  const { ok, status, result } = (body ?? {}) as { ok?: unknown; status?: unknown; result?: Recorder };
  if (ok === false && status === SIGNED_OUT) return null;
  return ok === true ? result : undefined;
}
