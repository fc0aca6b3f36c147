import { coded } from '../codes/coded';
import { Fault } from '../codes/fault';
import type { BranchKind, Route, RouteLink, RouteStep } from './route';

/** Minutes from the end of what comes before to the start of a step: at least, and at most; no `max`, no upper bound. */
export interface Gap {
  min: number;
  max?: number;
}

/** At once: no minute goes by between. */
export const AT_ONCE: Gap = { min: 0, max: 0 };

/** A step of a thread, and how long after the one before it; what the first of a thread has there is not looked at. */
export interface ThreadStep {
  step: RouteStep;
  gap: Gap;
}

/**
 * A route as bakers tell it: steps that follow one another. The main thread leads to the end; every other one is made
 * beside it and joins a step.
 */
export interface Thread {
  steps: ThreadStep[];
  joins: { step: string; gap: Gap } | null;
  /** What a thread beside the main one makes. */
  branch?: BranchKind;
}

/**
 * A route's threads, the main one first. Where several ways lead to a step, the dough's goes on and those of branches join.
 *
 * @throws {Fault} where steps go in a circle, a step leads to several, there is no step, or more than one end
 *
 * @example
 * threadsOf({ steps: [feed, ripen, mix], links: [{ from: 'feed', to: 'ripen', … }, { from: 'ripen', to: 'mix', … }] });
 * // [{ steps: [mix], joins: null }, { steps: [feed, ripen], joins: { step: 'mix', … }, branch: 'levain' }]
 */
export function threadsOf({ steps, links }: Route): Thread[] {
  const stepOf = new Map(steps.map((step) => [step.id, step]));
  refuseOddLinks(links, stepOf);
  const [end, other] = steps.filter(({ id }) => !links.some(({ from }) => from === id));
  if (!end) throw new Fault(steps.length === 0 ? coded('product.noSteps') : circle(steps));
  if (other) throw new Fault(coded('product.leadsNowhere', { step: other.label, end: end.label }));
  const threads: Thread[] = [];
  const placed = new Set<string>();
  const walk = (last: RouteStep, joins: Thread['joins']): void => {
    const thread: Thread = { steps: [], joins, ...(joins && last.branch ? { branch: last.branch } : {}) };
    threads.push(thread);
    const joining: RouteLink[] = [];
    for (let step: RouteStep | undefined = last; step;) {
      placed.add(step.id);
      const at: string = step.id;
      const before = links.filter(({ to }) => to === at);
      // Of several ways the dough's own goes on; of a branch, whichever comes first.
      const on = before.find(({ from }) => stepOf.get(from)?.branch === (joins ? last.branch : undefined));
      joining.push(...before.filter((link) => link !== on));
      thread.steps.unshift({ step, gap: on ? gapOf(on) : AT_ONCE });
      step = on && stepOf.get(on.from);
    }
    for (const link of joining) {
      const from = stepOf.get(link.from);
      if (from) walk(from, { step: link.to, gap: gapOf(link) });
    }
  };
  walk(end, null);
  const left = steps.filter(({ id }) => !placed.has(id));
  if (left.length > 0) throw new Fault(circle(left));
  return threads;
}

function refuseOddLinks(links: readonly RouteLink[], stepOf: ReadonlyMap<string, RouteStep>): void {
  const led = new Set<string>();
  for (const { from, to } of links) {
    const step = stepOf.get(from);
    if (!step || !stepOf.has(to)) throw new Fault(coded('product.noSuchStep', { step: step ? to : from }));
    if (led.has(from)) throw new Fault(coded('product.leadsToTwo', { step: step.label }));
    led.add(from);
  }
}

const circle = (steps: readonly RouteStep[]) =>
  coded('product.circle', { steps: steps.slice(0, 4).map(({ label }) => label) });

const gapOf = ({ min, max }: RouteLink): Gap => ({ min, ...(max === undefined ? {} : { max }) });

/** The route that threads tell: what is beside the main thread comes first, as it is done first. */
export function routeOf(threads: readonly Thread[]): Route {
  const inOrder = [...threads].reverse();
  return {
    steps: inOrder.flatMap(({ steps, joins, branch }) =>
      steps.map(({ step }) => {
        const own = { ...step };
        delete own.branch;
        return joins && branch ? { ...own, branch } : own;
      }),
    ),
    links: inOrder.flatMap(({ steps, joins }) => {
      const along = steps.slice(1).map(({ step, gap }, i) => linkOf(steps[i], step.id, gap));
      return joins ? [...along, linkOf(steps.at(-1), joins.step, joins.gap)] : along;
    }),
  };
}

const linkOf = (from: ThreadStep | undefined, to: string, gap: Gap): RouteLink => ({
  from: from?.step.id ?? '',
  to,
  ...gap,
});

/** Where a step is: which thread, and which of its steps; null where there is none of that id. */
function placeIn(threads: readonly Thread[], id: string): { thread: number; at: number } | null {
  for (const [thread, { steps }] of threads.entries()) {
    const at = steps.findIndex(({ step }) => step.id === id);
    if (at >= 0) return { thread, at };
  }
  return null;
}

