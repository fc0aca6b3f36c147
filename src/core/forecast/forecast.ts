import type { BlockWork } from '../process/block-work';
import type { DoughStep } from '../process/expand';
import { inOrder, mainBefore } from '../process/order';
import type { ProductSpec, RouteLink } from '../process/route';
import type { DoughRecord, PlannedTime } from '../record/dough';
import type { StepState, StepStatus } from '../record/step-state';
import { baggedOfLoads, withLeft } from '../record/frozen';
import { type DoughState, foldDough, isHandsOn } from '../record/state';
import { type Instant, MINUTE } from '../time/local';
import { type Cause, causeOfStart, causeOfWait } from './cause';
import { type Conditions, slownessAt, workingFrom } from './conditions';
import { doseOf, observe } from './observation';
import { type Course, type SettledStep, settleStep, type StepContext, stretched } from './windows';

/** When a wait is ready: it may end from `earliest` to `latest`, is best at `best`, and is expected to end `at`. */
export interface Ready {
  earliest: Instant;
  at: Instant;
  best: Instant;
  latest: Instant;
}

/** A step as it was, is or will be: its window today, and when it is expected. */
export interface StepForecast extends DoughStep, PlannedTime {
  status: StepStatus;
  /** From when on all that comes before it lets it begin; what has begun, when it did. */
  mayStart: Instant;
  /** When it should start: as planned where the dough lets it, and no later than what it waits for keeps. */
  dueAt: Instant;
  /** Recorded where something was, expected otherwise: nothing that is still to come lies in the past. */
  start: Instant;
  end: Instant;
  /** Of a wait that is not over; null for all else. */
  ready: Ready | null;
  /** Temperature of the dough at its start and its end, °C. */
  celsius: { start: number; end: number };
  /** What keeps it from being as planned; null where nothing does. */
  cause: Cause | null;
}

/** A dough as record, bakery and clock have it: every screen and every plan reads this and nothing else. */
export interface DoughForecast {
  id: number;
  name: string;
  lamination: BlockWork | null;
  steps: StepForecast[];
  links: readonly RouteLink[];
  state: DoughState;
}

/** As if a wait were over at some moment, to see how far it has come. */
export interface Ending {
  key: string;
  at: Instant;
}

/** Planned to be over for longer than this and not recorded: forgotten, not late. */
export const FORGOTTEN = 12 * 60 * MINUTE;

/**
 * Forecasts a dough: folds its record, works out each wait's window from what is known of the steps before it, and carries
 * what is late, early or moved through to all later steps.
 *
 * A step that is to come starts when it is planned, unless what it waits for is not ready by then, or keeps no longer, or
 * its machine is out; and never before now. A dough whose whole plan lies more than `FORGOTTEN` back is left as planned.
 *
 * @param planned - facts and plan of the dough, its waits with the windows that its route gives them
 * @param conditions - the bakery as it is now
 */
export function forecastDough(
  planned: DoughRecord,
  conditions: Conditions,
  now: Instant,
  ending?: Ending,
): DoughForecast {
  const { id, name, lamination, links } = planned;
  const state = foldDough(planned, planned.events);
  const record = withoutBagged(planned, state);
  const forecast = (steps: StepForecast[]) => ({ id, name, lamination, steps, links, state });
  if (state.finished && !ending) return forecast(record.steps.map((step) => asRecorded(step, state)));
  const walk = new Walk(record, state, conditions, { now, ending });
  for (const step of inOrder(record.steps, links)) walk.place(step);
  return forecast(record.steps.map(({ key }) => walk.settled(key)));
}

/** A dough with as many pieces in each load as were not bagged when they were shaped. */
function withoutBagged(record: DoughRecord, { bagged }: DoughState): DoughRecord {
  if (bagged.size === 0) return record;
  const gone = baggedOfLoads(bagged, record.steps);
  return gone.size === 0 ? record : { ...record, steps: record.steps.map((step) => withLeft(step, gone)) };
}

