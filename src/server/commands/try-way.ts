import { coded, type Words } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import { wordsIn } from '@/words/compile';
import { spokenProposal } from '../spoken';
import Joi from 'joi';
import type { DoughRecord } from '@/core/record/dough';
import type { Proposal, ProposalAct } from '@/core/schedule/proposal';
import type { WholePlan } from '@/core/schedule/whole-plan';
import { changesOnWay, WAY_NAMES, whoCouldCome, type WayKind } from '@/core/schedule/ways-out';
import type { PlanProblem, Times } from '@/core/solver/problem';
import { usedBeyond, withMore } from '@/core/solver/suppose';
import { CREW } from '@/core/process/expand';
import { taskId } from '@/core/process/step-ref';
import { MINUTE } from '@/core/time/local';
import { staffedSpans } from '@/core/time/shifts';
import { doughsDueFrom } from '../store/doughs';
import { freePieces, keepables } from '../store/stock';
import { houseSettings, people, staffing } from '../store/house';
import { readWholePlan } from '../store/whole-problem';
import { replan, type Replanning } from '../replan';
import { searching } from '../searching';
import { command, Refusal, type SearchContext } from './command';
import { basis, refuseOldBasis } from './plan-basis';
import { planOf } from './plan-steps';
import { lockPlan } from './plan-version';
import { keepProposal, type ProposalDraft } from './proposals';
import { doughId } from './schemas';

/** A plan on some way out, and whether the dough's promises are kept by it. */
interface WayOutPlan {
  proposal: Proposal;
  kept: boolean;
}

interface WayOutQuestion {
  doughId: number;
  way: WayKind;
  basis: number;
}

/** Works out what a way out would come to, as a plan that keeps every rule; it is kept until somebody decides. */
export const tryWay = command<WayOutQuestion, WayOutPlan, ProposalDraft & { kept: boolean }>({
  name: 'try-way',
  schema: Joi.object({
    doughId,
    basis,
    way: Joi.string()
      .valid(...Object.keys(WAY_NAMES))
      .required()
      .messages({ '*': asText(coded('refusals.thereIsNoSuchWay')) }),
  }),
  doughOf: () => null,
  search: (context, input) => searching(context, () => workOutWay(context, input)),
  async run(context, input, { kept, ...worked }) {
    await lockPlan(context.db);
    await refuseOldBasis(context.db, input.basis);
    const proposal = await keepProposal(context, worked);
    return { proposal: spokenProposal(wordsIn(context.language), proposal), kept };
  },
});

async function workOutWay(
  context: SearchContext,
  { basis: seen, doughId: of, way }: WayOutQuestion,
): Promise<ProposalDraft & { kept: boolean }> {
  const { db, now } = context;
  await refuseOldBasis(db, seen);
  const whole = await readWholePlan(db, now);
  const dough = whole.doughs.find(({ id }) => id === of);
  if (!dough) throw new Refusal(coded('refusals.thisDoughIsNotInThe'), 'doughId');
  const seconds = (await houseSettings(db)).planSeconds;
  const body = planOf(await replan(db, now, { ...(await onWay(context, whole, dough, way)), seconds }));
  const { acts, needs, rest } = await broughtAbout(context, { whole, dough, way }, body);
  return {
    basis: seen,
    kind: 'way-out',
    title: coded('reasons.theWay', { dough: dough.name, way: { inLine: WAY_NAMES[way] } }),
    body: { ...body, acts, needs },
    kept: way === 'later' || rest === 0 || !body.late.some((late) => late.doughId === dough.id),
  };
}

/** Hours before the last promise in which more hands are looked for. */
const HELP = { hands: 10, night: 60 };

