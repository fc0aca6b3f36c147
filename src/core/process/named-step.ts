import type { Words } from '../codes/coded';
import { NEW_BRANCHES, NEW_STEPS, type OwnKind } from './new-step';
import type { BranchKind, RouteStep } from './route';
import { LAMINATE } from './scheme-steps';
import { BRANCH_STEP_NAMES, COOLING_CAUTION, KIND_CAUTIONS, KIND_NAMES } from './step-words';
import { freeStepId, type Thread } from './threads';

/** Names things in the house's language; or leaves them messages, which whoever reads them says. */
export type SayWords = (words: Words) => Words;

/** A step of a kind with its usual values, named in the reader's language: the name is the bakery's own from then on. */
export function newStep(kind: OwnKind, threads: readonly Thread[], say: SayWords): RouteStep {
  const caution = KIND_CAUTIONS[kind];
  return {
    ...{ id: kind === 'laminate' ? LAMINATE : freeStepId(threads, kind), kind, label: say(KIND_NAMES[kind]) },
    ...NEW_STEPS[kind],
    ...(caution ? { caution: say(caution) } : {}),
  };
}

/** The steps that a branch begins with. */
export function newBranch(
  branch: Exclude<BranchKind, 'butter'>,
  threads: readonly Thread[],
  say: SayWords,
): { branch: BranchKind; steps: RouteStep[] } {
  const taken = [...threads];
  const steps = NEW_BRANCHES[branch].map((body, i): RouteStep => {
    const step = {
      ...{ id: freeStepId(taken, branch), label: say(BRANCH_STEP_NAMES[branch][i] ?? ''), ...body },
      ...(body.cools ? { caution: say(COOLING_CAUTION) } : {}),
    };
    taken.push({ joins: null, steps: [{ step, gap: { min: 0 } }] });
    return step;
  });
  return { branch, steps };
}
