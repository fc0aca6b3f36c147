import { setTimeout as pause } from 'node:timers/promises';
import { v7 as uuidv7 } from 'uuid';
import { PEOPLE } from '@/server/demo/bakery';
import { post, sessionOf } from '../test-support/tablet';

/** A morning at its busiest: how long a tap took to be answered, and to be told to the other tablets, ms. */
export interface Load {
  answered: number[];
  told: number[];
  /** Taps that some tablet had not heard of within ten seconds. */
  unheard: number;
  readings: number;
  /** Replans answered, with a plan or with why there is none. */
  replans: number;
}

const TABLETS = 20;
const PROBES = 10;
const PROBE_EVERY = 10_000;
const TAP_EVERY = 700;
/** A replan that finds nothing is tried for longer, ms. */
const REPLAN_PATIENCE = 120_000;
/** As the application's pages do after a tap on another tablet (src/ui/live/live.tsx). */
const LATER = 4000;
const SPREAD = 8000;

/**
 * Twenty tablets listen to the feed and ask for their bench anew after each change; one of them taps, ten probes post a
 * reading every ten seconds, and a planner always has a replan under way. Ends after `seconds`.
 */
export async function load(address: string, steps: Step[], seconds: number): Promise<Load> {
  const cookies = await Promise.all(
    Array.from({ length: TABLETS }, (_, i) => sessionOf(address, PEOPLE[i % PEOPLE.length]?.name ?? '')),
  );
  const result: Load = { answered: [], told: [], unheard: 0, readings: 0, replans: 0 };
  const over = new AbortController();
  const sentAt = new Map<string, number>();
  const heardBy = new Map<string, number>();
  const heard = (id: string) => {
    const at = sentAt.get(id);
    if (at === undefined) return;
    result.told.push(performance.now() - at);
    heardBy.set(id, (heardBy.get(id) ?? 0) + 1);
  };
  const listening = cookies.map((cookie) => listen(address, cookie, heard, over.signal));
  await pause(1500);

  const planner = await sessionOf(address, 'Mara');
  const until = performance.now() + seconds * 1000;
  const replans = (async () => {
    // One after the other, so that one is always under way, however soon it is answered.
    while (performance.now() < until) {
      await (
        await post(address, planner, '/api/plan/mend', { job: uuidv7(), seconds: 10 }, REPLAN_PATIENCE)
      ).text();
      result.replans++;
    }
  })();
  const probes = Array.from({ length: PROBES }, async (_, i) => {
    await pause((i * PROBE_EVERY) / PROBES);
    while (performance.now() < until) {
      const celsius = 3.5 + Math.sin(performance.now() / 3000 + i) / 3;
      await fetch(`${address}/api/intake/readings`, {
        method: 'POST',
        headers: { authorization: 'Bearer lindenried-probes', 'content-type': 'application/json' },
        body: JSON.stringify({ readings: [{ place: 'retarder', celsius }] }),
      });
      result.readings++;
      await pause(PROBE_EVERY);
    }
  });
  for (let tap = 0; performance.now() < until; tap++) {
    const id = uuidv7();
    const begun = performance.now();
    sentAt.set(id, begun);
    const note = { ...steps[tap % steps.length], id, kind: 'note', text: `load ${tap}` };
    await (await post(address, cookies[0] ?? '', '/api/commands/record-event', note)).text();
    result.answered.push(performance.now() - begun);
    await pause(TAP_EVERY);
  }
  await Promise.all([replans, ...probes]);
  const patient = performance.now() + 10_000;
  const missing = () => [...sentAt.keys()].filter((id) => (heardBy.get(id) ?? 0) < TABLETS).length;
  while (missing() > 0 && performance.now() < patient) await pause(50);
  result.unheard = missing();
  over.abort();
  await Promise.all(listening);
  return result;
}

/** A step that notes are written on. */
export interface Step {
  doughId: number;
  stepKey: string;
}

/** One tablet: the feed, and the bench asked for anew some moments after it has told something. */
async function listen(
  address: string,
  cookie: string,
  heard: (id: string) => void,
  signal: AbortSignal,
): Promise<void> {
  let timer: NodeJS.Timeout | undefined;
  const refresh = () =>
    void fetch(`${address}/bench`, { headers: { cookie, RSC: '1' }, signal })
      .then((answer) => answer.arrayBuffer())
      .catch(() => undefined);
  try {
    const feed = await fetch(`${address}/api/feed`, { headers: { cookie }, signal });
    let text = '';
    for await (const part of feed.body as AsyncIterable<Uint8Array>) {
      text += new TextDecoder().decode(part);
      const messages = text.split('\n\n');
      text = messages.pop() ?? '';
      for (const message of messages) {
        const data = /^data: (.*)$/m.exec(message)?.[1];
        if (!data) continue;
        const { events, calm } = JSON.parse(data) as { events: { id: string }[]; calm: boolean };
        for (const { id } of events) heard(id);
        if (!calm) refresh();
        else
          timer ??= setTimeout(
            () => {
              timer = undefined;
              refresh();
            },
            LATER + SPREAD * Math.random(),
          );
      }
    }
  } catch (error) {
    if (!signal.aborted) throw error;
  } finally {
    clearTimeout(timer);
  }
}
