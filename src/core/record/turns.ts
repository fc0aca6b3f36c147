import { coded, type Coded } from '../codes/coded';
import type { Scheme } from '../lamination/scheme';
import type { Fold } from '../lamination/stack';
import type { DoughStep } from '../process/expand';
import type { FoldRecord } from './events';
import type { DoughState } from './state';
import type { StepState } from './step-state';

/** Which folds a block has had and which are still to come, in order. */
export interface BlockFolds {
  given: { fold: Fold; mm: number; turn: number }[];
  toCome: { fold: Fold; mm: number; turn: number }[];
}

/** How many folds the blocks of a dough have had, of how many; null for a dough without turns. */
export interface TurnCount {
  /** Given to every block. */
  done: number;
  /** As it will be in the end: what was given and what is still to come. */
  of: number;
  /** What the scheme asks for. */
  planned: number;
  /** A turn that is being given right now, by the scheme's number. */
  running: number | null;
  /** Folds given to each block; one number where the dough is one block. */
  blocks: number[];
}

type Steps = readonly Pick<DoughStep, 'key' | 'step'>[];

/**
 * The folds of one block, counted from what was recorded and never from the clock. A turn that was finished without a word
 * about its folds was given as the scheme says; one that was left out was not given.
 */
export function foldsOf(steps: Steps, state: DoughState, block: number): BlockFolds {
  const folds: BlockFolds = { given: [], toCome: [] };
  let reach = 0;
  for (const { key, step } of steps) {
    if (step.turn === undefined) continue;
    const { fold, mm } = step.given ?? { fold: 'letter' as const, mm: 8 };
    const own = state.steps.get(key);
    // The last word on a turn counts, so that what was told wrong can be told again.
    const turned = turnsOf(own, block).at(-1);
    const turn = step.turn;
    if (turned) folds.given.push(...turned.folds.map((one) => ({ fold: one, mm, turn })));
    else if (turn <= reach) continue;
    else if (own?.status === 'done') folds.given.push({ fold, mm, turn });
    else if (own?.status !== 'skipped') folds.toCome.push({ fold, mm, turn });
    reach = Math.max(reach, ...turnsOf(own, block).map(({ covers }) => turn + covers));
  }
  return folds;
}

/** What was recorded of a turn's folds for this block, by itself or with all others, in order. */
function turnsOf(state: StepState | undefined, block: number): FoldRecord[] {
  return (state?.records ?? []).flatMap(({ data }) =>
    data.kind === 'turned' && (data.block === null || data.block === block) ? [data] : [],
  );
}

/**
 * Blocks, counted from 1, that have not had this turn yet, in the order of their letters: neither was it recorded for them,
 * nor did they get it in one go with an earlier turn. They may be taken in any order.
 *
 * @example
 * blocksLeft(dough, { turn: 2, blocks: 3 }); // [1, 3]: B has had turns 1 and 2 in one go
 */
export function blocksLeft(
  { steps, state }: { steps: Steps; state: DoughState },
  { turn, blocks }: { turn: number; blocks: number },
): number[] {
  const upTo = steps.filter(({ step }) => step.turn !== undefined && step.turn <= turn);
  return Array.from({ length: blocks }, (_, i) => i + 1).filter((block) =>
    upTo.every(({ key, step }) =>
      turnsOf(state.steps.get(key), block).every(({ covers }) => (step.turn ?? 0) + covers < turn),
    ),
  );
}

/** The same of a dough by its scheme: one without turns of its own is of dough that was kept, and had all of them before. */
export function foldsByScheme(
  { steps, state }: { steps: Steps; state: DoughState },
  { turns }: Pick<Scheme, 'turns'>,
  block: number,
): BlockFolds {
  if (steps.some(({ step }) => step.turn !== undefined)) return foldsOf(steps, state, block);
  return { given: turns.map(({ fold, mm }, i) => ({ fold, mm, turn: i + 1 })), toCome: [] };
}

/** Counts the turns of a dough that lies in `blocks` blocks. */
export function countTurns(steps: Steps, state: DoughState, blocks = 1): TurnCount | null {
  const turns = steps.filter(({ step }) => step.turn !== undefined);
  if (turns.length === 0) return null;
  const each = Array.from({ length: blocks }, (_, i) => foldsOf(steps, state, i + 1));
  const given = each.map((folds) => folds.given.length);
  const running = turns.find(({ key }) => state.steps.get(key)?.status === 'running');
  return {
    done: Math.min(...given),
    of: Math.max(...each.map((folds) => folds.given.length + folds.toCome.length)),
    planned: turns.length,
    running: running?.step.turn ?? null,
    blocks: given,
  };
}

/** Blocks are called A, B, C on the bench. */
export const blockName = (block: number): string => String.fromCharCode(64 + block);

/** `turn 2 of 3 done`, `turn 3 of 3 under way`, `no turn yet, 3 to do`; with what is not as the scheme has it. */
export function turnMessage({ done, of, planned, running, blocks }: TurnCount): Coded {
  const uneven = blocks.some((given) => given !== blocks[0]);
  const each = uneven ? `, ${blocks.map((given, i) => `${blockName(i + 1)} ${given}`).join(', ')}` : '';
  const beside = { each, more: Math.max(0, of - planned), less: Math.max(0, planned - of) };
  if (running !== null) return coded('turns.underWay', { nth: Math.min(of, done + 1), of, ...beside });
  return done === 0 ? coded('turns.none', { of, ...beside }) : coded('turns.done', { done, of, ...beside });
}
