import type { StepState } from '@/core/record/step-state';
import { hasPlace } from '../store/places';
import { coded, type Words } from '@/core/codes/coded';
import { crowdedDecks, deckSize, decksOut } from '@/core/bakery/decks';
import { machinesOf, type Machine } from '@/core/bakery/machines';
import { ovenOf } from '@/core/forecast/observation';
import { scrapOffers } from '@/core/record/scrap';
import { type DoughRecord, stateOf } from '@/core/record/dough';
import { CHECK_ANSWERS, type CheckName, type EventData, type FloorEvent } from '@/core/record/events';
import { blockName } from '@/core/record/turns';
import { type Db } from '../db/rows';
import { doughToCheck, type DoughToCheck } from '../store/doughs';
import { machinePools } from '../store/house';
import { scrapLimits, scrapStock } from '../store/scrap';
import { Refusal } from './command';
import { doughsOnDecks, doughsWithProbe } from '../store/floor-events';

/** A step of a dough, and what was recorded of it, where an event is about one. */
interface AtStep {
  dough: DoughToCheck;
  step: DoughToCheck['steps'][number] | undefined;
  state: StepState | undefined;
  label: Words;
}

type Data<K extends EventData['kind']> = Extract<EventData, { kind: K }>;

/** Refuses folds, checks, weights and trimmings that make no sense amid what is known of their dough. */
export async function refuseOddWork(
  db: Db,
  dough: DoughToCheck,
  event: FloorEvent,
  now: number,
): Promise<void> {
  const { data } = event;
  const step = dough.steps.find(({ key }) => key === event.stepKey);
  const state = event.stepKey === null ? undefined : stateOf(dough).steps.get(event.stepKey);
  const at: AtStep = { dough, step, state, label: step?.label ?? coded('refusals.this') };
  switch (data?.kind) {
    case 'turned':
      return refuseOddTurn(data, at);
    case 'checked':
      return refuseOddCheck(data, at);
    case 'probed':
    case 'moved':
      return refuseOddPlace(db, data, at, now);
    case 'decks':
      return refuseOddDecks(db, data, at, now);
    case 'frozen':
      return refuseOddFrozen(data, at);
    case 'counted':
      return refuseOddCount(data, at);
    case 'marked':
      return refuseEarlyMarks(at);
    case 'pieces':
      if (step?.step.kind !== 'divide' && step?.step.kind !== 'sheet')
        throw new Refusal(coded('refusals.piecesAreWeighedWhereADough'), 'stepKey');
      return refuseUnstarted(at, 'refusals.hasNotBeenStarted');
    case 'scrap':
      return refuseMoreThanDough(dough, data.grams);
    case 'scrap-taken':
      return refuseTooMuchScrap(db, dough, data, now);
  }
}

function refuseUnstarted(
  { state, label }: AtStep,
  code: 'refusals.hasNotBeenStarted' | 'refusals.hasNotBegun',
): void {
  if (state?.startedAt === null) throw new Refusal(coded(code, { label }), 'stepKey');
}

function refuseOddTurn({ block }: Data<'turned'>, at: AtStep): void {
  const { dough, step, label } = at;
  if (step?.step.turn === undefined) throw new Refusal(coded('refusals.isNoTurn', { label }), 'stepKey');
  refuseUnstarted(at, 'refusals.hasNotBeenStarted');
  if (block !== null && block > dough.blocks)
    throw new Refusal(
      coded('refusals.hasNoBlock', { name: dough.name, blockName: blockName(block) }),
      'data.block',
    );
}

/** Looks that say when a wait is over. */
const OF_A_WAIT: readonly CheckName[] = ['bend', 'spring', 'bake'];

