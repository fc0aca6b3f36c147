import type { DoughStep } from '../process/expand';
import type { FloorEvent } from './events';
import { lostOf, type Loss } from './losses';

/** Pieces of one load that are in the freezer by what was recorded, and where. */
export interface Bagged {
  pieces: number;
  where: string | null;
}

/** What was put into the freezer, by the step at which it was recorded; the last word on each counts. */
export function baggedIn(events: readonly FloorEvent[]): ReadonlyMap<string, Bagged> {
  const byStep = new Map<string, Bagged>();
  for (const event of events)
    if (event.kind === 'bag' && event.stepKey !== null)
      byStep.set(event.stepKey, { pieces: event.data.pieces, where: event.data.where ?? null });
  return byStep;
}

/** The same summed up by output. */
export function frozenIn(
  bagged: ReadonlyMap<string, Bagged>,
  steps: readonly Pick<DoughStep, 'key' | 'outputId'>[],
): ReadonlyMap<number, number> {
  const byOutput = new Map<number, number>();
  for (const { key, outputId } of steps) {
    const own = bagged.get(key);
    if (outputId !== null && own) byOutput.set(outputId, (byOutput.get(outputId) ?? 0) + own.pieces);
  }
  return byOutput;
}

type Loaded = Pick<DoughStep, 'key' | 'outputId' | 'load' | 'step'>;

/** Pieces of each load that were bagged when they were shaped, by `output/load`: they are not baked with the rest. */
export function baggedOfLoads(
  bagged: ReadonlyMap<string, Bagged>,
  steps: readonly Loaded[],
): ReadonlyMap<string, number> {
  const byLoad = new Map<string, number>();
  for (const step of steps) {
    const own = bagged.get(step.key);
    if (own && step.load && step.step.stock !== 'in') byLoad.set(loadOf(step), own.pieces);
  }
  return byLoad;
}

const loadOf = ({ outputId, load }: Pick<DoughStep, 'outputId' | 'load'>) => `${outputId}/${load?.nth}`;

/**
 * A step with as many pieces and trays as its load still has, in its oven and wherever it stands; the step itself where nothing
 * of its load was bagged.
 *
 * @example
 * withLeft(bake, new Map([['5/1', 20]])).load; // of 60 pieces on 6 trays: { …, pieces: 40, trays: 4 }
 */
export function withLeft<S extends DoughStep>(step: S, bagged: ReadonlyMap<string, number>): S {
  const gone = step.load && bagged.size > 0 ? (bagged.get(loadOf(step)) ?? 0) : 0;
  if (!step.load || gone <= 0) return step;
  const { pieces, trays } = step.load;
  const left = Math.max(0, pieces - gone);
  const traysLeft = Math.ceil((trays * left) / Math.max(1, pieces));
  const uses = step.uses.map((use) => (use.amount === trays ? { ...use, amount: traysLeft } : use));
  return { ...step, load: { ...step.load, pieces: left, trays: traysLeft }, uses };
}

/** Steps of loads that went into the freezer as a whole, after the one at which they were bagged: nothing of them is baked. */
export function stepsOfBagged<S extends Loaded>(
  bagged: ReadonlyMap<string, Bagged>,
  steps: readonly S[],
): { steps: S[]; key: string }[] {
  return steps.flatMap((shape, i) => {
    const own = bagged.get(shape.key);
    if (!own || !shape.load || shape.step.stock === 'in' || own.pieces < shape.load.pieces) return [];
    const later = steps.slice(i + 1).filter((step) => step.load && loadOf(step) === loadOf(shape));
    return [{ steps: later, key: shape.key }];
  });
}

/**
 * How many pieces of an output are still there for whom they were promised: neither lost nor, though they were to be baked fresh, in
 * the freezer.
 *
 * @example
 * piecesLeft({ losses: [], frozen: new Map([[7, 60]]) }, { id: 7, pieces: 120 }); // 60
 */
export function piecesLeft(
  { losses, frozen }: { losses: readonly Loss[]; frozen: ReadonlyMap<number, number> },
  output: { id: number; pieces: number; way?: string },
): number {
  const kept = output.way === undefined ? (frozen.get(output.id) ?? 0) : 0;
  return Math.max(0, output.pieces - lostOf(losses, output) - kept);
}
