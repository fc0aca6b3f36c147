import type { Settings } from '@/core/bakery/settings';
import type { Person } from '@/core/bakery/people';
import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { rises, stateOf } from '@/core/record/dough';
import { cooling } from '@/core/climate/cooling';
import { EVENT_KINDS, FLOOR_EVENT_KINDS } from '@/core/record/event-kinds';
import {
  type EventData,
  eventOf,
  type EventOf,
  type FloorEvent,
  type FloorEventKind,
} from '@/core/record/events';
import { lostOf } from '@/core/record/losses';
import type { Lesson } from '@/core/wire/lesson';
import { mayRecord, mayUndo } from '@/core/shopfloor/rights';
import { type DoughState, isHandsOn } from '@/core/record/state';
import { MINUTE } from '@/core/time/local';
import { fromFahrenheit } from '@/core/units/temperature';
import { type Db, insertOnce } from '../db/rows';
import { coolingRuleOf } from '../store/calls';
import { doughToCheck, type DoughToCheck, keepFinished } from '../store/doughs';
import { settleStock } from '../store/stock';
import { houseSettings } from '../store/house';
import { command, type CommandContext, Refusal } from './command';
import { eventData } from './event-data';
import { refuseOddWork } from './event-sense';
import { learnFrom, unlearn } from './learn';
import { clientId, doughId } from './schemas';
import { happenedAt, instant } from './times';
import { eventById } from '../store/floor-events';

export interface EventInput {
  id: string;
  doughId: number;
  stepKey: string | null;
  kind: FloorEventKind;
  /** When it happened; left out, now. */
  at?: number;
  celsius?: number;
  text?: string;
  undoes?: string;
  data?: EventData | null;
}

/** Steps that are hot, where a reading above this is nothing strange. */
const HOT = ['bake', 'load', 'cool', 'finish', 'filling'];
const HOTTEST_DOUGH = 45;

const schema = Joi.object<EventInput>({
  id: clientId,
  doughId,
  stepKey: Joi.string()
    .max(80)
    .allow(null)
    .required()
    .messages({ '*': asText(coded('refusals.nameAStepOfTheDough')) }),
  kind: Joi.string()
    .valid(...FLOOR_EVENT_KINDS)
    .required()
    .messages({ '*': asText(coded('refusals.aStepCanBeStartedFinished')) }),
  at: instant,
  celsius: Joi.number()
    .when('kind', { is: 'temperature', then: Joi.required() })
    .messages({ '*': asText(coded('refusals.typeATemperatureSuchAs24')) }),
  text: Joi.string()
    .trim()
    .when('kind', { is: Joi.valid('note', 'skip', 'lost'), then: Joi.required() })
    .messages({ '*': asText(coded('refusals.sayItInAFewWords')) }),
  undoes: Joi.string()
    .guid()
    .when('kind', { is: 'undo', then: Joi.required() })
    .messages({ '*': asText(coded('refusals.sayWhatToUndo')) }),
  data: eventData,
});

type CheckedStep = DoughToCheck['steps'][number];

/** Refuses an event that makes no sense amid what is known of its dough. */
async function refuseNonsense(
  { db, person, now }: Pick<CommandContext, 'db' | 'person' | 'now'>,
  dough: DoughToCheck,
  event: FloorEvent,
): Promise<void> {
  const settings = await houseSettings(db);
  const step = dough.steps.find(({ key }) => key === event.stepKey);
  if (event.stepKey !== null && !step)
    throw new Refusal(coded('refusals.hasNoSuchStep', { name: dough.name }), 'stepKey');
  if (event.stepKey === null && !OF_THE_DOUGH.includes(event.kind))
    throw new Refusal(coded('refusals.sayWhichStep'), 'stepKey');
  if (event.kind === 'lost') refuseOddLoss(dough, event);
  if (event.kind === 'close') refuseFinished(dough);
  if ((event.text?.length ?? 0) > settings.longestNote)
    throw new Refusal(coded('refusals.thatIsLongerThanANote', { house: settings.longestNote }), 'text');
  if (event.celsius !== null) refuseOddTemperature(event.celsius, step, settings);
  if (event.kind === 'alive' && !step?.step.alive)
    throw new Refusal(
      coded('refusals.isNoLevainSpongeOrYeast', { label: step?.label ?? coded('refusals.ThisStep') }),
      'stepKey',
    );
  if (event.kind === 'verdict') refuseOddVerdict(dough, step);
  if (event.kind === 'undo') refuseOddUndo(dough, event, person);
  if (!step) return;
  if (event.kind === 'start') await refuseOddStart(db, dough, step, { now, at: event.at });
  if (event.kind === 'finish') refuseOddFinish(dough, step, event.at);
}

