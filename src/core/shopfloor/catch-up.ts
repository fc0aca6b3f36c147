import type { DoughForecast, StepForecast } from '../forecast/forecast';
import { endsByHand } from '../forecast/observation';
import { inOrder } from '../process/order';
import { isHandsOn } from '../record/state';
import type { StepState } from '../record/step-state';
import { MINUTE, type Instant } from '../time/local';

/** The door of a place was opened, by its probe; or a core probe was put in or taken out, which is its own place. */
export interface DoorOpening {
  place: string;
  at: Instant;
}

/** What is known beside the record when times are offered. */
export interface Evidence {
  doors?: readonly DoorOpening[];
  /** Ends that somebody has entered, by step. */
  ends?: ReadonlyMap<string, Instant>;
  /** Steps that were not done, by key: nothing after them was either. */
  without?: ReadonlySet<string>;
}

/** A step that should be over by now and is not recorded, with the times that are offered for it. */
export interface Unrecorded {
  step: StepForecast;
  start: Instant;
  end: Instant;
  /** Its start is recorded, its end is not. */
  isRunning: boolean;
  /** What the end follows from: the plan, a probe, something recorded later, or what was entered. */
  basis: 'plan' | 'probe' | 'later' | 'entered';
  /** It was entered as over before what leads to it can have been. */
  isTooEarly: boolean;
}

/** How far a door opening may be from the planned time and still be taken for it, minutes. */
const NEAR = 25;

/**
 * Lists what should be over and is not recorded, in the order of the route, as if everything before it had been done as offered.
 *
 * A time offered is the planned one, but never before what leads to the step is over. Where a probe saw the door of the place that
 * the dough goes into or comes out of at about that time, it is then; and never after something that was recorded of a later step.
 *
 * @param now - steps are listed whose offered end is not after it
 */
export function unrecorded(
  { steps, links, state }: Pick<DoughForecast, 'steps' | 'links' | 'state'>,
  now: Instant,
  { doors = [], ends = new Map(), without = new Set() }: Evidence = {},
): Unrecorded[] {
  const found: Unrecorded[] = [];
  const placed = new Map<string, { low: Instant; isOpen: boolean; step: StepForecast }>();
  const into = (key: string) =>
    links.flatMap(({ from, to, min }) => {
      const before = to === key ? placed.get(from) : undefined;
      return before ? [{ ...before, low: before.low + min * MINUTE }] : [];
    });
  const bounds = laterWords({ steps, links, state });
  for (const step of inOrder(steps, links)) {
    const own = state.steps.get(step.key);
    const before = into(step.key);
    const low = Math.max(-Infinity, ...before.map((one) => one.low));
    const put = (from: Instant, isOpen: boolean) => placed.set(step.key, { low: from, isOpen, step });
    if (!own || own.status === 'done' || own.status === 'skipped') {
      put(own?.finishedAt ?? low, false);
      continue;
    }
    const isHeld = before.some(({ isOpen }) => isOpen) || without.has(step.key);
    if (!endsByHand(step)) {
      put((own.startedAt ?? low) + step.min * MINUTE, isHeld);
      continue;
    }
    if (isHeld) {
      put(low, true);
      continue;
    }
    const offer = offered(step, own, low, {
      doors: doors.filter(({ place }) => touches(step, { links, steps, state }, place)),
      entered: ends.get(step.key),
      bound: bounds.get(step.key) ?? Infinity,
    });
    const isOver = offer.end <= now;
    if (isOver) found.push({ step, isRunning: own.startedAt !== null, ...offer });
    put(offer.end, !isOver);
  }
  return found;
}

interface Hints {
  doors: readonly DoorOpening[];
  entered: Instant | undefined;
  /** Nothing of it can have ended later. */
  bound: Instant;
}

function offered(
  step: StepForecast,
  { startedAt }: StepState,
  low: Instant,
  { doors, entered, bound }: Hints,
): Omit<Unrecorded, 'step' | 'isRunning'> {
  const lasts = step.target * MINUTE;
  const hands = isHandsOn(step);
  const lowest = Math.max(low, startedAt ?? -Infinity);
  const planned = startedAt ?? (hands ? Math.max(low, step.plannedStart) : low);
  const startOf = (end: Instant) => startedAt ?? (hands ? Math.max(lowest, end - lasts) : low);
  if (entered !== undefined)
    return {
      ...{ start: Math.min(startOf(entered), entered), end: entered },
      ...{ basis: 'entered', isTooEarly: entered < lowest },
    };
  const end = planned + lasts;
  const door = nearest(doors, end);
  const seen = door !== null && door >= lowest ? door : null;
  const by = Math.max(lowest, Math.min(seen ?? end, bound));
  const basis = by === bound && by !== (seen ?? end) ? 'later' : seen !== null ? 'probe' : 'plan';
  return { start: Math.min(startOf(by), by), end: by, basis, isTooEarly: false };
}