async function onWay(
  { db, now }: SearchContext,
  { origin, zone }: WholePlan,
  dough: DoughRecord,
  way: WayKind,
): Promise<Omit<Replanning, 'seconds'>> {
  const changes = changesOnWay(dough, way);
  if (changes.length > 0) return { changes: new Map([[dough.id, changes]]) };
  if (way === 'unpin') return { change: (problem) => ({ ...problem, pins: onlyRunning(problem) }) };
  if (way !== 'hands' && way !== 'night') {
    if (way === 'later' || way === 'frozen') return {};
    throw new Refusal(coded('refusals.hasNoStepLeftForThat', { name: dough.name }), 'way');
  }
  const to = Math.max(...dough.outputs.map(({ dueAt }) => dueAt));
  const from = Math.max(now, to - HELP[way] * 60 * MINUTE);
  const staffed = staffedSpans(await staffing(db, from, to, zone));
  const minute = (at: number) => Math.round((at - origin) / MINUTE);
  const spans = (way === 'hands' ? staffed : gaps(staffed, from, to)).map(({ start, end }) => {
    return { from: minute(start), to: minute(end) };
  });
  return { change: (problem) => withMore(problem, CREW, spans, 1) };
}

/** Pins of what is under way; those that a planner set are let go. */
function onlyRunning({ pins, now }: PlanProblem): PlanProblem['pins'] {
  return pins.filter(({ start }) => start < now);
}

function gaps(spans: readonly { start: number; end: number }[], from: number, to: number) {
  const edges = [from, ...spans.flatMap(({ start, end }) => [start, end]), to];
  return edges
    .flatMap((start, i) => (i % 2 === 0 ? [{ start, end: edges[i + 1] ?? to }] : []))
    .filter(({ start, end }) => start < end);
}

/** Stretches of help closer than this are one coming, minutes; nobody comes for less than the least. */
const ONE_COMING = 90;
const LEAST_HELP = 30;

/** What a way brings about; `rest`: pieces of late promises that nothing in the freezer stands in for. */
interface Means {
  acts: ProposalAct[];
  needs: Words[];
  rest?: number;
}

/** What accepting the plan has to bring about, and what that is called. */
async function broughtAbout(
  { db, now }: SearchContext,
  { whole, dough, way }: { whole: WholePlan; dough: DoughRecord; way: WayKind },
  body: Proposal['body'],
): Promise<Means> {
  const { zone } = whole;
  if (way === 'frozen') return fromFreezer(db, { dough, zone, now }, body);
  if (way === 'later') {
    const late = body.late.filter(({ doughId: id }) => id === dough.id);
    const acts = late.flatMap(({ product, readyAt }): ProposalAct[] => {
      const output = dough.outputs.find((one) => one.product === product);
      const dueAt = Math.ceil(readyAt / (5 * MINUTE)) * 5 * MINUTE;
      return output ? [{ kind: 'due', outputId: output.id, dueAt }] : [];
    });
    return {
      acts,
      needs: late.map(({ product, dueAt, readyAt }) =>
        coded('reasons.tellTheCustomerAt', {
          ...{ product: { inLine: product }, due: { clock: dueAt, zone } },
          time: { dayTime: Math.ceil(readyAt / (5 * MINUTE)) * 5 * MINUTE, zone },
        }),
      ),
    };
  }
  if (way === 'unpin') {
    const pinned = whole.doughs.flatMap(({ id, steps }) =>
      steps.filter((step) => step.pinned).map(({ key }) => ({ kind: 'unpin' as const, doughId: id, key })),
    );
    return {
      acts: pinned,
      needs: [coded('reasons.letGo', { count: pinned.length })],
    };
  }
  const changes = changesOnWay(dough, way);
  if (changes.length > 0) {
    return {
      acts: changes.map((change) => ({ kind: 'dough-change', doughId: dough.id, change })),
      needs: [coded('reasons.aDoughOf', { way: { inLine: WAY_NAMES[way] }, dough: dough.name })],
    };
  }
  return help(db, now, whole, body);
}

/**
 * Frozen pieces stand in for late ones; the dough itself is promised for when it is ready, and refills the freezer. The
 * order book gives frozen stock to what no dough makes in time, so nothing else has to be written down.
 */