const stateIn = (state: DoughState, key: string): StepState => {
  const own = state.steps.get(key);
  if (!own) throw new Error(`The dough has no step ${key}.`);
  return own;
};

/** What a forecast says of a step beside what the step is. */
type Outlook = Omit<StepForecast, keyof DoughStep | keyof PlannedTime>;

/**
 * Puts step and outlook into one object, field by field: thousands are made and read at every look, which is several times
 * faster where all have one shape than where each is a copy with more added. The type names every field, so that none is
 * forgotten.
 */
function stepForecast(step: DoughStep & PlannedTime, outlook: Outlook): StepForecast {
  const forecast: { [Field in keyof Required<StepForecast>]: StepForecast[Field] } = {
    key: step.key,
    step: step.step,
    label: step.label,
    outputId: step.outputId,
    load: step.load,
    min: step.min,
    target: step.target,
    max: step.max,
    shortCost: step.shortCost,
    longCost: step.longCost,
    uses: step.uses,
    place: step.place,
    around: step.around,
    settling: step.settling,
    remark: step.remark,
    never: step.never,
    risen: step.risen,
    plannedStart: step.plannedStart,
    plannedEnd: step.plannedEnd,
    pinned: step.pinned,
    status: outlook.status,
    mayStart: outlook.mayStart,
    dueAt: outlook.dueAt,
    start: outlook.start,
    end: outlook.end,
    ready: outlook.ready,
    celsius: outlook.celsius,
    cause: outlook.cause,
  };
  return forecast;
}

/** A step of a dough of which nothing is open any more. */
function asRecorded(step: DoughRecord['steps'][number], state: DoughState): StepForecast {
  const { status, startedAt, finishedAt } = stateIn(state, step.key);
  const end = finishedAt ?? step.plannedEnd;
  const start = Math.min(startedAt ?? end, end);
  return stepForecast(step, {
    status,
    mayStart: start,
    dueAt: start,
    start,
    end,
    ready: null,
    cause: null,
    celsius: { start: step.around, end: step.around },
  });
}

interface Placed {
  forecast: StepForecast;
  after: SettledStep['after'];
}

/** One pass over a dough's steps in the order of its route. */
class Walk {
  private readonly placed = new Map<string, Placed>();
  private readonly steps: ReadonlyMap<string, DoughStep>;
  private readonly into = new Map<string, RouteLink[]>();
  private readonly outOf = new Map<string, RouteLink[]>();
  private readonly dose: number;
  private readonly clock: Instant;
  /** Machines that are out at some time. */
  private readonly outs: Conditions['machines'];
  /** Machines that take longer at some time. */
  private readonly slow: Conditions['machines'];
  private readonly rises: ReadonlyMap<number | null, ProductSpec['rises']>;

  constructor(
    record: DoughRecord,
    private readonly state: DoughState,
    private readonly conditions: Conditions,
    private readonly at: { now: Instant; ending?: Ending | undefined },
  ) {
    this.steps = new Map(record.steps.map((step) => [step.key, step]));
    for (const link of record.links) {
      add(this.into, link.to, link);
      add(this.outOf, link.from, link);
    }
    this.dose = doseOf(state, record.yeastGrams ?? 0);
    this.rises = new Map<number | null, ProductSpec['rises']>([
      [null, record.rises],
      ...record.outputs.map(({ id, rises }) => [id, rises] as const),
    ]);
    this.outs = conditions.machines.filter(({ outages = [] }) => outages.length > 0);
    this.slow = conditions.machines.filter(({ slow = [] }) => slow.length > 0);
    const last = Math.max(...record.steps.map(({ plannedEnd }) => plannedEnd));
    this.clock = last < at.now - FORGOTTEN ? -Infinity : at.now;
  }

