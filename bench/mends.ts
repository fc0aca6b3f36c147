import { setTimeout as pause } from 'node:timers/promises';
import { v7 as uuidv7 } from 'uuid';
import { enrolled, post, sessionOf } from '../test-support/tablet';
import { PEOPLE } from '@/server/demo/bakery';
import { median, row, share } from './measure';

const MENDS = 10;
const SECONDS = 30;
/** How long the floor is watched while the mends are under way, ms. */
const WATCHED = 60_000;

/** Ten people ask for a mend of 30 s at the same moment: what the floor feels of it meanwhile. */
export async function mends(address: string): Promise<void> {
  const planners = await Promise.all(Array.from({ length: MENDS }, () => sessionOf(address, 'Mara')));
  const jonas = await sessionOf(address, 'Jonas');
  const device = await enrolled(address);
  const asked = planners.map(async (cookie) => {
    const answer = await post(
      address,
      cookie,
      '/api/plan/mend',
      { job: uuidv7(), seconds: SECONDS },
      600_000,
    );
    return answer.text();
  });
  await pause(1_000);
  const times = { tap: [] as number[], bench: [] as number[], 'sign-in': [] as number[] };
  const timed = async (what: keyof typeof times, work: () => Promise<Response>) => {
    const begun = performance.now();
    const answer = await work();
    await answer.text();
    if (!answer.ok) throw new Error(`${what} was answered ${answer.status} while plans were worked out.`);
    times[what].push(performance.now() - begun);
  };
  const until = performance.now() + WATCHED;
  while (performance.now() < until) {
    const note = { id: uuidv7(), doughId: 5, stepKey: null, kind: 'note', text: 'while ten search' };
    await timed('tap', () => post(address, jonas, '/api/commands/record-event', note));
    await timed('bench', () => fetch(`${address}/bench`, { headers: { cookie: jonas } }));
    const ida = { personId: 1 + PEOPLE.findIndex(({ name }) => name === 'Ida'), pin: '2806' };
    await timed('sign-in', () => post(address, device, '/api/session', ida));
    await pause(250);
  }
  for (const [what, all] of Object.entries(times))
    row(
      `ten mends of ${SECONDS} s under way: ${what}, median / worst`,
      `${median(all).toFixed(0)} / ${share(all, 0.999).toFixed(0)} ms`,
      '',
    );
  // Those that wait are stopped by the leaving of who asked; here they are left to end.
  void Promise.allSettled(asked);
}
