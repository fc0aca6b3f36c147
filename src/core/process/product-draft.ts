import type { PieceSpec, ProductRoute, Rise, RisePhase } from './route';
import { routeOf, threadsOf, type Gap, type Thread } from './threads';

/** A product as a planner writes it: its dough, its piece, and how it is worked. */
export interface ProductDraft {
  name: string;
  /** What its doughs are called in the plan: "Crescent" makes "Crescent 12". */
  doughName: string;
  formulaId: number | null;
  /** The version of its formula that it stays with, where that is not the newest. */
  olderFormula?: { versionId: number; version: number };
  /** How it is laminated; null for a dough that is not. */
  schemeId: number | null;
  piece: PieceSpec;
  /** Minutes for which the goods count as fresh. */
  freshFor: number;
  /** What a minute late costs, against what is usual, which is 1. */
  lateness?: number;
  rises: Partial<Record<RisePhase, Rise>>;
  /** Steps of the whole dough, up to where it is cut or divided. */
  dough: Thread[];
  /** Steps of the pieces of each load, from there to what leaves the bakery. */
  output: Thread[];
  /** Between the two. */
  fork: Gap;
}

/** A route as threads. */
export function draftRoute({
  dough,
  output,
  fork,
}: ProductRoute): Pick<ProductDraft, 'dough' | 'output' | 'fork'> {
  const { min, max } = fork;
  return {
    ...{ dough: threadsOf(dough), output: threadsOf(output) },
    fork: { min, ...(max === undefined ? {} : { max }) },
  };
}

/** Threads as the route that is planned by: the dough's last step leads to the pieces' first. */
export function routeOfDraft({
  dough,
  output,
  fork,
}: Pick<ProductDraft, 'dough' | 'output' | 'fork'>): ProductRoute {
  return {
    ...{ dough: routeOf(dough), output: routeOf(output) },
    fork: {
      ...{ from: dough[0]?.steps.at(-1)?.step.id ?? '', to: output[0]?.steps[0]?.step.id ?? '' },
      ...fork,
    },
  };
}
