import type { OwnKind, StepBody } from './new-step';
import { newStep, type SayWords } from './named-step';
import type { ProofSchool } from './proof-school';
import type { ProductDraft } from './product-draft';
import type { ProductSpec, Rise, StepKind } from './route';
import { addStep, removeStep, routeOf, type Thread, threadsOf } from './threads';

type Window = readonly [shortest: number, best: number, longest: number];
type Part = { kind: Extract<OwnKind, 'proof' | 'retard' | 'rest' | 'move'> } & Partial<StepBody>;

const window = ([shortest, best, longest]: Window): Pick<StepBody, 'wait'> => ({
  wait: { shortest, best, longest, shortCost: 4, longCost: 2 },
});
const inTheRoom = (minutes: Window, around: number): Partial<StepBody> => ({
  ...window(minutes),
  ...{ around, place: 'room', holds: [] },
});
const rising = { rise: { phase: 'proof' as const } };
const OVERNIGHT: Part = { kind: 'retard', ...window([480, 660, 840]), ...rising };
const WARM_UP: Part = { kind: 'proof', ...inTheRoom([30, 60, 120], 24) };

/** What a school does between shaping and wash, in minutes and °C; the last wait is over when the proof is ready. */
const PARTS: Readonly<Record<ProofSchool, readonly Part[]>> = {
  warm: [{ kind: 'proof' }],
  room: [{ kind: 'proof', ...inTheRoom([150, 190, 240], 22) }],
  cold: [OVERNIGHT, { kind: 'move' }, WARM_UP],
  'cold-after-start': [
    { kind: 'rest', ...inTheRoom([20, 45, 75], 22), ...rising },
    ...[{ kind: 'move' } as const, OVERNIGHT, { kind: 'move' } as const, WARM_UP],
  ],
  levain: [{ kind: 'proof', ...inTheRoom([600, 720, 960], 21) }],
};
/** A levain's rise in a cool room: its own reference, since it all but sleeps in the cold. */
const LEVAIN_RISE: Rise = { yeast: 'levain', celsius: 21, minutes: 720, early: 0.8, late: 1.25 };
const YEAST_RISE: Rise = { yeast: 'bakers', celsius: 26, minutes: 110, early: 0.8, late: 1.25 };

/** Steps that are part of a proof, where they stand between shaping and what follows the proof. */
const OF_A_PROOF: readonly StepKind[] = ['proof', 'retard', 'move', 'rest', 'thaw'];
const AFTER_PROOF: readonly StepKind[] = ['wash', 'load', 'bake'];

/**
 * A product's pieces with the proof of another school: what rose between shaping and wash is taken out, and the school's own
 * steps come instead. What is done there beside, a filling or a topping, stays. A proof of baker's yeast keeps its own reference.
 *
 * @param say - names the new steps in the house's language
 */
export function withProof(
  draft: Pick<ProductDraft, 'dough' | 'output' | 'rises'>,
  school: ProofSchool,
  say: SayWords,
): Pick<ProductDraft, 'output' | 'rises'> {
  const main = draft.output[0]?.steps ?? [];
  const shaped = main.findLastIndex(({ step }) => step.kind === 'shape');
  const after = main.findIndex(({ step }, at) => at > shaped && AFTER_PROOF.includes(step.kind));
  const old = main
    .slice(shaped + 1, after < 0 ? main.length : after)
    .filter(({ step }) => OF_A_PROOF.includes(step.kind));
  const before = main[shaped]?.step.id ?? null;
  // New steps first: the last step of a thread cannot be taken out.
  const added = PARTS[school].reduceRight<Thread[]>((threads, { kind, ...own }, i) => {
    const isLast = i === PARTS[school].length - 1;
    const step = newStep(kind, [...draft.dough, ...draft.output, ...threads], say);
    const rise = isLast ? { rise: { phase: 'proof' as const, decides: true } } : {};
    return addStep(threads, before, { ...step, ...own, ...rise });
  }, draft.output);
  const output = old.reduce<Thread[]>((threads, { step }) => removeStep(threads, step.id), added);
  const { proof } = draft.rises;
  const isLevain = proof?.yeast === 'levain';
  const rise = school === 'levain' ? LEVAIN_RISE : proof && !isLevain ? proof : YEAST_RISE;
  return { output, rises: { ...draft.rises, proof: rise } };
}

/** A product whose pieces are proofed by another school, for one dough; the steps of its own are as the product has them. */
export function proofedBy<Product extends ProductSpec>(
  school: ProofSchool | null,
  product: Product,
): Product {
  if (school === null) return product;
  const { route } = product;
  const [dough, output] = [threadsOf(route.dough), threadsOf(route.output)];
  const { output: threads, rises } = withProof(
    { dough, output, rises: product.rises ?? {} },
    school,
    (words) => words,
  );
  return { ...product, rises, route: { ...route, output: routeOf(threads) } };
}
