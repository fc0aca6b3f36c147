import { pauseBefore } from './pace';

/**
 * How long a page may take to be made anew before it counts as failed, ms: the first time, and at the most. Longer each
 * time, so that a house that is only slow is not asked again and again in vain.
 */
const PATIENCE = 9_000;
const LONGEST_PATIENCE = 40_000;

/** A part of a page that could not be made: an error that is neither a redirect nor a page that is not there. */
const BROKEN = /^[0-9a-f]+:E\{"digest":"(?!NEXT_)/m;

/** True for what Next asks for when it makes the page anew that is shown already. */
function isRefresh(input: RequestInfo | URL, init: RequestInit | undefined): boolean {
  const headers = new Headers(init?.headers ?? (input instanceof Request ? input.headers : {}));
  if (headers.get('rsc') !== '1' || headers.has('next-router-prefetch')) return false;
  const asked = new URL(input instanceof Request ? input.url : String(input), location.href);
  asked.searchParams.delete('_rsc');
  return (
    asked.origin === location.origin &&
    asked.pathname === location.pathname &&
    asked.search === location.search
  );
}

/** True for an answer that Next can show: the page, or the way to another one. */
async function isSound(answer: Response): Promise<boolean> {
  if (answer.redirected) return true;
  if (answer.status >= 500 || answer.status === 408 || answer.status === 429) return false;
  if (!answer.headers.get('content-type')?.startsWith('text/x-component')) return false;
  return !BROKEN.test(await answer.clone().text());
}

/**
 * Makes this page steady: where it cannot be made anew, because nobody answers or the answer is broken, what is shown
 * stays, and it is asked for again with growing pauses. Next itself would put an error page in its place.
 *
 * @param onTrouble - told whether the page could not be made anew
 * @returns how to stop
 */
export function keepSteady(onTrouble: (failing: boolean) => void): () => void {
  const plain = window.fetch.bind(window);
  let stopped = false;
  const steady = async (input: RequestInfo | URL, init?: RequestInit): Promise<Response> => {
    if (stopped || !isRefresh(input, init)) return plain(input, init);
    for (let failures = 1; ; failures++) {
      const limit = AbortSignal.timeout(Math.min(LONGEST_PATIENCE, PATIENCE * 2 ** (failures - 1)));
      const signal = init?.signal ? AbortSignal.any([init.signal, limit]) : limit;
      try {
        const answer = await plain(input, { ...init, signal });
        if (stopped || (await isSound(answer))) {
          onTrouble(false);
          return answer;
        }
      } catch (error) {
        // Somebody has gone to another page: this one is not wanted any more.
        if (stopped || init?.signal?.aborted) {
          onTrouble(false);
          throw error;
        }
      }
      onTrouble(true);
      await new Promise((done) => setTimeout(done, pauseBefore(failures)));
    }
  };
  window.fetch = steady;
  return () => {
    stopped = true;
    if (window.fetch === steady) window.fetch = plain;
  };
}
