import { coded } from '../codes/coded';
import type { DoughStep } from '../process/expand';
import { inOrder } from '../process/order';
import type { RouteLink } from '../process/route';
import { foldEvent } from './event-kinds';
import type { FloorEvent } from './events';
import { type Bagged, baggedIn, frozenIn } from './frozen';
import { endBagged } from './end-bagged';
import { endClosed, endLost, lossesIn, type Loss } from './losses';
import type { Instant } from '../time/local';
import type { StepState } from './step-state';
import { effectiveEvents } from './undo';

export interface DoughState {
  steps: Map<string, StepState>;
  notes: StepState['notes'];
  losses: Loss[];
  /** Pieces in the freezer by what was recorded, by output. */
  frozen: ReadonlyMap<number, number>;
  /** The same by the step at which it was recorded, with where they are. */
  bagged: ReadonlyMap<string, Bagged>;
  /** When and by whom it was closed without a record; null where it was not. */
  closed: { at: Instant; personId: number } | null;
  /** All steps done or skipped. */
  finished: boolean;
  started: boolean;
}

interface Route {
  steps: readonly DoughStep[];
  links: readonly RouteLink[];
  /** How many blocks it is laminated in, where that is known. */
  blocks?: number;
  lamination?: { blocks: number } | null;
}

/** A route with what comes before and after each step at hand. */
interface Graph {
  step: (key: string) => DoughStep;
  before: (key: string) => readonly string[];
  after: (key: string) => readonly string[];
}

function graphOf({ steps, links }: Route): Graph {
  const byKey = new Map(steps.map((step) => [step.key, step]));
  const before = new Map<string, string[]>(steps.map(({ key }) => [key, []]));
  const after = new Map<string, string[]>(steps.map(({ key }) => [key, []]));
  for (const { from, to } of links) {
    before.get(to)?.push(from);
    after.get(from)?.push(to);
  }
  return {
    step: (key) => {
      const step = byKey.get(key);
      if (!step) throw new Error(`The dough has no step ${key}.`);
      return step;
    },
    before: (key) => before.get(key) ?? [],
    after: (key) => after.get(key) ?? [],
  };
}

/** True for steps that people do; the others are waits, which begin and end with what is around them. */
export function isHandsOn(step: DoughStep): boolean {
  return step.step.work !== undefined;
}

/**
 * Folds events into the state of a dough.
 *
 * Hands-on steps start and finish when somebody says so; if two tablets say so, the first counts. A wait is never
 * tapped into being: it runs from the end of what comes before it and ends with the start of what comes after, or
 * when somebody ends it ("out of the oven").
 */
export function foldDough(route: Route, events: readonly FloorEvent[]): DoughState {
  const steps = new Map(route.steps.map(({ key }) => [key, freshState(key)]));
  const notes: StepState['notes'] = [];
  const effective = effectiveEvents(events);
  const losses = lossesIn(effective);
  for (const event of effective) {
    const state = event.stepKey === null ? undefined : steps.get(event.stepKey);
    if (state) foldEvent(state, event);
    else if (event.kind === 'note') notes.push({ text: event.text, at: event.at, personId: event.personId });
  }
  const graph = graphOf(route);
  coverTurns(route, graph, steps);
  const bagged = baggedIn(effective);
  endLost(route.steps, losses, steps);
  if (bagged.size > 0) endBagged(route.steps, effective, bagged, steps);
  endClosed(route.steps, effective, steps);
  deriveWaits(route, graph, steps);
  for (const step of route.steps) {
    const state = stateOf(steps, step.key);
    state.startable = isHandsOn(step) && state.status === 'open' && isReached(graph, steps, step.key);
  }
  const all = [...steps.values()];
  const closing = effective.findLast(({ kind }) => kind === 'close');
  return {
    steps,
    notes,
    losses,
    bagged,
    frozen: frozenIn(bagged, route.steps),
    closed: closing ? { at: closing.at, personId: closing.personId } : null,
    finished: all.every(({ status }) => status === 'done' || status === 'skipped'),
    started: all.some(({ status }) => status !== 'open'),
  };
}

function freshState(key: string): StepState {
  // One plain literal: this is made for every step at every look, and putting it together from parts is slow.
  return {
    key,
    status: 'open',
    startedAt: null,
    startedBy: null,
    finishedAt: null,
    takenBy: null,
    finishedBy: null,
    skipReason: null,
    isEndedWithDough: false,
    enteredAt: null,
    temperatures: [],
    notes: [],
    verdict: null,
    alive: [],
    notBefore: null,
    conditions: null,
    oven: null,
    decks: null,
    coreProbe: null,
    moved: null,
    changes: [],
    records: [],
    startable: false,
  };
}

function stateOf(steps: ReadonlyMap<string, StepState>, key: string): StepState {
  const state = steps.get(key);
  if (!state) throw new Error(`The dough has no step ${key}.`);
  return state;
}

