import type { Instant } from '../time/local';
import type { DoughForecast } from './forecast';

/** What a load goes through at its end, in order. */
const LAST = ['proof', 'wash', 'load'] as const;
export type LastKind = (typeof LAST)[number];

export interface LastStep {
  key: string;
  kind: LastKind;
  at: Instant;
}

/**
 * The last steps of a dough that are still to come, of the load that is first to be baked: when it goes to proof, is
 * washed, and goes into the oven. Empty where that load is in the oven, or the dough is not baked.
 */
export function lastSteps({ steps, state }: Pick<DoughForecast, 'steps' | 'state'>): LastStep[] {
  const isOpen = (key: string) => (state.steps.get(key)?.status ?? 'open') === 'open';
  const ovens = steps.filter(({ key, step }) => step.kind === 'load' && isOpen(key));
  const [first] = ovens.sort((a, b) => a.start - b.start);
  if (!first) return [];
  return steps
    .filter(({ outputId, load }) => outputId === first.outputId && load?.nth === first.load?.nth)
    .flatMap(({ key, step, start }): LastStep[] => {
      const kind = LAST.find((one) => one === step.kind);
      return kind !== undefined && step.branch === undefined && isOpen(key) ? [{ key, kind, at: start }] : [];
    })
    .sort((a, b) => a.at - b.at);
}
