import Joi from 'joi';
import { misfits } from '@/core/schedule/misfit';
import type { DoughRecord } from '@/core/record/dough';
import { forecastDough } from '@/core/forecast/forecast';
import type { Db } from '../db/rows';
import { doughById, type Supposing } from '../queries/doughs';
import { searching } from '../searching';
import { command, Refusal, type SearchContext } from './command';
import { findOpenPart } from './plan-open-part';
import { lockBasis, movePlan, readBasis, type Basis, type Placed } from './plan-version';
import { doughId } from './schemas';

/** Rounds in which plan and windows may chase one another before it is said that they do not settle. */
const ROUNDS = 5;

interface Followed {
  basis: Basis;
  name: string;
  /** Where its steps are from now on; empty where its windows hold its plan already. */
  placed: Placed[];
  settled: boolean;
}

/**
 * Plans what is left of a dough anew, amid all others, which keep their places: its waits are no longer what they were
 * when it was planned. One act, however many rounds it took. Late is better than wrong: promises are kept where they can be.
 */
export const followDough = command<
  { doughId: number },
  { name: string; settled: boolean; moved: number },
  Followed
>({
  name: 'follow-dough',
  schema: Joi.object({ doughId }),
  doughOf: (input) => input.doughId,
  search: (context, input) => searching(context, () => follow(context, input.doughId)),
  async run({ db, now, person }, { doughId: id }, { basis, name, placed, settled }) {
    await lockBasis(db, basis, [id]);
    const dough = await openDough(db, id);
    const moved = placed.filter(({ key, start, end }) => {
      const was = dough.steps.find((step) => step.key === key);
      return was?.plannedStart !== start || was.plannedEnd !== end;
    });
    if (moved.length > 0)
      await movePlan(db, moved, { now, personId: person.id, reason: `${name} follows today’s temperatures` });
    return { name, settled, moved: moved.length };
  },
});

async function follow(context: SearchContext, id: number): Promise<Followed> {
  const { db } = context;
  const basis = await readBasis(db);
  let dough = await openDough(db, id);
  let placed: Placed[] = [];
  for (let round = 0; round < ROUNDS && timing(dough).length > 0; round++) {
    placed = await findOpenPart(
      context,
      dough,
      `${dough.name} finds no place for its new waits amid the other doughs; move one of them, or shorten a wait by a cooler or warmer place.`,
    );
    // Its windows as they are when it stands there.
    dough = await openDough(db, id, { planned: new Map([[id, timesOf(dough, placed)]]) });
  }
  return { basis, name: dough.name, placed, settled: timing(dough).length === 0 };
}

/** Times of all steps of a dough: those that were found, the rest as they stand. */
function timesOf({ steps }: DoughRecord, placed: readonly Placed[]) {
  const found = new Map(placed.map(({ key, start, end }) => [key, { plannedStart: start, plannedEnd: end }]));
  return new Map(
    steps.map(({ key, plannedStart, plannedEnd, pinned }) => {
      const at = found.get(key) ?? { plannedStart, plannedEnd };
      return [key, pinned ? { ...at, pinned } : at];
    }),
  );
}

/** Misfits that another time can mend; a wait in vain is not one of them. */
const timing = (dough: DoughRecord) => misfits(forecastDough(dough)).filter(({ by }) => by !== 0);

async function openDough(db: Db, id: number, supposing: Supposing = {}): Promise<DoughRecord> {
  const dough = await doughById(db, id, supposing);
  if (!dough) throw new Refusal('This dough is not in the plan any more.', 'doughId');
  return dough;
}