/**
 * A turn is over when every block has had it, whatever the tablet of the last one knew of the others. Turns that every block
 * had in one go with an earlier one are over too, and so are the rests between them.
 */
function coverTurns(route: Route, graph: Graph, steps: Map<string, StepState>): void {
  // The last turn that each block has had; those that were never named by themselves have had `ofAll`.
  const reach = new Map<number, number>();
  let ofAll = 0;
  const blocks = route.blocks ?? route.lamination?.blocks ?? 1;
  for (const { key, step } of route.steps) {
    const own = stateOf(steps, key);
    const last = own.records.findLast(({ data }) => data.kind === 'turned');
    if (step.turn === undefined || !last) continue;
    for (const { data } of own.records) {
      if (data.kind !== 'turned') continue;
      const to = step.turn + data.covers;
      if (data.block === null) ofAll = Math.max(ofAll, to);
      else reach.set(data.block, Math.max(reach.get(data.block) ?? 0, to));
    }
    const all = Array.from({ length: blocks }, (_, i) => Math.max(ofAll, reach.get(i + 1) ?? 0));
    if (blocks > 1 && own.finishedAt === null && own.status !== 'skipped' && Math.min(...all) >= step.turn)
      Object.assign(own, { status: 'done', finishedAt: last.at, finishedBy: last.personId });
    // Where nobody knows how many there are, those that had a turn are all when it is over.
    const each = blocks > 1 ? all : own.status === 'done' ? [...reach.values()] : [];
    const covered = Math.max(ofAll, each.length > 0 ? Math.min(...each) : 0);
    if (covered <= step.turn) continue;
    for (const between of stepsUpTo(graph, key, covered)) {
      const state = stateOf(steps, between);
      if (isOver(state)) continue;
      state.status = 'skipped';
      state.finishedAt = last.at;
      state.finishedBy = last.personId;
      state.skipReason = coded('steps.givenWithTurn', { turn: step.turn });
    }
  }
}

/** Steps after a turn up to the turn with this number, that one included. */
function stepsUpTo(graph: Graph, from: string, last: number): string[] {
  const found: string[] = [];
  for (let [key] = graph.after(from); key !== undefined; [key] = graph.after(key)) {
    const nth = graph.step(key).step.turn;
    if (nth !== undefined && nth > last) break;
    found.push(key);
    if (nth === last) return found;
  }
  // The scheme has fewer turns than that: only the turns that are there.
  return found.slice(0, found.findLastIndex((key) => graph.step(key).step.turn !== undefined) + 1);
}

const isOver = (state: StepState) => state.status === 'done' || state.status === 'skipped';

function deriveWaits(route: Route, graph: Graph, steps: Map<string, StepState>): void {
  for (const step of inOrder(route.steps, route.links)) {
    if (isHandsOn(step)) continue;
    const state = stateOf(steps, step.key);
    const before = graph.before(step.key).map((key) => stateOf(steps, key));
    if (before.length > 0 && before.every(isOver)) {
      state.startedAt ??= Math.max(...before.map((s) => s.finishedAt ?? -Infinity));
    }
    const endedBy = firstStartAfter(graph, steps, step.key);
    if (state.status !== 'skipped' && state.finishedAt === null && endedBy !== null) {
      state.finishedAt = endedBy.startedAt;
      state.finishedBy = endedBy.startedBy;
    }
    if (state.status !== 'skipped') {
      state.status = state.finishedAt !== null ? 'done' : state.startedAt !== null ? 'running' : 'open';
    }
  }
}

/** The first recorded start among the hands-on steps that end a wait, looking through waits that follow on. */
function firstStartAfter(graph: Graph, steps: Map<string, StepState>, key: string): StepState | null {
  const started = graph
    .after(key)
    .map((to) => (isHandsOn(graph.step(to)) ? stateOf(steps, to) : firstStartAfter(graph, steps, to)))
    .filter((state): state is StepState => state !== null && (state.startedAt ?? state.finishedAt) !== null);
  const at = (state: StepState) => state.startedAt ?? state.finishedAt ?? Infinity;
  const first = started.sort((a, b) => at(a) - at(b))[0];
  return first ? { ...first, startedAt: at(first), startedBy: first.startedBy ?? first.finishedBy } : null;
}

/** True when all before a step is over, or is a wait that the step's start would end. */
function isReached(graph: Graph, steps: Map<string, StepState>, key: string): boolean {
  return graph.before(key).every((from) => {
    const state = stateOf(steps, from);
    const step = graph.step(from);
    if (isOver(state)) return true;
    // Of waits that follow one another, the last cannot have begun before somebody ends them all.
    return (
      !isHandsOn(step) &&
      step.step.ends !== 'tap' &&
      (state.status === 'running' || isReached(graph, steps, from))
    );
  });
}
