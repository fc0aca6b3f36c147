import { coded } from '../codes/coded';
import type { DoughStep, ExpandedDough } from './expand';
import { withoutSteps } from './left-out';
import { PROOF_SCHOOLS, type ProofSchool } from './proof-school';

/**
 * Where one dough leaves its product's route, as a planner decided. `target` is a step's key for `longer` and
 * `cooler-room`, the id that it has in its route for `left-out`, a school for `proof-school`, the number of an output otherwise.
 *
 * - `longer`: a wait may last half as long again as its longest; it costs what every long minute costs.
 * - `room-proof`: the last rise on racks in the room and not in the proofer; its window follows today's temperature.
 * - `cooler-room`: a rise in the room a few degrees cooler (a window open, a cooler corner): it takes longer, and lasts longer.
 * - `left-out`: a step that can be left out is not done.
 * - `proof-school`: its pieces are proofed by another school than the product's, all of them.
 * - `split-bake`: baked in one load more than the trays would need, so that a part can go in where the whole has no room.
 */
export interface DoughChange {
  kind: 'longer' | 'room-proof' | 'cooler-room' | 'split-bake' | 'left-out' | 'proof-school';
  target: string;
}

const LONGER = 1.5;
/** How much cooler a corner of the room is that a house can find or make without a machine, °C. */
export const COOLER = 4;

/** A rise whose end is told by the dough, in a place that no setting holds. */
export const risesInRoom = ({ step, uses }: DoughStep): boolean =>
  step.rise?.decides === true && uses.every(({ setting }) => setting === undefined);

/** The school that a dough is proofed by instead of its product's; null where that stays. */
export function schoolOf(changes: readonly DoughChange[]): ProofSchool | null {
  const target = changes.findLast(({ kind }) => kind === 'proof-school')?.target;
  return PROOF_SCHOOLS.find((school) => school === target) ?? null;
}

/** How many loads beyond what its trays need an output is baked in. */
export function extraLoads(changes: readonly DoughChange[], outputId: number): number {
  return changes.filter(({ kind, target }) => kind === 'split-bake' && target === String(outputId)).length;
}

/** The steps with their waits and places as decided; loads are split, and schools changed, when a dough is expanded. */
export function withChanges(whole: ExpandedDough, changes: readonly DoughChange[]): ExpandedDough {
  if (changes.length === 0) return whole;
  const dough = withoutSteps(
    whole,
    changes.flatMap(({ kind, target }) => (kind === 'left-out' ? [target] : [])),
  );
  const has = (kind: DoughChange['kind'], target: string) =>
    changes.some((change) => change.kind === kind && change.target === target);
  const inRoom = (step: DoughStep): DoughStep => {
    if (step.step.kind !== 'proof' || !has('room-proof', String(step.outputId))) return step;
    const uses = step.uses.filter(({ setting }) => setting === undefined);
    return {
      ...step,
      step: { ...step.step, place: 'room' as const },
      label: coded('steps.inTheRoom', { step: step.label }),
      uses,
    };
  };
  const cooler = (step: DoughStep): DoughStep =>
    has('cooler-room', step.key) && risesInRoom(step)
      ? {
          ...step,
          step: { ...step.step, cooler: COOLER },
          label: coded('steps.cooler', { step: step.label, celsius: { difference: COOLER } }),
        }
      : step;
  const steps = dough.steps.map((step) =>
    has('longer', step.key) ? { ...step, max: Math.round(step.max * LONGER) } : cooler(inRoom(step)),
  );
  return { ...dough, steps };
}