async function fromFreezer(
  db: SearchContext['db'],
  { dough, zone, now }: { dough: DoughRecord; zone: string; now: number },
  { late }: Proposal['body'],
): Promise<Means> {
  const own = late.filter(({ doughId: id }) => id === dough.id);
  const [free, products] = await Promise.all([
    doughsDueFrom(db, now).then((doughs) => freePieces(db, doughs, now)),
    keepables(db),
  ]);
  const stock = new Map(products.map(({ productId, name }) => [name, free.get(productId) ?? 0]));
  const told = own.flatMap(({ product, dueAt, readyAt }) => {
    const output = dough.outputs.find((one) => one.product === product);
    const taken = Math.min(output?.pieces ?? 0, stock.get(product) ?? 0);
    return output && taken > 0 ? [{ output, taken, product: product.toLowerCase(), dueAt, readyAt }] : [];
  });
  if (told.length === 0)
    throw new Refusal(
      coded('refusals.noIsInTheFreezer', {
        own: own.map(({ product }) => product.toLowerCase()).join(' or ') || 'piece of it',
      }),
      'way',
    );
  const ready = (readyAt: number) => Math.ceil(readyAt / (5 * MINUTE)) * 5 * MINUTE;
  return {
    acts: told.map(({ output, readyAt }) => ({ kind: 'due', outputId: output.id, dueAt: ready(readyAt) })),
    needs: told.flatMap(({ output, taken, product, dueAt, readyAt }) => [
      coded('reasons.thaw', { pieces: taken, product, time: { dayTime: dueAt, zone } }),
      ...(taken < output.pieces
        ? [
            coded('reasons.tellTheCustomerNotBefore', {
              ...{ pieces: output.pieces - taken, product },
              time: { dayTime: ready(readyAt), zone },
            }),
          ]
        : []),
    ]),
    rest: own.reduce((sum, { product }) => {
      const pieces = dough.outputs.find((one) => one.product === product)?.pieces ?? 0;
      return sum + pieces - (told.find((one) => one.product === product.toLowerCase())?.taken ?? 0);
    }, 0),
  };
}

async function help(
  db: SearchContext['db'],
  now: number,
  whole: WholePlan,
  body: Proposal['body'],
): Promise<Means> {
  const { origin, zone, problem } = whole;
  const [everybody, there] = await Promise.all([
    people(db),
    staffing(db, now - 2 * 24 * 60 * MINUTE, now + 10 * 24 * 60 * MINUTE, zone),
  ]);
  const acts: ProposalAct[] = [];
  const needs: Words[] = [];
  for (const { start, end } of comings(usedBeyond(problem, timesOf(whole, body), CREW), origin)) {
    const taken = acts.flatMap((act) => (act.kind === 'extra-shift' ? [act] : []));
    const person = whoCouldCome(everybody, [...there, ...taken], { start, end });
    if (!person)
      throw new Refusal(
        coded('refusals.nobodyCouldComeTo', { time: { dayTime: start, zone }, time2: { clock: end, zone } }),
        'way',
      );
    acts.push({ kind: 'extra-shift', personId: person.id, start, end });
    needs.push(
      coded('reasons.worksAsWell', {
        ...{ name: person.name, from: { dayTime: start, zone }, to: { clock: end, zone } },
      }),
    );
  }
  return { acts, needs };
}

/** Times of all tasks when a proposal is the plan. */
function timesOf({ present, origin }: WholePlan, { times }: Proposal['body']): Times {
  const minute = (at: number) => Math.round((at - origin) / MINUTE);
  const moved = times.flatMap(([id, steps]) =>
    Object.entries(steps).map(([key, [start, end]]): [string, [number, number]] => {
      return [taskId(id, key), [minute(start), minute(end)]];
    }),
  );
  return { ...present, ...Object.fromEntries(moved) };
}

function comings(used: readonly { from: number; to: number }[], origin: number) {
  const spans: { start: number; end: number }[] = [];
  for (const { from, to } of used) {
    const start = origin + Math.floor(from / 15) * 15 * MINUTE;
    const end = Math.max(start + LEAST_HELP * MINUTE, origin + Math.ceil(to / 15) * 15 * MINUTE);
    const last = spans.at(-1);
    if (last && start - last.end <= ONE_COMING * MINUTE) last.end = Math.max(last.end, end);
    else spans.push({ start, end });
  }
  return spans;
}