const withSteps = (threads: readonly Thread[], nth: number, steps: ThreadStep[]): Thread[] =>
  threads.map((thread, i) => (i === nth ? { ...thread, steps } : thread));

/** Puts a step after another; before the first of the main thread where `after` is null. */
export function addStep(threads: readonly Thread[], after: string | null, step: RouteStep): Thread[] {
  const place = after === null ? { thread: 0, at: -1 } : placeIn(threads, after);
  if (!place) return [...threads];
  const { steps } = threads[place.thread] as Thread;
  return withSteps(threads, place.thread, steps.toSpliced(place.at + 1, 0, { step, gap: AT_ONCE }));
}

/** How long what is made by hands alone may stand before it is used, minutes: not from one day to the next. */
const STANDS = 4 * 60;

/** Begins a thread beside the others, which joins a step: at once where its last step is a wait, which has a window itself. */
export function addBranch(
  threads: readonly Thread[],
  joins: string,
  { branch, steps }: { branch: BranchKind; steps: readonly RouteStep[] },
): Thread[] {
  const own = steps.map((step) => ({ step, gap: AT_ONCE }));
  const gap = steps.at(-1)?.wait ? AT_ONCE : { min: 0, max: STANDS };
  return [...threads, { branch, joins: { step: joins, gap }, steps: own }];
}

/** Replaces a step by what it has become; its id stays. */
export function changeStep(threads: readonly Thread[], { step, gap }: ThreadStep): Thread[] {
  const place = placeIn(threads, step.id);
  if (!place) return [...threads];
  const { steps } = threads[place.thread] as Thread;
  return withSteps(threads, place.thread, steps.with(place.at, { step, gap }));
}

/** Moves a step among those of its thread: -1 for one earlier. It stays where it is at the ends. */
export function moveStep(threads: readonly Thread[], id: string, by: -1 | 1): Thread[] {
  const place = placeIn(threads, id);
  if (!place) return [...threads];
  const { steps } = threads[place.thread] as Thread;
  const to = place.at + by;
  const own = steps[place.at];
  if (!own || to < 0 || to >= steps.length) return [...threads];
  return withSteps(threads, place.thread, steps.toSpliced(place.at, 1).toSpliced(to, 0, own));
}

/**
 * Takes a step out. What joined it joins the next of its thread, or the one before where it was the last; a branch without
 * steps is gone, and what joined it joins what it joined. The last step of the main thread stays.
 */
export function removeStep(threads: readonly Thread[], id: string): Thread[] {
  const place = placeIn(threads, id);
  if (!place) return [...threads];
  const { steps, joins } = threads[place.thread] as Thread;
  const heir = (steps[place.at + 1] ?? steps[place.at - 1])?.step.id ?? joins?.step;
  if (heir === undefined) return [...threads];
  return withSteps(threads, place.thread, steps.toSpliced(place.at, 1))
    .filter((thread) => thread.steps.length > 0)
    .map((thread) =>
      thread.joins?.step === id ? { ...thread, joins: { ...thread.joins, step: heir } } : thread,
    );
}

/** Lets the thread of a step join another step. A step of its own, or of what joins it, would be a circle: then nothing changes. */
export function joinAt(
  threads: readonly Thread[],
  of: string,
  joins: NonNullable<Thread['joins']>,
): Thread[] {
  const own = placeIn(threads, of);
  const to = placeIn(threads, joins.step);
  if (!own || !to || own.thread === 0) return [...threads];
  for (let at: number | undefined = to.thread; at !== undefined;) {
    if (at === own.thread) return [...threads];
    const next: Thread['joins'] = threads[at]?.joins ?? null;
    at = next ? placeIn(threads, next.step)?.thread : undefined;
  }
  return threads.map((thread, i) => (i === own.thread ? { ...thread, joins } : thread));
}

/** An id for a new step that none has yet: "rest", "rest-2". */
export function freeStepId(threads: readonly Thread[], kind: string): string {
  const taken = new Set(threads.flatMap(({ steps }) => steps.map(({ step }) => step.id)));
  if (!taken.has(kind)) return kind;
  let nth = 2;
  while (taken.has(`${kind}-${nth}`)) nth++;
  return `${kind}-${nth}`;
}

/** A route of these steps, with what is made beside those of its own that stay. */
export function withMain(route: Route, steps: readonly ThreadStep[]): Route {
  const threads: Thread[] = [{ steps: [...steps], joins: null }];
  const kept = new Set(steps.map(({ step }) => step.id));
  // A thread comes behind the one that it joins.
  for (const thread of threadsOf(route).slice(1)) {
    if (!thread.joins || !kept.has(thread.joins.step)) continue;
    threads.push(thread);
    for (const { step } of thread.steps) kept.add(step.id);
  }
  return routeOf(threads);
}
