import { coded, type Words } from '@/core/codes/coded';
import { asText, textOf } from '@/words/as-text';
import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { drifts } from '@/core/schedule/drift';
import type { Proposal, ProposalAct, ProposalBody } from '@/core/schedule/proposal';
import { MINUTE } from '@/core/time/local';
import { insertOnce } from '../db/rows';
import { houseSettings, machinePools, whoAcceptsRepairs } from '../store/house';
import { stepsInPlan } from '../store/planned-steps';
import { openProposal } from '../store/proposals';
import { rollingHouse } from '../store/rolling';
import { readWholePlan } from '../store/whole-problem';
import { replanWithStuck } from '../replan-stuck';
import { spokenProposal } from '../spoken';
import { searching } from '../searching';
import { command, type CommandContext, Refusal, type SearchContext } from './command';
import { refuseOldBasis } from './plan-basis';
import { refuseBegun } from './plan-begun';
import { placedOf, planOf } from './plan-steps';
import { lockBasis, lockPlan, movePlan, readBasis, type StepPlacement } from './plan-version';
import { wordsIn } from '@/words/compile';
import { decideProposal, insertProposal } from '../store/plan-versions';
import { moveDue } from '../store/ordered-doughs';
import { insertExtraShift } from '../store/exceptions';

const proposalId = Joi.number()
  .integer()
  .positive()
  .required()
  .messages({ '*': asText(coded('refusals.nameAProposalOfThePlan')) });

/** A plan that was worked out, and the version that it was worked out from. */
export interface ProposalDraft {
  basis: number;
  kind: Proposal['kind'];
  title: Words;
  body: ProposalBody;
}

