import { coded } from '../codes/coded';
import { NEW_STEPS } from './new-step';
import type { ProductSpec, Route, RouteStep, StepKind } from './route';
import { AT_ONCE, threadsOf, type ThreadStep, withMain } from './threads';

/** Kinds of steps that shaped pieces go on with: they are frozen before the first of these. */
const AFTER_SHAPING: readonly StepKind[] = ['retard', 'proof', 'move', 'wash', 'load', 'bake', 'thaw'];
/** Thawed pieces go on with the first of these. */
const AFTER_THAWING: readonly StepKind[] = ['proof', 'wash', 'load', 'bake'];

const FREEZE: RouteStep = {
  ...{ id: 'to-freezer', kind: 'freeze', label: coded('steps.freezeOnTrays') },
  ...NEW_STEPS.freeze,
};
const BAG: RouteStep = {
  ...{ id: 'bag', kind: 'finish', label: coded('steps.bagLabelAndStore') },
  ...{ work: { fixed: 3, perPiece: 0.03, people: 1 }, around: -18, settling: 60, place: 'freezer' },
  ...{ check: coded('steps.labelWithProductDateAndCount'), stock: 'in' },
};
const TAKE_OUT: RouteStep = {
  ...{ id: 'take-out', kind: 'thaw', label: coded('steps.takeOutOfTheFreezer') },
  ...{ work: { fixed: 3, perPiece: 0.02, people: 1 }, around: -18, settling: 60, place: 'freezer' },
  // The pieces are as cold as the freezer, and nothing has been mixed before.
  ...{ gives: -18, stock: 'out' },
};
const THAW: RouteStep = {
  ...{ id: 'thawing', kind: 'thaw', label: coded('steps.thawInTheCold') },
  ...NEW_STEPS.thaw,
  cover: 'film or bag',
};

/** Minutes that pieces need at the least to thaw. */
export const LEAST_THAW = NEW_STEPS.thaw.wait?.shortest ?? 0;

const TO_PROOF: RouteStep = {
  ...{ id: 'to-proof', kind: 'move', label: coded('steps.toTheProof') },
  ...NEW_STEPS.move,
};

/** A product whose pieces are frozen when they are shaped: they end bagged; where its own route freezes, there. */
export function toFreezer<Product extends ProductSpec>(product: Product): Product {
  const { route } = product;
  const output = untilFrozen(route.output);
  return { ...product, route: { ...route, output, fork: { ...route.fork, to: firstStep(output) } } };
}

/** A product of frozen pieces: there is no dough to mix, and its route begins when they are taken out. */
export function fromFreezer<Product extends ProductSpec>(product: Product): Product {
  const output = sinceFrozen(product.route.output);
  return {
    ...product,
    ...{ scheme: null, mixed: 1 },
    route: {
      dough: { steps: [TAKE_OUT], links: [] },
      output,
      fork: { from: TAKE_OUT.id, to: firstStep(output), min: 0, max: 0 },
    },
  };
}

function untilFrozen(route: Route): Route {
  const main = threadsOf(route)[0]?.steps ?? [];
  const own = main.findIndex(({ step }) => step.kind === 'freeze');
  const after = main.findIndex(({ step }) => AFTER_SHAPING.includes(step.kind));
  const kept = own >= 0 ? main.slice(0, own + 1) : main.slice(0, after < 0 ? main.length : after);
  return withMain(route, [...kept, ...(own >= 0 ? [BAG] : [FREEZE, BAG]).map(atOnce)]);
}

function sinceFrozen(route: Route): Route {
  const main = threadsOf(route)[0]?.steps ?? [];
  const own = main.findIndex(({ step }) => step.kind === 'thaw');
  if (own >= 0) return withMain(route, main.slice(own));
  const after = main.findIndex(({ step }) => AFTER_THAWING.includes(step.kind));
  const from = main[after - 1]?.step.kind === 'move' ? after - 1 : after;
  const rest = from < 0 ? [] : main.slice(from);
  // Somebody carries them from the cold to where they rise.
  return withMain(route, [atOnce(THAW), ...(rest[0]?.step.wait ? [atOnce(TO_PROOF)] : []), ...rest]);
}

const atOnce = (step: RouteStep): ThreadStep => ({ step, gap: AT_ONCE });

const firstStep = (route: Route): string => threadsOf(route)[0]?.steps[0]?.step.id ?? '';
