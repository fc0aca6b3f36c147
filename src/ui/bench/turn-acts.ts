import type { Say } from '@/words/say';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { EventBody, FoldRecord } from '@/core/record/events';
import type { StepState } from '@/core/record/step-state';
import { blockName } from '@/core/record/turns';
import type { Fold } from '@/core/lamination/stack';
import { FOLD_WORDS } from '@/core/lamination/words';

type Step = DoughForecast['steps'][number];

/** The blocks that have had this turn, and the one whose turn it is; null when all have. */
export function blockInHand(dough: Pick<DoughForecast, 'lamination'>, state: StepState): number | null {
  const blocks = dough.lamination?.blocks ?? 1;
  for (let block = 1; block <= blocks; block++) {
    const told = state.records.some(
      ({ data }) => data.kind === 'turned' && (data.block === null || data.block === block),
    );
    if (!told) return block;
  }
  return null;
}

/**
 * What is recorded when a turn is done: of several blocks the one in hand, and the step's end with the last of them. A
 * single block's turn, given as the scheme has it, needs no word beyond its end.
 */
export function turnDone(dough: DoughForecast, step: Step, state: StepState, folds?: Fold[]): EventBody {
  const blocks = dough.lamination?.blocks ?? 1;
  const block = blockInHand(dough, state) ?? blocks;
  const own = step.step.given?.fold;
  if (blocks === 1 && !folds) return { kind: 'finish' };
  const turned: FoldRecord = {
    kind: 'turned',
    block: blocks === 1 ? null : block,
    folds: folds ?? (own ? [own] : []),
    covers: 0,
    ends: block === blocks,
  };
  return { kind: 'turn', data: turned };
}

/** What is recorded when this turn and the next were given at one go, to every block. */
export function turnsAtOneGo(step: Step, next: Step): EventBody {
  const folds = [step, next].flatMap(({ step: route }) => route.given?.fold ?? []);
  return { kind: 'turn', data: { kind: 'turned', block: null, folds, covers: 1, ends: true } };
}

/** What the big button says. */
export function turnDoneLabel(say: Say, dough: DoughForecast, state: StepState): string {
  const blocks = dough.lamination?.blocks ?? 1;
  if (blocks === 1) return say('bench.done');
  return say('bench.blockDone', { blockName: blockName(blockInHand(dough, state) ?? blocks) });
}

/** Other ways in which a turn may have been given, as a baker would say it. */
export function otherWays(say: Say, fold: Fold): { label: string; folds: Fold[] }[] {
  const others = (['half', 'letter', 'book'] as const).filter((other) => other !== fold);
  return [
    { label: say('bench.oneFoldTooManyA', { FOLDWORDS: say.coded(FOLD_WORDS[fold]) }), folds: [fold, fold] },
    ...others.map((other) => ({
      label: say('bench.oneFoldTooManyA2', {
        FOLDWORDS: say.coded(FOLD_WORDS[fold]),
        FOLDWORDS2: say.coded(FOLD_WORDS[other]),
      }),
      folds: [fold, other],
    })),
    ...others.map((other) => ({
      label: say('bench.aInstead', { FOLDWORDS: say.coded(FOLD_WORDS[other]) }),
      folds: [other],
    })),
  ];
}
