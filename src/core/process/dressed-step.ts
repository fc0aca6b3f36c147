import { dressingAt, type Dressing } from '../shaping/dressing';
import type { StepKind } from './route';

/** A step as far as its place among the others says what belongs to it. */
interface PlacedStep {
  key: string;
  outputId: number | null;
  step: { kind: StepKind };
  load?: { nth: number } | null;
}

/**
 * What of a dressing belongs to one step: a wash step before the proof has the wash of before it, one behind the proof that
 * of after.
 *
 * @param steps - all steps of the dough, those of one output in their order
 */
export function dressingOfStep(
  dressing: Dressing,
  steps: readonly PlacedStep[],
  { key, outputId, step, load }: PlacedStep,
): Required<Dressing> {
  const own = steps.filter((one) => one.outputId === outputId && one.load?.nth === load?.nth);
  const at = own.findIndex((one) => one.key === key);
  const before = new Set(own.slice(0, Math.max(0, at)).map((one) => one.step.kind));
  return dressingAt(
    dressing,
    step.kind,
    before.has('bake') ? 'baked' : before.has('proof') ? 'proofed' : 'shaped',
  );
}
