import type { DoughStep } from '../process/expand';
import type { FloorEvent } from './events';
import { lostOf, type Loss } from './losses';

/** Pieces of an output that were recorded as put into the freezer, by output; the last word on each step counts. */
export function frozenIn(
  events: readonly FloorEvent[],
  steps: readonly Pick<DoughStep, 'key' | 'outputId'>[],
): ReadonlyMap<number, number> {
  const byStep = new Map<string, number>();
  for (const event of events)
    if (event.kind === 'bag' && event.stepKey !== null) byStep.set(event.stepKey, event.data.pieces);
  const byOutput = new Map<number, number>();
  for (const { key, outputId } of steps) {
    const pieces = byStep.get(key);
    if (outputId !== null && pieces !== undefined)
      byOutput.set(outputId, (byOutput.get(outputId) ?? 0) + pieces);
  }
  return byOutput;
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
