import { pieceArea } from '../cutting/piece';
import type { Formula, StageKind } from '../formula/formula';
import type { ScaledFormula } from '../formula/scale';
import { weighOut, type WeighedLine } from '../formula/weigh-out';
import { partsOfPiece } from '../shaping/needs';
import { dressingOfStep } from './dressed-step';
import type { DoughStep } from './expand';
import type { BranchKind, PieceSpec } from './route';

/** What is weighed out for one step: a stage of the dough, or a filling, wash or topping by its formula. */
export interface Amounts {
  /** A stage of the dough's formula, or the name of what goes into or onto the pieces. */
  what: { stage: StageKind } | { part: string };
  grams: number;
  lines: WeighedLine[];
}

/** Stages that are set in a branch of their own, where the route has one. */
const BRANCH_OF: Partial<Record<StageKind, BranchKind>> = {
  levain: 'levain',
  'stiff levain': 'levain',
  sponge: 'sponge',
  poolish: 'sponge',
  'roll-in': 'butter',
};

type Steps = readonly Pick<DoughStep, 'key' | 'step' | 'outputId' | 'load'>[];

/**
 * What is weighed out at which step of a dough: levain, sponge and butter where they are set, all else of the dough where it is mixed;
 * fillings, washes and toppings where they are made, or put on.
 *
 * @param dough - its steps in the order of the route, and its outputs
 * @param scaled - the dough's formula in weights; null for a dough that is not mixed
 * @param formulaOf - formulas of the house by number
 * @returns by the key of the step; steps at which nothing is weighed are left out
 */
export function stepAmounts(
  { steps, outputs }: { steps: Steps; outputs: readonly { id: number; pieces: number; piece: PieceSpec }[] },
  scaled: ScaledFormula | null,
  formulaOf: (id: number) => Formula | undefined,
): Map<string, Amounts[]> {
  const found = new Map<string, Amounts[]>();
  const put = (step: Steps[number] | undefined, amounts: Amounts) => {
    if (step && amounts.grams > 0) found.set(step.key, [...(found.get(step.key) ?? []), amounts]);
  };
  const firstOf = (branch: BranchKind | undefined, outputId: number | null = null) =>
    steps.find(
      ({ step, outputId: own }) =>
        step.work !== undefined &&
        step.branch === branch &&
        (own === null || outputId === null || own === outputId),
    );
  const mixing = steps.find(({ step }) => step.kind === 'mix' && step.branch === undefined);
  for (const { kind, lines, grams } of scaled?.stages ?? []) {
    const branch = BRANCH_OF[kind];
    const weighed = lines.map(({ ingredient, grams: own, uncounted }) => ({
      ingredient,
      grams: uncounted ? null : own,
    }));
    const lockIn = kind === 'roll-in' ? steps.find(({ step }) => step.kind === 'lock-in') : undefined;
    put((branch && firstOf(branch)) ?? lockIn ?? mixing, { what: { stage: kind }, grams, lines: weighed });
  }
  const madeBeside = new Set<string>();
  for (const step of steps)
    for (const output of outputs.filter(({ id }) => step.outputId === null || id === step.outputId)) {
      const dressing = dressingOfStep(output.piece, steps, step);
      for (const { part, grams } of partsOfPiece(
        dressing,
        output.piece.cut ? pieceArea(output.piece.cut.size) : 0,
      )) {
        const formula = part.formulaId === undefined ? undefined : formulaOf(part.formulaId);
        if (!formula) continue;
        const beside = firstOf(
          dressing.fillings.some((one) => one === part) ? 'filling' : 'topping',
          output.id,
        );
        // What is made beside the dough is made once for all loads.
        const once = `${output.id} ${part.name}`;
        if (beside && madeBeside.has(once)) continue;
        madeBeside.add(once);
        const all = grams * (beside ? output.pieces : (step.load?.pieces ?? output.pieces));
        put(beside ?? step, { what: { part: part.name }, grams: all, lines: weighOut(formula, all) });
      }
    }
  return found;
}