/** Keeps a worked-out plan until somebody accepts or drops it. It can be accepted as long as its basis stands. */
export async function keepProposal(
  { db, now, person }: CommandContext,
  { basis, kind, title, body }: ProposalDraft,
): Promise<Proposal> {
  const { id } = await insertProposal(db, {
    ...{ basis, now, personId: person.id, kind, body },
    title: textOf(title),
  });
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
export const proposeMend = command<{ seconds?: number }, Mended, ProposalDraft>({
  name: 'propose-mend',
  schema: Joi.object({ seconds: Joi.number().min(0.2).max(30) }),
  doughOf: () => null,
  search: (context, input) => searching(context, () => workOutMend(context, input.seconds)),
  async run(context, _, worked) {
    const { db } = context;
    await lockBasis(db, { plan: worked.basis, change: 0 });
    const proposal = await keepProposal(context, worked);
    const { body } = worked;
    const most = (await houseSettings(db)).passShiftMinutes;
    const small = body.late.length === 0 && most > 0 && farthest(body) <= most;
    const passed = small && (await isFresh(context, body));
    if (passed) await accept(context, proposal);
    return { proposal: spokenProposal(wordsIn(context.language), proposal), passed };
  },
});

async function workOutMend(
  { db, now, live }: SearchContext,
  wanted: number | undefined,
): Promise<ProposalDraft> {
  const { plan: basis } = await readBasis(db);
  const [whole, settings, rolling] = await Promise.all([
    readWholePlan(db, now),
    houseSettings(db),
    rollingHouse(db),
  ]);
  const machines = await machinePools(db, now, now + 14 * 24 * 60 * MINUTE);
  const found = drifts(whole, { machines, rolling }, now, settings.lateMatters);
  const causes = new Map(
    found.flatMap(({ doughId, message }) => (doughId === null ? [] : [[doughId, message]])),
  );
  const watched = live && {
    signal: live.signal,
    onBetter: (points: number, late: string[]) => live.onBetter(points, late.length),
  };
  const seconds = wanted ?? settings.planSeconds;
  const body = planOf(await replanWithStuck(db, now, { seconds, causes, ...watched }));
  const title = found[0]?.message ?? coded('plan.thePlanAsItCouldBe');
  return { basis, kind: found.length > 0 ? 'mend' : 'better', title, body };
}

/** True where nothing was begun since of what a plan moves. */
async function isFresh(context: CommandContext, body: ProposalBody): Promise<boolean> {
  try {
    await refuseBegun(context, placedOf(body));
    return true;
  } catch (error) {
    if (error instanceof Refusal) return false;
    throw error;
  }
}

/** Minutes by which the step that moves most is moved. */
function farthest({ changes }: ProposalBody): number {
  return Math.max(0, ...changes.map(({ from, to }) => Math.abs(to - from) / MINUTE));
}

/** Makes a proposal the plan. It must have been made for the plan that stands, and nobody may have begun what it moves. */
export const acceptProposal = command<{ id: number }, { title: string }>({
  name: 'accept-proposal',
  schema: Joi.object({ id: proposalId }),
  doughOf: () => null,
  async run(context, { id }) {
    await lockPlan(context.db);
    const proposal = await openProposal(context.db, id);
    if (!proposal) throw new Refusal(coded('refusals.somebodyHasAcceptedOrDroppedThis'), 'id');
    await refuseUnlessMayAccept(context, proposal);
    await refuseOldBasis(context.db, proposal.basis);
    await refuseBegun(context, placedOf(proposal.body));
    await accept(context, proposal);
    return { title: wordsIn(context.language).coded(proposal.title) };
  },
});

/** A baker accepts a repair where the house lets them, while no planner is there; nothing else. */
async function refuseUnlessMayAccept({ db, now, person }: CommandContext, { kind }: Proposal): Promise<void> {
  if (person.role === 'planner') return;
  if (kind !== 'mend') throw new Refusal(coded('refusals.onlyRepairs'), 'id');
  const who = await whoAcceptsRepairs(db, now);
  if (who === 'planners') throw new Refusal(coded('refusals.onlyPlannersAccept'), 'id');
  if (who !== 'bakers') throw new Refusal(coded('refusals.aPlannerIsHere', { name: who.name }), 'id');
}

async function accept(context: CommandContext, proposal: Proposal): Promise<void> {
  const { db, now, person } = context;
  const { body } = proposal;
  for (const act of body.acts) await bringAbout(context, act);
  await movePlan(db, await withoutPins(db, placedOf(body), body.acts), {
    ...{ now, personId: person.id, reason: proposal.title },
    // What it brought about beside the times, an undo of the plan would not take back.
    act: body.acts.length > 0 ? 'base' : 'plan',
  });
  await decide(db, proposal.id, 'accepted', { now, personId: person.id });
}

async function bringAbout({ db, language }: CommandContext, act: ProposalAct): Promise<void> {
  if (act.kind === 'extra-shift') {
    await insertExtraShift(db, {
      ...{ personId: act.personId, from: new Date(act.start), to: new Date(act.end) },
      note: wordsIn(language)('reasons.forThePlan'),
    });
  } else if (act.kind === 'due') {
    await moveDue(db, act.outputId, act.dueAt);
  } else if (act.kind === 'dough-change') {
    const { kind, target } = act.change;
    await insertOnce(db, 'dough_change', { dough_id: act.doughId, kind, target });
  }
}

/** What a plan places, with the steps that it lets go of: they stay where they are where it does not move them. */
async function withoutPins(
  db: PoolConnection,
  placed: readonly StepPlacement[],
  acts: readonly ProposalAct[],
): Promise<StepPlacement[]> {
  const free = acts.filter((act) => act.kind === 'unpin');
  const isFree = (step: { doughId: number; key: string }) =>
    free.some(({ doughId, key }) => doughId === step.doughId && key === step.key);
  const moved = placed.map((one) => (isFree(one) ? { ...one, pinned: false } : one));
  const standing = await stepsInPlan(db, [...new Set(free.map(({ doughId }) => doughId))]);
  const stay = standing.filter(
    (step) =>
      isFree(step) && !placed.some(({ doughId, key }) => doughId === step.doughId && key === step.key),
  );
  return [...moved, ...stay.map((step) => ({ ...step, pinned: false }))];
}

async function decide(
  db: PoolConnection,
  id: number,
  decision: 'accepted' | 'dropped',
  { now, personId }: { now: number; personId: number },
): Promise<void> {
  await decideProposal(db, { decision, now, personId, id });
}

/** Lets a proposal go. */
export const dropProposal = command<{ id: number }, { title: string }>({
  name: 'drop-proposal',
  schema: Joi.object({ id: proposalId }),
  doughOf: () => null,
  async run({ db, now, person, language }, { id }) {
    const proposal = await openProposal(db, id);
    if (!proposal) throw new Refusal(coded('refusals.somebodyHasAcceptedOrDroppedThis'), 'id');
    await decide(db, id, 'dropped', { now, personId: person.id });
    return { title: wordsIn(language).coded(proposal.title) };
  },
});