/** What is recorded of a whole dough, and of no step of it; taken back as well. */
const OF_THE_DOUGH: readonly FloorEventKind[] = ['note', 'lost', 'close', 'undo'];

function refuseFinished(dough: DoughToCheck): DoughState {
  const state = stateOf(dough);
  if (state.finished) throw new Refusal(coded('refusals.isOverAlready', { dough: dough.name }), 'doughId');
  return state;
}

function refuseOddLoss(dough: DoughToCheck, { data: { output, pieces } }: EventOf<'lost'>): void {
  const { losses } = refuseFinished(dough);
  const own = dough.outputs.find(({ id }) => id === output);
  if (output !== null && !own)
    throw new Refusal(coded('refusals.hasNoSuchOutput', { name: dough.name }), 'data.output');
  if (!own || pieces === null) return;
  const left = own.pieces - lostOf(losses, own);
  if (pieces > left) throw new Refusal(coded('refusals.onlySoManyAreLeft', { pieces: left }), 'data.pieces');
}

function refuseOddTemperature(celsius: number, step: CheckedStep | undefined, settings: Settings): void {
  const [low, high] = [settings.readingLowest, settings.readingHighest];
  if (celsius < low || celsius > high)
    throw new Refusal(coded('refusals.cIsNoDoughTemperatureBetween', { celsius, low, high }), 'celsius');
  const mayBeHot = !step || HOT.includes(step.step.kind) || step.step.branch === 'filling';
  if (mayBeHot || celsius <= HOTTEST_DOUGH) return;
  const asFahrenheit = Math.round(fromFahrenheit(celsius) * 10) / 10;
  throw new Refusal(coded('refusals.cWouldKillTheYeastOf', { celsius, asFahrenheit }), 'celsius');
}

function refuseOddVerdict(dough: DoughToCheck, step: CheckedStep | undefined): void {
  if (!step || !rises(dough, step))
    throw new Refusal(
      coded('refusals.nothingRisesDuring', {
        label: step ? { inLine: step.label } : coded('refusals.thisStep'),
      }),
      'stepKey',
    );
  if (stateOf(dough).steps.get(step.key)?.startedAt === null)
    throw new Refusal(coded('refusals.hasNotBegun', { label: step.label }), 'stepKey');
}

function refuseOddUndo(dough: DoughToCheck, event: FloorEvent, person: Person): void {
  const target = dough.events.find(({ id }) => id === event.undoes);
  if (!target) throw new Refusal(coded('refusals.thereIsNothingOfThatKind'), 'undoes');
  if (target.at > event.at) throw new Refusal(coded('refusals.thatHappenedLaterThanThis'), 'at');
  if (!mayUndo(person, target)) throw new Refusal(coded('refusals.thatWasRecordedBySomebodyElse'), 'undoes');
}

/** By how much the clocks of two tablets may differ, ms. */
const CLOCKS = 2 * MINUTE;

async function refuseOddStart(
  db: Db,
  dough: DoughToCheck,
  step: CheckedStep,
  { now, at }: { now: number; at: number },
): Promise<void> {
  if (!isHandsOn(step)) throw new Refusal(coded('refusals.startsByItself', { label: step.label }), 'stepKey');
  await refuseSpoilt(db, dough, step.key, now);
  const { steps } = stateOf(dough);
  const own = steps.get(step.key);
  if (own?.status !== 'open') return;
  if (own.startable) return refuseBeforeOthers(dough, step, at);
  const before = dough.links
    .filter((link) => link.to === step.key)
    .map((link) => dough.steps.find(({ key }) => key === link.from))
    .find((s) => s && !['done', 'skipped'].includes(steps.get(s.key)?.status ?? 'open'));
  throw new Refusal(
    coded('refusals.comesFirstFinishOrSkipIt', { label: before?.label ?? coded('refusals.theStepBefore') }),
    'stepKey',
  );
}