function refuseOddCheck({ check, answer }: Data<'checked'>, at: AtStep): void {
  const { step, label } = at;
  const found: readonly string[] = CHECK_ANSWERS[check];
  if (answer !== 'good' && !found.includes(answer))
    throw new Refusal(coded('refusals.sayHowItWas'), 'data.answer');
  if (check === 'window' && step?.step.kind !== 'mix')
    throw new Refusal(coded('refusals.theWindowIsLookedForIn'), 'stepKey');
  // What was seen in passing is told of any step; only these end or prolong a wait.
  if (OF_A_WAIT.includes(check) && step?.step.wait === undefined)
    throw new Refusal(coded('refusals.isNotAWaitToBe', { label }), 'stepKey');
  refuseUnstarted(at, 'refusals.hasNotBegun');
}

async function refuseOddPlace(
  db: Db,
  data: Data<'moved'> | Data<'probed'>,
  at: AtStep,
  now: number,
): Promise<void> {
  const { dough, step, label } = at;
  const isProbe = data.kind === 'probed';
  const place = isProbe ? data.probe : data.place;
  if (step?.step.wait === undefined || step.step.kind === 'bake')
    throw new Refusal(coded('refusals.isNoWaitNothingStandsAnywhere', { label }), 'stepKey');
  refuseUnstarted(at, 'refusals.hasNotBegun');
  if (place !== null && !(await hasPlace(db, place, isProbe)))
    throw new Refusal(coded('refusals.theHouseHasNoSuchPlace2', { isKind: !isProbe }), 'data');
  if (isProbe && data.probe !== null) await refuseProbeElsewhere(db, dough, data.probe, now);
}

async function refuseOddDecks(db: Db, data: Data<'decks'>, at: AtStep, now: number): Promise<void> {
  const { step, state, label } = at;
  if (step?.step.kind !== 'bake') throw new Refusal(coded('refusals.isNotInTheOven', { label }), 'stepKey');
  const id = data.oven ?? ovenOf(step, state);
  const oven = machinesOf('oven', await machinePools(db, now, now + 1)).find((one) => one.id === id);
  if (!oven) throw new Refusal(coded('refusals.theBakeryHasNoSuchOven'), 'data.oven');
  if (Math.max(0, ...data.decks) > (oven.decks ?? 1))
    throw new Refusal(
      coded('refusals.theHasDecks', { label: oven.label.toLowerCase(), decks: oven.decks ?? 1 }),
      'data.decks',
    );
  const broken = decksOut(oven, now).find((deck) => data.decks.includes(deck));
  if (broken !== undefined) throw new Refusal(coded('refusals.deckIsOut', { deck: broken }), 'data.decks');
  await refuseCrowdedDecks(db, data, { at, oven, trays: traysOf(step) }, now);
}

const traysOf = ({ uses }: DoughToCheck['steps'][number]): number =>
  uses.find(({ setting }) => setting !== undefined)?.amount ?? 1;

/** Two loads have no room on one deck: one of them is somewhere else. */
async function refuseCrowdedDecks(
  db: Db,
  { decks }: Data<'decks'>,
  { at, oven, trays }: { at: AtStep; oven: Machine; trays: number },
  now: number,
): Promise<void> {
  const doughs = [at.dough];
  for (const { id } of await doughsOnDecks(db, at.dough.id, now)) {
    const other = await doughToCheck(db, id);
    if (other) doughs.push(other);
  }
  const others = doughs.flatMap((dough) =>
    dough.steps.flatMap((step) => {
      const state = stateOf(dough).steps.get(step.key);
      if (step.step.kind !== 'bake' || state?.status !== 'running' || !state.decks) return [];
      if ((dough === at.dough && step.key === at.step?.key) || ovenOf(step, state) !== oven.id) return [];
      return { name: dough.name, decks: state.decks, trays: traysOf(step) };
    }),
  );
  const [deck] = crowdedDecks({ decks, trays }, others, deckSize(oven));
  if (deck === undefined) return;
  const names = others.filter((other) => other.decks.includes(deck)).map(({ name }) => name);
  throw new Refusal(coded('refusals.deckIsFull', { deck, name: names }), 'data.decks');
}

