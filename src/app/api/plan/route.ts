import { writeCalendar } from '@/core/formats/icalendar';
import { planEvents, writePlanCsv } from '@/core/formats/plan-table';
import type { Board } from '@/core/floor/board';
import { signedIn } from '@/server/auth/session';
import { pool } from '@/server/db/pool';
import { houseNow } from '@/server/queries/clock';
import { sharedBoard } from '@/server/queries/shared-board';
import { readWholePlan } from '@/server/queries/whole-problem';

interface Form {
  type: string;
  ending: string;
  write: (board: Board, now: number) => string | Promise<string>;
}

const FORMS: Record<string, Form> = {
  calendar: {
    ...{ type: 'text/calendar; charset=utf-8', ending: 'ics' },
    write: ({ house, doughs, machines }, now) => writeCalendar(house.name, planEvents(doughs, machines), now),
  },
  csv: {
    ...{ type: 'text/csv; charset=utf-8', ending: 'csv' },
    write: ({ house, doughs, machines }) => writePlanCsv(doughs, machines, house.zone),
  },
  problem: {
    ...{ type: 'application/json', ending: 'json' },
    write: async (_, now) => `${JSON.stringify((await readWholePlan(pool(), now)).problem, null, 1)}\n`,
  },
};

/** The plan as a file: `?as=calendar` (hands-on work), `csv` (every step) or `problem` (what is still open). */
export async function GET(request: Request): Promise<Response> {
  if (!(await signedIn())) return new Response('You are signed out.', { status: 401 });
  const as = new URL(request.url).searchParams.get('as') ?? '';
  const form = Object.hasOwn(FORMS, as) ? FORMS[as] : undefined;
  if (!form) return new Response('The plan comes as calendar, csv or problem.', { status: 404 });
  const now = await houseNow(pool());
  const text = await form.write(await sharedBoard(pool(), now, 2), now);
  const headers = {
    'content-type': form.type,
    'content-disposition': `attachment; filename="plan.${form.ending}"`,
  };
  return new Response(text, { headers });
}
