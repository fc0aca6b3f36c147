import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { drifts } from '@/core/floor/drift';
import { floorDough } from '@/core/floor/board';
import type { Proposal, ProposalAct, ProposalBody } from '@/core/floor/proposal';
import { isStay } from '@/core/planning/stay';
import { MINUTE } from '@/core/time/local';
import { write } from '../db/rows';
import { doughsDueFrom, newestPlan } from '../queries/doughs';
import { houseValues, machinePools } from '../queries/house';
import { openProposal } from '../queries/proposals';
import { readWholePlan } from '../queries/whole-problem';
import { replan } from '../replan';
import { command, Refusal, type CommandContext } from './command';
import { refuseOldBasis } from './plan-basis';
import { placedOf, planOf } from './plan-steps';
import { lockPlan, movePlan } from './plan-version';

const proposalId = Joi.number()
  .integer()
  .positive()
  .required()
  .messages({ '*': 'Name a proposal of the plan.' });

/** Keeps a worked-out plan until somebody accepts or drops it. */
export async function keepProposal(
  { db, now, person }: CommandContext,
  kind: Proposal['kind'],
  title: string,
  body: ProposalBody,
): Promise<Proposal> {
  const basis = await newestPlan(db);
  const { id } = await write(
    db,
    'INSERT INTO plan_proposal (plan_version_id, made_at, made_by, kind, title, body) VALUES (?, ?, ?, ?, ?, ?)',
    [basis, new Date(now), person.id, kind, title.slice(0, 200), JSON.stringify(body)],
  );
  return { id, basis, kind, title, madeAt: now, madeBy: person.name, body };
}

/** What a mend came to: a proposal that waits, or a plan that the house let pass by itself. */
interface Mended {
  proposal: Proposal;
  passed: boolean;
}

/**
 * Works out how the plan can follow what has happened, with few and small changes. Nothing changes on the floor until
 * somebody accepts it, unless the house lets shifts as small as these pass.
 */
export const proposeMend = command<{ seconds?: number }, Mended>({
  name: 'propose-mend',
  schema: Joi.object({ seconds: Joi.number().min(0.2).max(30) }),
  roles: ['planner', 'baker'],
  doughOf: () => null,
  async run(context, input) {
    const { db, now } = context;
    const [whole, value] = await Promise.all([readWholePlan(db, now), houseValues(db)]);
    const machines = await machinePools(db, now, now + 14 * 24 * 60 * MINUTE);
    const found = drifts(whole, machines, now, value('late_matters'));
    const causes = new Map(
      found.flatMap(({ doughId, sentence }) => (doughId === null ? [] : [[doughId, sentence]])),
    );
    const { live } = context;
    const watched = live && {
      signal: live.signal,
      onBetter: (points: number, late: string[]) =>
        live.onBetter(points, late.filter((id) => !isStay(id)).length),
    };
    const seconds = input.seconds ?? value('plan_seconds');
    const body = planOf(await replan(db, now, { seconds, causes, ...watched }));
    const title = found[0]?.sentence ?? 'The plan as it could be';
    const kind = found.length > 0 ? 'mend' : 'better';
    const proposal = await keepProposal(context, kind, title, body);
    const most = value('pass_shift_minutes');
    const passed = body.late.length === 0 && most > 0 && farthest(body) <= most;
    if (passed) {
      await lockPlan(db);
      await accept(context, proposal);
    }
    return { proposal, passed };
  },
});

/** Minutes by which the step that moves most is moved. */
function farthest({ changes }: ProposalBody): number {
  return Math.max(0, ...changes.map(({ from, to }) => Math.abs(to - from) / MINUTE));
}

/** Makes a proposal the plan. It must have been made for the plan that stands, and nobody may have begun what it moves. */
export const acceptProposal = command<{ id: number }, { title: string }>({
  name: 'accept-proposal',
  schema: Joi.object({ id: proposalId }),
  roles: ['planner'],
  doughOf: () => null,
  async run(context, { id }) {
    await lockPlan(context.db);
    const proposal = await openProposal(context.db, id);
    if (!proposal) throw new Refusal('Somebody has accepted or dropped this already.', 'id');
    await refuseOldBasis(context.db, proposal.basis);
    await refuseBegun(context, proposal.body);
    await accept(context, proposal);
    return { title: proposal.title };
  },
});