function nearest(doors: readonly DoorOpening[], at: Instant): Instant | null {
  const near = doors.filter((door) => Math.abs(door.at - at) <= NEAR * MINUTE);
  return near.reduce<Instant | null>(
    (best, { at: one }) => (best === null || Math.abs(one - at) < Math.abs(best - at) ? one : best),
    null,
  );
}

/**
 * Whether a step ends at the door of a place: it puts the dough there, or the dough was there until its end; or it comes right
 * after a wait that had this core probe in its dough.
 */
function touches(
  step: StepForecast,
  { links, steps, state }: Pick<DoughForecast, 'links' | 'steps' | 'state'>,
  place: string,
): boolean {
  if (links.some(({ from, to }) => to === step.key && state.steps.get(from)?.coreProbe?.id === place))
    return true;
  if (!isHandsOn(step)) return step.place === place || step.uses.some(({ resource }) => resource === place);
  return links.some(
    ({ from, to }) => from === step.key && steps.find(({ key }) => key === to)?.place === place,
  );
}

/** Before when each step was over, by what was recorded of steps behind it. */
function laterWords({
  steps,
  links,
  state,
}: Pick<DoughForecast, 'steps' | 'links' | 'state'>): Map<string, Instant> {
  const bounds = new Map<string, Instant>();
  for (const { key } of inOrder(steps, links).reverse()) {
    const behind = links
      .filter(({ from }) => from === key)
      .flatMap(({ to }) => {
        const next = state.steps.get(to);
        return [bounds.get(to) ?? Infinity, ...(next ? wordsOf(next) : [])];
      });
    bounds.set(key, Math.min(Infinity, ...behind));
  }
  return bounds;
}

const wordsOf = ({
  startedAt,
  finishedAt,
  temperatures,
  coreProbe,
  moved,
  records,
}: StepState): Instant[] => [
  ...(startedAt === null ? [] : [startedAt]),
  ...(finishedAt === null ? [] : [finishedAt]),
  ...[...temperatures, ...records, ...(coreProbe ? [coreProbe] : []), ...(moved ? [moved] : [])].map(
    ({ at }) => at,
  ),
];

/** When something was last recorded of a dough; null where nothing was. */
export function lastRecorded({ state }: Pick<DoughForecast, 'state'>): Instant | null {
  const all = [
    ...[...state.steps.values()].flatMap(wordsOf),
    ...[...state.notes, ...state.losses].map(({ at }) => at),
  ];
  return all.length === 0 ? null : Math.max(...all);
}

/**
 * Whether the record of a dough has stopped: something of it should have been over for longer than `quiet` minutes, and nothing was
 * recorded of it since. What it is at is then not known, and nobody is called to it.
 */
export function hasStopped(
  dough: Pick<DoughForecast, 'steps' | 'links' | 'state'>,
  now: Instant,
  quiet: number,
): boolean {
  if (dough.state.finished) return false;
  const since = now - quiet * MINUTE;
  // Cheap for what keeps time: only a dough with something overdue is looked through.
  const overdue = dough.steps.some(
    (step) =>
      endsByHand(step) &&
      Math.min(step.plannedEnd, step.plannedStart + step.target * MINUTE) <= since &&
      isLeft(dough.state.steps.get(step.key)),
  );
  if (!overdue) return false;
  const last = lastRecorded(dough);
  return (last === null || last <= since) && unrecorded(dough, since).length > 0;
}

const isLeft = (state: StepState | undefined) => state?.status === 'open' || state?.status === 'running';

/** Whether all of a dough was planned to be over before some moment, though it is not recorded. */
export function isLongOver(
  { steps, state }: Pick<DoughForecast, 'steps' | 'state'>,
  before: Instant,
): boolean {
  return (
    !state.finished && steps.length > 0 && Math.max(...steps.map(({ plannedEnd }) => plannedEnd)) < before
  );
}