  place(step: DoughRecord['steps'][number]): void {
    const own = stateIn(this.state, step.key);
    const isOver = own.status === 'done' || own.status === 'skipped';
    const wait = !isHandsOn(step);
    const begin = wait ? this.waitStart(step) : this.workStart(step);
    const start = own.startedAt ?? (isOver ? own.finishedAt : null) ?? begin.start;
    const slower = isOver ? 1 : this.slowness(step, own, start);
    const { window, after } = settleStep(
      wait ? step : stretched(step, slower),
      this.courseBefore(step, start),
      this.contextOf(step, own, { start, slower }),
    );
    const ready = wait && !isOver ? this.readyOf(window, step, start) : null;
    const ends = ready ? Math.max(ready.at, own.status === 'running' ? this.clock : ready.at) : 0;
    const expected = wait ? ends : start + window.target * MINUTE;
    const running = own.status === 'running' ? Math.max(expected, this.clock) : expected;
    const end = isOver ? Math.max(start, own.finishedAt ?? start) : (this.endingOf(step.key) ?? running);
    const begun = own.startedAt !== null || isOver;
    const cause = isOver
      ? null
      : ready
        ? causeOfWait({ step, state: own, start, dose: this.dose }, ready, begin.cause)
        : begun
          ? null
          : begin.cause;
    const forecast = stepForecast(window, {
      status: own.status,
      start,
      end,
      ready,
      cause,
      mayStart: begun ? start : begin.mayStart,
      dueAt: begun ? start : begin.dueAt,
      celsius: { start: window.around, end: window.around },
    });
    this.placed.set(step.key, { after, forecast });
  }

  /** A step with its end where the work after it begins, and what its dough is like then. */
  settled(key: string): StepForecast {
    const found = this.placed.get(key);
    if (!found) throw new Error(`The dough has no step ${key}.`);
    const { forecast, after } = found;
    const { ready, start, status } = forecast;
    const next = ready && forecast.step.ends !== 'tap' ? this.firstAfter(key) : null;
    const kept = this.endingOf(key) ?? next;
    const end =
      status === 'done' || status === 'skipped' || kept === null ? forecast.end : Math.max(start, kept);
    const before = this.courseBefore(forecast, start);
    const { course, risen } = after((end - start) / MINUTE);
    const celsius = { start: forecast.step.gives ?? before?.celsius ?? forecast.around, end: course.celsius };
    // In place: what comes after a step asks where it ends.
    forecast.end = end;
    forecast.celsius = celsius;
    if (risen) forecast.risen = risen;
    return forecast;
  }

  private endingOf(key: string): Instant | null {
    const { ending } = this.at;
    return ending?.key === key ? ending.at : null;
  }

  /** The first start of the work that ends a wait; null where no work does. */
  private firstAfter(key: string): Instant | null {
    const starts = (this.outOf.get(key) ?? []).flatMap(({ to, min }) => {
      const next = this.placed.get(to)?.forecast;
      return next && isHandsOn(next) ? next.start - min * MINUTE : [];
    });
    return starts.length > 0 ? Math.min(...starts) : null;
  }

  /** How many times as long a step takes on machines that are slow then; a load in the oven that it is really in. */
  private slowness({ uses, step }: DoughStep, { oven }: StepState, at: Instant): number {
    return this.slow.reduce((most, machine) => {
      const isOn =
        step.kind === 'bake' && oven !== null
          ? machine.id === oven
          : uses.some(({ resource }) => resource === machine.id);
      return isOn ? Math.max(most, slownessAt(machine, at)) : most;
    }, 1);
  }

  private contextOf(
    step: DoughStep,
    own: StepState,
    { start: from, slower }: { start: Instant; slower: number },
  ): StepContext {
    const { places: today } = this.conditions;
    const rises = this.rises.get(step.outputId) ?? {};
    const observation = { from, ...observe(step, own, this.conditions) };
    // Work is longer by itself; a wait in a slow oven or proofer is, as bakes are in an oven that is known to be slow.
    if (slower > 1 && !isHandsOn(step)) observation.stretched = (observation.stretched ?? 1) * slower;
    return { today, rises, dose: this.dose, observation };
  }

