import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast } from './forecast';
import type { DoughRecord, OutputRecord } from '../record/dough';
import { piecesLeft } from '../record/frozen';

/** A promise against the plan: when its goods are ready, and how late or stale they are then. */
export interface PromiseState {
  output: OutputRecord;
  readyAt: Instant;
  /** Minutes after the due time; 0 when it is kept. */
  late: number;
  /** Minutes by which they were ready earlier than they keep fresh. */
  stale: number;
}

/** The promises of a dough as plan and floor have them now; what is lost as a whole is promised to nobody any more. */
export function promisesOf(
  dough: Pick<DoughForecast, 'steps' | 'state'>,
  { outputs }: Pick<DoughRecord, 'outputs'>,
): PromiseState[] {
  return outputs.flatMap((output) => {
    const ends = dough.steps.filter(({ outputId }) => outputId === output.id).map(({ end }) => end);
    if (ends.length === 0 || piecesLeft(dough.state, output) === 0) return [];
    const readyAt = Math.max(...ends);
    const early = (output.dueAt - readyAt) / MINUTE - output.freshFor;
    return [
      {
        ...{ output, readyAt },
        late: Math.max(0, Math.round((readyAt - output.dueAt) / MINUTE)),
        stale: Math.max(0, Math.round(early)),
      },
    ];
  });
}