/** Minutes for which a proposal may be read before a step of it that was to begin at once is past. */
const READING = 15;

async function refuseBegun({ db, now }: CommandContext, { times }: ProposalBody): Promise<void> {
  const doughs = new Map((await doughsDueFrom(db, now)).map((dough) => [dough.id, dough]));
  for (const [doughId, steps] of times) {
    const dough = doughs.get(doughId);
    const state = dough && floorDough(dough).state;
    for (const [key, [start]] of Object.entries(steps)) {
      const step = dough?.steps.find((one) => one.key === key);
      const status = state?.steps.get(key)?.status;
      if (!dough || !step?.step.work || start === step.plannedStart) continue;
      if (status === 'done' || status === 'running' || status === 'skipped')
        throw new Refusal(
          `${dough.name}: ${step.label.toLowerCase()} has been started since. Work it out anew from where it stands.`,
          'id',
        );
      if (start < now - READING * MINUTE)
        throw new Refusal(
          `${dough.name}: ${step.label.toLowerCase()} would have begun already. Work it out anew.`,
          'id',
        );
    }
  }
}

async function accept({ db, now, person }: CommandContext, proposal: Proposal): Promise<void> {
  const { body } = proposal;
  for (const act of body.acts) await bringAbout(db, act);
  await movePlan(db, placedOf(body), {
    ...{ now, personId: person.id, reason: proposal.title },
    // What it brought about beside the times, an undo of the plan would not take back.
    act: body.acts.length > 0 ? 'base' : 'plan',
  });
  for (const act of body.acts) if (act.kind === 'unpin') await unpin(db, act);
  await decide(db, proposal.id, 'accepted', { now, personId: person.id });
}

async function bringAbout(db: PoolConnection, act: ProposalAct): Promise<void> {
  if (act.kind === 'extra-shift') {
    await write(db, 'INSERT INTO extra_shift (person_id, start_at, end_at, note) VALUES (?, ?, ?, ?)', [
      ...[act.personId, new Date(act.start), new Date(act.end), 'for the plan'],
    ]);
  } else if (act.kind === 'due') {
    await write(db, 'UPDATE dough_output SET due_at = ? WHERE id = ?', [new Date(act.dueAt), act.outputId]);
  } else if (act.kind === 'dough-change') {
    await write(db, 'INSERT IGNORE INTO dough_change (dough_id, kind, target) VALUES (?, ?, ?)', [
      ...[act.doughId, act.change.kind, act.change.target],
    ]);
  }
}

async function unpin(db: PoolConnection, { doughId, key }: { doughId: number; key: string }): Promise<void> {
  await write(
    db,
    `UPDATE planned_step SET pinned = FALSE WHERE dough_id = ? AND step_key = ?
       AND plan_version_id = (SELECT MAX(id) FROM plan_version)`,
    [doughId, key],
  );
}

async function decide(
  db: PoolConnection,
  id: number,
  decision: 'accepted' | 'dropped',
  { now, personId }: { now: number; personId: number },
): Promise<void> {
  await write(db, 'UPDATE plan_proposal SET decision = ?, decided_at = ?, decided_by = ? WHERE id = ?', [
    ...[decision, new Date(now), personId, id],
  ]);
}

/** Lets a proposal go. */
export const dropProposal = command<{ id: number }, { title: string }>({
  name: 'drop-proposal',
  schema: Joi.object({ id: proposalId }),
  roles: ['planner', 'baker'],
  doughOf: () => null,
  async run({ db, now, person }, { id }) {
    const proposal = await openProposal(db, id);
    if (!proposal) throw new Refusal('Somebody has accepted or dropped this already.', 'id');
    await decide(db, id, 'dropped', { now, personId: person.id });
    return { title: proposal.title };
  },
});