  /** The dough that comes into a step, as it is when the step begins. */
  private courseBefore(step: DoughStep, start: Instant): Course | null {
    const before = mainBefore(step, this.into.get(step.key) ?? [], this.steps);
    const from = before && this.placed.get(before.key);
    if (!from) return null;
    const { forecast, after } = from;
    const end = forecast.ready ? (this.endingOf(forecast.key) ?? start) : forecast.end;
    return after(Math.max(0, end - forecast.start) / MINUTE).course;
  }

  private readyOf(window: DoughStep, { plannedEnd }: PlannedTime, start: Instant): Ready {
    const earliest = start + window.min * MINUTE;
    const latest = Math.max(earliest, start + window.max * MINUTE);
    const best = Math.min(latest, Math.max(earliest, start + window.target * MINUTE));
    // Nobody can say when it is ready: it ends as planned.
    if (window.never) return { earliest: start, at: Math.max(start, plannedEnd), best, latest };
    const at = window.step.ends === 'tap' ? best : Math.min(latest, Math.max(earliest, plannedEnd));
    return { earliest, at, best, latest };
  }

  /** When a wait begins by itself: with the end of all that leads to it. */
  private waitStart(step: DoughRecord['steps'][number]): Begin {
    const before = this.before(step.key);
    const starts = before.map(({ min, forecast: { ready, end } }) => (ready?.at ?? end) + min * MINUTE);
    const start = starts.length > 0 ? Math.max(...starts) : step.plannedStart;
    const last = before[starts.indexOf(start)]?.forecast;
    const cause = causeOfStart(step, { dueAt: start, start, from: last ?? null, machine: false });
    return { start, mayStart: start, dueAt: start, cause };
  }

  /** When work to come can and should begin. */
  private workStart(step: DoughRecord['steps'][number]): Begin {
    const before = this.before(step.key).map(({ min, max, forecast }) => {
      const { earliest, latest } = forecast.ready ?? { earliest: forecast.end, latest: forecast.end };
      const keeps = forecast.never ? Infinity : latest;
      return { forecast, low: earliest + min * MINUTE, high: keeps + (max ?? Infinity) * MINUTE };
    });
    const low = Math.max(-Infinity, ...before.map((one) => one.low));
    const high = Math.max(low, Math.min(Infinity, ...before.map((one) => one.high)));
    const wanted = Math.max(low, Math.min(step.plannedStart, high));
    const dueAt = this.machinesFrom(step, wanted);
    const start = Math.max(dueAt, this.clock);
    const from = before.find((one) => (wanted > step.plannedStart ? one.low === low : one.high === high));
    const mayStart = low === -Infinity ? Math.min(this.at.now, step.plannedStart) : low;
    const machine = dueAt > wanted;
    const cause = causeOfStart(step, { dueAt, start, from: from?.forecast ?? null, machine });
    return { start, mayStart: machine ? dueAt : mayStart, dueAt, cause };
  }

  /** From when on all machines that a step holds are working, and for what is loaded the oven that it goes into. */
  private machinesFrom({ key, uses }: DoughStep, at: Instant): Instant {
    const oven = (this.outOf.get(key) ?? []).flatMap(({ to }) => {
      const next = this.steps.get(to);
      return next?.step.ends === 'tap' ? next.uses : [];
    });
    let from = at;
    for (const machine of this.outs) {
      const use = [...uses, ...oven].find(({ resource }) => resource === machine.id);
      if (use) from = workingFrom(machine, use.amount, from);
    }
    return from;
  }

  private before(key: string) {
    return (this.into.get(key) ?? []).flatMap(({ from, min, max }) => {
      const forecast = this.placed.get(from)?.forecast;
      return forecast ? [{ forecast, min, max }] : [];
    });
  }
}

function add(lists: Map<string, RouteLink[]>, key: string, link: RouteLink): void {
  const known = lists.get(key);
  if (known) known.push(link);
  else lists.set(key, [link]);
}

interface Begin {
  start: Instant;
  mayStart: Instant;
  dueAt: Instant;
  cause: Cause | null;
}