/** What was entered afterwards cannot have begun before what leads to it was over. */
function refuseBeforeOthers(dough: DoughToCheck, { key, label }: CheckedStep, at: number): void {
  const { steps } = stateOf(dough);
  for (const { from } of dough.links.filter(({ to }) => to === key)) {
    const before = dough.steps.find((one) => one.key === from);
    const state = steps.get(from);
    const over = before && isHandsOn(before) ? state?.finishedAt : state?.startedAt;
    if (before && (over ?? -Infinity) > at + CLOCKS)
      throw new Refusal(coded('refusals.cannotStartBeforeThat', { label, before: before.label }), 'at');
  }
}

function refuseOddFinish(dough: DoughToCheck, { key, label }: CheckedStep, at: number): void {
  const startedAt = stateOf(dough).steps.get(key)?.startedAt ?? null;
  if (startedAt === null) throw new Refusal(coded('refusals.hasNotBeenStarted', { label }), 'stepKey');
  if (at < startedAt) throw new Refusal(coded('refusals.cannotEndBeforeItStarted', { label }), 'at');
}

/** What was not cold in time is not worked with; that it was measured so is in the log for good. */
async function refuseSpoilt(db: Db, dough: DoughToCheck, key: string, now: number): Promise<void> {
  const state = stateOf(dough);
  const before = new Set(dough.links.filter(({ to }) => to === key).map(({ from }) => from));
  const spoilt = dough.steps.filter(({ key: own, step }) => step.cools && before.has(own));
  if (spoilt.length === 0) return;
  const rule = coolingRuleOf((await houseSettings(db)).coolingRule);
  for (const { key: own, label } of spoilt) {
    const { startedAt = null, temperatures = [] } = state.steps.get(own) ?? {};
    if (startedAt === null) continue;
    const { passed } = cooling(rule, startedAt, temperatures, now);
    if (passed) throw new Refusal(coded('refusals.wasNotAtCInTime', { label, to: passed.to }), 'stepKey');
  }
}

/** Records what happened on the floor. The same id again changes nothing. */
export const recordEvent = command<EventInput, { id: string; recorded: boolean; lesson: Lesson | null }>({
  name: 'record-event',
  schema,
  doughOf: (input) => input.doughId,
  eventOf: ({ id, recorded }) => (recorded ? id : null),
  async run({ db, person, now, sessionId }, input) {
    const known = await eventById(db, input.id);
    if (known) return { id: input.id, recorded: false, lesson: null };
    if (!mayRecord(person, input.kind))
      throw new Refusal(coded('refusals.helpsAndMayNotJudgeOr', { name: person.name }));
    const dough = await doughToCheck(db, input.doughId);
    if (!dough) throw new Refusal(coded('refusals.thisDoughIsNotInThe'), 'doughId');
    const event = eventOf({
      ...{ id: input.id, doughId: dough.id, stepKey: input.stepKey, kind: input.kind, personId: person.id },
      at: happenedAt(input.at, now, dough.madeAt),
      celsius: input.celsius ?? null,
      text: input.text ?? null,
      undoes: input.undoes ?? null,
      data: input.data ?? null,
    });
    await refuseNonsense({ db, person, now }, dough, event);
    await refuseOddWork(db, dough, event, now);
    const recorded = await insertOnce(db, 'floor_event', {
      ...{ id: event.id, dough_id: dough.id, step_key: event.stepKey, kind: event.kind },
      ...{ at: new Date(event.at), person_id: person.id, celsius: event.celsius, text: event.text },
      ...{ undoes: event.undoes, data: event.data === null ? null : JSON.stringify(event.data) },
      // What is sent with its own time has waited on a tablet.
      ...{ received_at: new Date(now), session_id: sessionId, waited: input.at !== undefined },
    });
    if (recorded && event.kind === 'undo') await unlearn(db, dough, event);
    if (recorded && EVENT_KINDS[event.kind].moves) {
      await settleStock(db, dough.id, now);
      await keepFinished(db, { ...dough, events: [...dough.events, event] });
    }
    const lesson = recorded ? await learnFrom(db, dough, event) : null;
    return { id: event.id, recorded, lesson };
  },
});
