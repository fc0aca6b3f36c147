import type { Say } from '@/words/say';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { EventBody, FoldRecord } from '@/core/record/events';
import { blockName, blocksLeft } from '@/core/record/turns';
import type { Fold } from '@/core/lamination/stack';
import { FOLD_WORDS } from '@/core/lamination/words';

type Step = DoughForecast['steps'][number];

/** Blocks that have not had this turn yet; `[]` where all have, or where the dough lies in one block. */
export function waitingBlocks({ steps, state, lamination }: DoughForecast, { step }: Step): number[] {
  const blocks = lamination?.blocks ?? 1;
  if (blocks === 1 || step.turn === undefined) return [];
  return blocksLeft({ steps, state }, { turn: step.turn, blocks });
}

/** What is recorded of a turn: of one block, and the step's end with the last of them; of a single block the whole turn. */
interface TurnGiven {
  /** Left out: the next by its letter. */
  block?: number | undefined;
  /** Left out: as the scheme has it. */
  folds?: Fold[];
  /** How many of the next turns it got in the same go. */
  covers?: number;
}

/**
 * What is recorded when a turn is done. A single block's turn, given as the scheme has it, needs no word beyond its end; so
 * does a turn that every block has had, on another tablet or in one go with the turn before.
 */
export function turnDone(dough: DoughForecast, step: Step, given: TurnGiven = {}): EventBody {
  const isWhole = (dough.lamination?.blocks ?? 1) === 1;
  const left = waitingBlocks(dough, step);
  const block = isWhole ? null : (given.block ?? left[0] ?? null);
  if (block === null && !given.folds) return { kind: 'finish' };
  const own = step.step.given?.fold;
  const turned: FoldRecord = {
    kind: 'turned',
    block,
    folds: given.folds ?? (own ? [own] : []),
    covers: given.covers ?? 0,
    ends: left.every((other) => other === block),
  };
  return { kind: 'turn', data: turned };
}

/** What is recorded when this turn and the next were given in one go, to the block in hand. */
export function turnsAtOneGo(dough: DoughForecast, step: Step, next: Step, block?: number): EventBody {
  const folds = [step, next].flatMap(({ step: route }) => route.given?.fold ?? []);
  return turnDone(dough, step, { block, folds, covers: 1 });
}

/** What the big button says. */
export function turnDoneLabel(say: Say, dough: DoughForecast, step: Step, block?: number): string {
  const name = block ?? waitingBlocks(dough, step)[0];
  return name === undefined ? say('bench.done') : say('bench.blockDone', { blockName: blockName(name) });
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
