import type { Person } from '../bakery/people';
import { chanceOf } from '../double/chance';
import type { HiddenDough } from '../double/dough-truth';
import { playedBatch } from '../double/played-batch';
import type { RouteStep } from '../process/route';
import { inOrder } from '../process/order';
import { type DoughRecord, stateOf } from '../record/dough';
import { type Instant, MINUTE } from '../time/local';
import type { Board } from '../wire/board';
import type { PlaceFault, Situation, SituationDough } from './situation';

/** A place that is not what it should be, as a place of this house and by the clock. */
export interface SceneFault {
  place: string;
  by: number;
  from: Instant;
  shown: boolean;
  drier?: number;
}

/** A practice night as it opens: a board of its own, and what nobody who works it knows. */
export interface Scene {
  seed: number;
  opensAt: Instant;
  closesAt: Instant;
  /** The floor as it opens. Its doughs are nobody's: they are in no plan and no log. */
  board: Board;
  hidden: Readonly<Record<number, HiddenDough>>;
  faults: SceneFault[];
  thermometer: number;
}

/** What a scene is made of. */
export interface SceneParts {
  situation: Situation;
  /** A dough of which nothing is recorded for each dough of the situation, in its order, with ids of their own. */
  blanks: readonly DoughRecord[];
  /** The house's board, for its people, machines and places. */
  board: Board;
  trainee: Person;
  /** When it opens. */
  opensAt: Instant;
  seed: number;
}

/** The step in which a dough of a situation is; the last of its kind where it has fewer, its first where it has none. */
function stepAt(blank: DoughRecord, { kind, nth }: { kind: RouteStep['kind']; nth: number }): string {
  const own = blank.steps.filter(({ step }) => step.kind === kind && step.branch === undefined);
  const found = own[nth - 1] ?? own.at(-1) ?? blank.steps[0];
  if (!found) throw new Error('A dough has steps.');
  return found.key;
}

/** Whether a dough can open a night in a step of this kind. */
export const hasStep = (blank: Pick<DoughRecord, 'steps'>, kind: RouteStep['kind']): boolean =>
  blank.steps.some(({ step }) => step.kind === kind && step.branch === undefined);

/**
 * Brings a blank dough to where a situation has it: what would have been recorded until the opening, by somebody else, and the
 * plan from there on.
 */
function broughtTo(
  blank: DoughRecord,
  own: SituationDough,
  { opensAt, seed, before }: { opensAt: Instant; seed: number; before: number },
): DoughRecord {
  const key = stepAt(blank, own.at);
  const { record } = playedBatch(blank, {}, seed);
  const begun = stateOf(record).steps.get(key)?.startedAt ?? 0;
  const shift = Math.round(opensAt - own.at.minutes * MINUTE - begun);
  const events = record.events
    .map((event) => ({ ...event, at: Math.round(event.at + shift), doughId: blank.id, personId: before }))
    .filter(({ at }) => at <= opensAt);
  const dough = timed({ ...blank, events }, opensAt);
  return {
    ...dough,
    outputs: dough.outputs.map((output) => ({
      ...output,
      dueAt: lastEnd(dough, output.id) + own.dueAfter * MINUTE,
    })),
    madeAt: Math.min(opensAt, ...events.map(({ at }) => at)),
  };
}

const lastEnd = ({ steps }: DoughRecord, outputId: number): Instant =>
  Math.max(...steps.filter((step) => step.outputId === outputId).map(({ plannedEnd }) => plannedEnd));

/** Plans a dough without a hurry: what was begun when it was, everything else as soon as what comes before it is over. */
export function timed(dough: DoughRecord, opensAt: Instant): DoughRecord {
  const state = stateOf(dough);
  const times = new Map<string, { start: Instant; end: Instant }>();
  const ordered = inOrder(dough.steps, dough.links);
  for (const step of ordered) {
    const own = state.steps.get(step.key);
    const before = dough.links
      .filter(({ to }) => to === step.key)
      .flatMap(({ from }) => times.get(from) ?? []);
    const free = before.length === 0 ? opensAt : Math.max(...before.map(({ end }) => end));
    const start = own?.startedAt ?? free;
    times.set(step.key, { start, end: own?.finishedAt ?? start + step.target * MINUTE });
  }
  // What is still to be made beside the dough is wanted when the dough is ready for it.
  for (const step of [...ordered].reverse()) {
    const next = dough.links.find(({ from }) => from === step.key);
    const [own, after] = [times.get(step.key), next && times.get(next.to)];
    if (!own || !after || step.step.branch === undefined || state.steps.get(step.key)?.startedAt) continue;
    times.set(step.key, { start: after.start - (own.end - own.start), end: after.start });
  }
  return {
    ...dough,
    steps: dough.steps.map((step) => {
      const { start = opensAt, end = opensAt } = times.get(step.key) ?? {};
      return { ...step, plannedStart: start, plannedEnd: end };
    }),
  };
}

const faultOf = ({ place, from, ...fault }: PlaceFault, { rooms }: Board, opensAt: Instant): SceneFault[] => {
  const own = rooms.find(({ kind }) => kind === place);
  return own ? [{ ...fault, place: own.id, from: opensAt + from * MINUTE }] : [];
};

/** The board of a house with the doughs of a night alone, and nobody there but whoever works it. */
export function boardOf(
  board: Board,
  {
    doughs,
    trainee,
    opensAt,
    closesAt,
  }: { doughs: DoughRecord[]; trainee: Person; opensAt: Instant; closesAt: Instant },
): Board {
  return {
    ...board,
    ...{ doughs, scale: null, coreProbes: [] },
    presences: [{ personId: trainee.id, start: opensAt, end: closesAt }],
    calls: { ...board.calls, taken: [], excursions: [], thaws: [], silent: [], troubles: [] },
  };
}

/** Opens a practice night: the same parts give the same night. */
export function openScene({ situation, blanks, board, trainee, opensAt, seed }: SceneParts): Scene {
  const before = board.people.find(({ id, role }) => id !== trainee.id && role === 'baker')?.id ?? trainee.id;
  const doughs = situation.doughs.flatMap((own, i) => {
    const blank = blanks[i];
    return blank ? [broughtTo(blank, own, { opensAt, seed: seed + i, before })] : [];
  });
  const hidden = situation.doughs.flatMap((own, i) => {
    const blank = blanks[i];
    if (!blank) return [];
    const chance = chanceOf(`practice ${i}`, seed);
    const longer = { [stepAt(blank, own.at)]: own.longer };
    const vigour = own.vigour * chance.factor(0.03);
    return [[blank.id, { vigour, warmer: own.warmer, strength: own.strength, longer }] as const];
  });
  const closesAt = opensAt + situation.hours * 60 * MINUTE;
  return {
    ...{ seed, opensAt, closesAt, thermometer: situation.thermometer },
    hidden: Object.fromEntries(hidden),
    faults: situation.places.flatMap((fault) => faultOf(fault, board, opensAt)),
    board: boardOf(board, { doughs, trainee, opensAt, closesAt }),
  };
}
