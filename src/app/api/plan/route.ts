import { languageHere, houseWordsHere, wordsHere } from '@/server/reader';
import { coded } from '@/core/codes/coded';
import { writePlanCsv } from '@/core/exchange/plan-table';
import type { Board } from '@/core/wire/board';
import { planCost } from '@/core/solver/cost';
import { pool } from '@/server/db/pool';
import { no, reading, reply } from '@/server/door';
import { houseNow } from '@/server/store/clock';
import { planCalendar } from '@/server/store/person-calendar';
import { sharedBoard } from '@/server/store/shared-board';
import { readWholePlan } from '@/server/store/whole-problem';

interface Form {
  type: string;
  ending: string;
  write: (board: Board, now: number, person: number | null) => string | Promise<string>;
}

const FORMS: Record<string, Form> = {
  calendar: {
    ...{ type: 'text/calendar; charset=utf-8', ending: 'ics' },
    write: async (_, now, personId) =>
      planCalendar(pool(), now, { personId, language: await languageHere() }),
  },
  csv: {
    ...{ type: 'text/csv; charset=utf-8', ending: 'csv' },
    write: async ({ house, doughs, machines }) =>
      writePlanCsv(doughs, machines, house.zone, (await houseWordsHere(pool())).coded),
  },
  problem: {
    ...{ type: 'application/json', ending: 'json' },
    write: async (_, now) => `${JSON.stringify((await readWholePlan(pool(), now)).problem, null, 1)}\n`,
  },
  plan: {
    ...{ type: 'application/json', ending: 'json' },
    write: async (_, now) => {
      const { problem, present } = await readWholePlan(pool(), now);
      const head = { format: 'hefeteig-plan/1', problem: problem.name, status: 'feasible' };
      return `${JSON.stringify({ ...head, cost: planCost(problem, present), times: present }, null, 1)}\n`;
    },
  },
};

/**
 * The plan as a file: `?as=calendar` (hands-on work; with `&person=` what the rota gives to one), `csv` (every step),
 * `problem` (what is still open) or `plan` (its times).
 */
export function GET(request: Request): Promise<Response> {
  return reading('GET /api/plan', async ({ person: { id, role } }) => {
    const asked = new URL(request.url).searchParams;
    const as = asked.get('as') ?? '';
    const form = Object.hasOwn(FORMS, as) ? FORMS[as] : undefined;
    if (!form) return new Response((await wordsHere())('refusals.thePlanComesAs'), { status: 404 });
    const of = Number(asked.get('person') ?? NaN);
    const person = Number.isInteger(of) && of > 0 ? of : null;
    if (person !== null && person !== id && role !== 'planner')
      return reply(no(403, coded('refusals.thisIsSomebodyElseSWork2')), undefined);
    const now = await houseNow(pool());
    const text = await form.write(await sharedBoard(pool(), now, 2), now, person);
    return new Response(text, {
      headers: {
        'content-type': form.type,
        'content-disposition': `attachment; filename="plan.${form.ending}"`,
      },
    });
  });
}