function refuseOddCount({ good, second, waste }: Data<'counted'>, { step, label }: AtStep): void {
  if (!step?.load) throw new Refusal(coded('refusals.hasNoPiecesToCount', { label }), 'stepKey');
  const [made, told] = [step.load.pieces, good + second + waste];
  // A sheet may give a row more than was planned; twice as many is a slip of the finger.
  if (told > 2 * made)
    throw new Refusal(coded('refusals.piecesWerePlannedAreMoreThan', { made, told }), 'data.good');
}

/** Pieces are bagged when they are shaped, or where they are frozen; never more than there are. */
function refuseOddFrozen({ pieces }: Data<'frozen'>, { dough, step, label }: AtStep): void {
  const output = dough.outputs.find(({ id }) => id === step?.outputId);
  if (!output || !step || (step.step.kind !== 'shape' && step.step.stock !== 'in'))
    throw new Refusal(coded('refusals.hasNoPiecesToFreeze', { label }), 'stepKey');
  const most = step.load?.pieces ?? output.pieces;
  if (pieces > most) throw new Refusal(coded('refusals.onlySoManyAreLeft', { pieces: most }), 'data.pieces');
}

function refuseEarlyMarks({ dough, step }: AtStep): void {
  const { steps } = stateOf(dough);
  const bakes = dough.steps.filter((one) => one.step.kind === 'bake' && one.outputId === step?.outputId);
  if (step?.outputId === null || bakes.some(({ key }) => steps.get(key)?.finishedAt === null))
    throw new Refusal(coded('refusals.isJudgedWhenItBaked', { name: dough.name }), 'stepKey');
}

function refuseMoreThanDough({ name, kg }: DoughToCheck, grams: number): void {
  if (grams <= kg * 1000) return;
  const weighs = { name, kg: Math.round(kg * 10) / 10 };
  throw new Refusal(coded('refusals.weighsKgItsTrimmingsCannotBe', weighs), 'data.grams');
}

async function refuseTooMuchScrap(
  db: Db,
  dough: DoughToCheck,
  { from, grams }: { from: number; grams: number },
  now: number,
): Promise<void> {
  if (from === dough.id) throw new Refusal(coded('refusals.aDoughSOwnTrimmingsDo'), 'data.from');
  const [stock, limits] = await Promise.all([scrapStock(db, now), scrapLimits(db)]);
  const offers = scrapOffers(stock, dough.kg * 1000, { ...limits, taken: scrapTaken(dough) });
  const offer = offers.find(({ fromDough }) => fromDough === from);
  if (!offer) throw new Refusal(coded('refusals.thoseTrimmingsAreNotThereAny'), 'data.from');
  if (offer.refused) throw new Refusal(offer.refused, 'data.from');
  if (grams > offer.most + 1)
    throw new Refusal(
      coded('refusals.atMostGNoMoreThan', {
        most: Math.floor(offer.most),
        share: Math.round(limits.share * 100),
      }),
      'data.grams',
    );
}

/** Grams of earlier trimmings that a dough has had. */
export function scrapTaken(dough: Pick<DoughRecord, 'steps' | 'links' | 'events'>): number {
  return [...stateOf(dough).steps.values()]
    .flatMap(({ records }) => records)
    .reduce((sum, { data }) => sum + (data.kind === 'scrap-taken' ? data.grams : 0), 0);
}

/** A core probe is in one dough: what it says would be believed of both. */
async function refuseProbeElsewhere(
  db: Db,
  dough: DoughToCheck,
  coreProbe: string,
  now: number,
): Promise<void> {
  const others = await doughsWithProbe(db, dough.id, now);
  for (const { id } of others) {
    const other = await doughToCheck(db, id);
    const states = other ? [...stateOf(other).steps.values()] : [];
    if (other && states.some((state) => state.status === 'running' && state.coreProbe?.id === coreProbe))
      throw new Refusal(coded('refusals.thatCoreProbeIsIn', { name: other.name }), 'data');
  }
}
