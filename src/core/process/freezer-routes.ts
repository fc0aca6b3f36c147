import { coded } from '../codes/coded';
import { NEW_STEPS } from './new-step';
import type { OutputWay } from './output-way';
import type { ProductSpec, Route, RouteStep, StepKind } from './route';
import { AT_ONCE, routeOf, threadsOf, type Thread, type ThreadStep } from './threads';

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

const TO_PROOF: RouteStep = {
  ...{ id: 'to-proof', kind: 'move', label: coded('steps.toTheProof') },
  ...NEW_STEPS.move,
};

/**
 * A product as it is made on the way of an output. To the freezer its pieces' route ends when they are bagged; from it there is
 * no dough to mix, and the route begins when they are taken out. Where the product's own route freezes and thaws, it is parted
 * there.
 *
 * @example
 * productOn('to-freezer', crescent).route.output.steps.map(({ id }) => id); // ['shape', 'to-freezer', 'bag']
 */
export function productOn<Product extends ProductSpec>(way: OutputWay, product: Product): Product {
  if (way === 'fresh') return product;
  const { route } = product;
  if (way === 'to-freezer') {
    const output = toFreezer(route.output);
    return { ...product, route: { ...route, output, fork: { ...route.fork, to: firstStep(output) } } };
  }
  const output = fromFreezer(route.output);
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

function toFreezer(route: Route): Route {
  const main = threadsOf(route)[0]?.steps ?? [];
  const own = main.findIndex(({ step }) => step.kind === 'freeze');
  const after = main.findIndex(({ step }) => AFTER_SHAPING.includes(step.kind));
  const kept = own >= 0 ? main.slice(0, own + 1) : main.slice(0, after < 0 ? main.length : after);
  return withMain(route, [...kept, ...(own >= 0 ? [BAG] : [FREEZE, BAG]).map(atOnce)]);
}

function fromFreezer(route: Route): Route {
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

/** A route of these steps, with what is made beside those of its own that stay. */
function withMain(route: Route, steps: readonly ThreadStep[]): Route {
  const threads: Thread[] = [{ steps: [...steps], joins: null }];
  const kept = new Set(steps.map(({ step }) => step.id));
  // A thread comes behind the one that it joins.
  for (const thread of threadsOf(route).slice(1)) {
    if (!thread.joins || !kept.has(thread.joins.step)) continue;
    threads.push(thread);
    for (const { step } of thread.steps) kept.add(step.id);
  }
  return routeOf(threads);
}

const firstStep = (route: Route): string => threadsOf(route)[0]?.steps[0]?.step.id ?? '';
