import { readFileSync } from 'node:fs';
import type { DoughRecord } from '@/core/record/dough';
import { MINUTE } from '@/core/time/local';
import { Crew, type CrewAct } from '@/devices/bakery/crew';
import { simulatedHouse } from '@/devices/probes/house';
import { doughsDueFrom } from '@/server/store/doughs';
import { PEOPLE } from '@/server/demo/bakery';
import { startApplication } from '../scripts/lib/application';
import { freePort } from '../scripts/lib/ports';
import { demoHouse } from './demo-house';
import { sessionOf } from './tablet';

/** What became of some days in which only the simulated crew works. */
export interface CrewDays {
  acts: CrewAct[];
  /** How long each look took, with all that was done after it, ms. */
  looks: number[];
  /** What the application takes of memory at the end of each day, MB. */
  memory: number[];
  /** Lines of the application's log that tell of an error. */
  errors: string[];
  /** Every dough with all that was recorded of it. */
  doughs: DoughRecord[];
}

/** Minutes of the house from a look to the next: while there is work, and while there is none. */
const LOOK = { busy: 1, idle: 5 };
/** Minutes between two words of its probes. */
const PROBED = 10;
const DAY = 24 * 60;

/**
 * Lets the simulated crew work for some days in the demo bakery, against the built application, as fast as the machine can: its
 * clock goes on from look to look.
 */
export async function crewDays(
  days: number,
  options: {
    build: string;
    log: string;
    seed?: number;
    /** Is told of each day that is over: how many taps there are so far, how many were refused, and the memory, MB. */
    onDay?: (day: number, told: { acts: number; refused: number; memory: number }) => void;
    /** A visitor who has signed in as somebody of the crew, and does nothing. */
    visitor?: string;
  },
): Promise<CrewDays> {
  const house = await demoHouse();
  const app = await startApplication({
    ...{ build: options.build, port: await freePort(), databaseUrl: house.url, log: options.log },
  });
  const members = PEOPLE.map(({ name, pin }) => ({ id: house.person(name).id, pin }));
  const crew = new Crew(app.address, members, options.seed ?? 1);
  if (options.visitor) await sessionOf(app.address, options.visitor);
  const begin = await house.now();
  const probes = simulatedHouse(begin, {});
  const result: CrewDays = { acts: [], looks: [], memory: [], errors: [], doughs: [] };
  try {
    for (let minute = 0, probed = -PROBED; minute < days * DAY;) {
      if (minute - probed >= PROBED) {
        probed = minute;
        await tellReadings(app.address, probes, begin + minute * MINUTE);
      }
      const before = performance.now();
      const acts = await crew.work();
      result.looks.push(performance.now() - before);
      result.acts.push(...acts);
      const step = acts.length > 0 ? LOOK.busy : LOOK.idle;
      if (Math.floor((minute + step) / DAY) > Math.floor(minute / DAY)) {
        const memory = memoryOf(app.process.pid ?? 0);
        result.memory.push(memory);
        const refused = result.acts.filter((act) => act.refused !== null).length;
        options.onDay?.(result.memory.length, { acts: result.acts.length, refused, memory });
      }
      minute += step;
      await house.later(step);
    }
    result.doughs = await doughsDueFrom(house.pool, begin);
    result.errors = readFileSync(options.log, 'utf8')
      .split('\n')
      .filter((line) => /"level":(50|60)|Error:/.test(line));
    return result;
  } finally {
    await app.stop();
    await house.close();
  }
}

async function tellReadings(
  address: string,
  probes: ReturnType<typeof simulatedHouse>,
  at: number,
): Promise<void> {
  probes.goTo(at);
  const answer = await fetch(`${address}/api/intake/readings`, {
    method: 'POST',
    headers: { authorization: 'Bearer lindenried-probes', 'content-type': 'application/json' },
    body: JSON.stringify({ readings: probes.readings() }),
  });
  if (!answer.ok) throw new Error(`The readings were refused: ${await answer.text()}`);
}

/** Memory of a process, MB, as the kernel counts it. */
function memoryOf(pid: number): number {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024;
}
