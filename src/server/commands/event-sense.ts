import { coded } from '@/core/codes/coded';
import { machinesOf } from '@/core/bakery/machines';
import { ovenOf } from '@/core/forecast/observation';
import { scrapOffers } from '@/core/record/scrap';
import { stateOf, type DoughRecord } from '@/core/record/dough';
import type { FloorEvent } from '@/core/record/events';
import { blockName } from '@/core/record/turns';
import { rowsOf, type Db } from '../db/rows';
import { doughToCheck, type DoughToCheck } from '../store/doughs';
import { machines } from '../store/house';
import { scrapLimits, scrapStock } from '../store/scrap';
import { Refusal } from './command';

/** Says what is wrong with folds, checks, weights and trimmings amid what is known of their dough. */
export async function refuseOddWork(
  db: Db,
  dough: DoughToCheck,
  event: FloorEvent,
  now: number,
): Promise<void> {
  const { data } = event;
  const step = dough.steps.find(({ key }) => key === event.stepKey);
  const state = event.stepKey === null ? undefined : stateOf(dough).steps.get(event.stepKey);
  const label = step?.label ?? coded('refusals.this');
  switch (data?.kind) {
    case 'turned': {
      if (step?.step.turn === undefined) throw new Refusal(coded('refusals.isNoTurn', { label }), 'stepKey');
      if (state?.startedAt === null)
        throw new Refusal(coded('refusals.hasNotBeenStarted', { label }), 'stepKey');
      const blocks = dough.blocks;
      if (data.block !== null && data.block > blocks)
        throw new Refusal(
          coded('refusals.hasNoBlock', { name: dough.name, blockName: blockName(data.block) }),
          'data.block',
        );
      return;
    }
    case 'checked':
      if (data.check === 'window' && step?.step.kind !== 'mix')
        throw new Refusal(coded('refusals.theWindowIsLookedForIn'), 'stepKey');
      if (data.check !== 'window' && step?.step.wait === undefined)
        throw new Refusal(coded('refusals.isNotAWaitToBe', { label }), 'stepKey');
      if (state?.startedAt === null) throw new Refusal(coded('refusals.hasNotBegun', { label }), 'stepKey');
      return;
    case 'needle':
    case 'moved': {
      const place = data.kind === 'moved' ? data.place : data.needle;
      if (step?.step.wait === undefined || step.step.kind === 'bake')
        throw new Refusal(coded('refusals.isNoWaitNothingStandsAnywhere', { label }), 'stepKey');
      if (state?.startedAt === null) throw new Refusal(coded('refusals.hasNotBegun', { label }), 'stepKey');
      const known = await rowsOf<{ id: string }>(db, 'SELECT id FROM place WHERE id = ? AND in_dough = ?', [
        ...[place, data.kind === 'needle'],
      ]);
      if (place !== null && known.length === 0)
        throw new Refusal(
          coded('refusals.theHouseHasNoSuchPlace2', { isKind: data.kind === 'moved' }),
          'data',
        );
      if (data.kind === 'needle' && data.needle !== null)
        await refuseNeedleElsewhere(db, dough, data.needle, now);
      return;
    }
    case 'decks': {
      if (step?.step.kind !== 'bake')
        throw new Refusal(coded('refusals.isNotInTheOven', { label }), 'stepKey');
      const ovens = machinesOf('oven', await machines(db));
      const id = data.oven ?? ovenOf(step, state);
      const oven = ovens.find((one) => one.id === id);
      if (!oven) throw new Refusal(coded('refusals.theBakeryHasNoSuchOven'), 'data.oven');
      if (Math.max(...data.decks) > (oven.decks ?? 1))
        throw new Refusal(
          coded('refusals.theHasDecks', { label: oven.label.toLowerCase(), decks: oven.decks ?? 1 }),
          'data.decks',
        );
      return;
    }
    case 'counted': {
      const made = step?.load?.pieces ?? 0;
      const told = data.good + data.second + data.waste;
      if (!step?.load) throw new Refusal(coded('refusals.hasNoPiecesToCount', { label }), 'stepKey');
      // A sheet may give a row more than was planned; twice as many is a slip of the finger.
      if (told > 2 * made)
        throw new Refusal(coded('refusals.piecesWerePlannedAreMoreThan', { made, told }), 'data.good');
      return;
    }
    case 'marked': {
      const bakes = dough.steps.filter(
        ({ step: s, outputId }) => s.kind === 'bake' && outputId === step?.outputId,
      );
      const states = stateOf(dough).steps;
      if (step?.outputId === null || bakes.some(({ key }) => states.get(key)?.finishedAt === null))
        throw new Refusal(coded('refusals.isJudgedWhenItBaked', { name: dough.name }), 'stepKey');
      return;
    }
    case 'pieces':
      if (step?.step.kind !== 'divide' && step?.step.kind !== 'sheet')
        throw new Refusal(coded('refusals.piecesAreWeighedWhereADough'), 'stepKey');
      if (state?.startedAt === null)
        throw new Refusal(coded('refusals.hasNotBeenStarted', { label }), 'stepKey');
      return;
    case 'scrap':
      if (data.grams > dough.kg * 1000)
        throw new Refusal(
          coded('refusals.weighsKgItsTrimmingsCannotBe', {
            name: dough.name,
            kg: Math.round(dough.kg * 10) / 10,
          }),
          'data.grams',
        );
      return;
    case 'scrap-taken':
      return refuseTooMuchScrap(db, dough, data, now);
  }
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

/** How far back it is looked for a needle that nobody has taken out, days: no dough waits for longer. */
const NEEDLE_DAYS = 4;

/** A needle is in one dough: what it says would be believed of both. */
async function refuseNeedleElsewhere(
  db: Db,
  dough: DoughToCheck,
  needle: string,
  now: number,
): Promise<void> {
  const others = await rowsOf<{ id: number }>(
    db,
    "SELECT DISTINCT dough_id AS id FROM floor_event WHERE kind = 'needle' AND dough_id <> ? AND at > ?",
    [dough.id, new Date(now - NEEDLE_DAYS * 24 * 3_600_000)],
  );
  for (const { id } of others) {
    const other = await doughToCheck(db, id);
    const states = other ? [...stateOf(other).steps.values()] : [];
    if (other && states.some((state) => state.status === 'running' && state.needle?.id === needle))
      throw new Refusal(coded('refusals.thatNeedleIsInTakeIt', { name: other.name }), 'data');
  }
}
