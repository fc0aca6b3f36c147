import { coded } from '../codes/coded';
import { NEW_STEPS } from './new-step';
import type { ProductSpec, Route, RouteStep } from './route';
import { AT_ONCE, threadsOf, type ThreadStep, withMain } from './threads';

/** With these a dough is made ready for its pieces; it is kept before the last of them. */
const FOR_PIECES = ['sheet', 'divide'];

const COLD = { around: 4, settling: 110, place: 'retarder' } as const;
const FROZEN = { around: -18, settling: 60, place: 'freezer' } as const;

const KEEP = {
  ...{ id: 'keep', kind: 'finish', work: { fixed: 4, perKg: 0.3, people: 1 }, stock: 'in' },
  check: coded('steps.labelWithDoughWeightAndDate'),
} as const satisfies Omit<RouteStep, 'label' | 'around' | 'settling'>;

const FETCH = {
  ...{ id: 'fetch', kind: 'move', work: { fixed: 2, perKg: 0.1, people: 1 }, stock: 'out' },
} as const satisfies Omit<RouteStep, 'label' | 'around' | 'settling'>;

const THAW: RouteStep = {
  ...{ id: 'thaw-dough', kind: 'thaw', label: coded('steps.thawInTheCold'), ...COLD },
  wait: { shortest: 600, best: 960, longest: 2160, shortCost: 4, longCost: 0.2 },
  holds: NEW_STEPS.retard.holds ?? [],
  cover: 'film or bag',
};

/** Minutes for which a dough that is ready to be kept may lie. */
const LIES = 20;

/** The steps after which a dough is kept, and those that its pieces need then. */
function parted(dough: Route): { before: ThreadStep[]; after: ThreadStep[] } {
  const main = threadsOf(dough)[0]?.steps ?? [];
  const last = main.findLastIndex(({ step }) => FOR_PIECES.includes(step.kind));
  const laminated = main.findLastIndex(({ step }) => step.turn !== undefined || step.kind === 'lock-in');
  let end = last > laminated ? last : main.length;
  // Cold and rest before that are what it is kept in; a bulk is over before it is kept.
  while (end > 1 && main[end - 1]?.step.wait && main[end - 1]?.step.kind !== 'bulk') end--;
  return { before: main.slice(0, end), after: last > laminated ? main.slice(last) : [] };
}

/**
 * A product as dough that is kept: behind its last fold or bulk it is weighed, wrapped, labelled and put away, and has no pieces.
 * The steps before are those of the same dough made fresh, so that both can be parts of one.
 *
 * @example
 * toKept('cold-dough', crescent).route.dough.steps.at(-1)?.id; // 'turn-3'
 */
export function toKept<Product extends ProductSpec>(
  kind: 'cold-dough' | 'frozen-dough',
  product: Product,
): Product {
  const keep: RouteStep = {
    ...KEEP,
    label: coded(kind === 'cold-dough' ? 'steps.wrapAndKeepCold' : 'steps.wrapAndFreeze'),
    ...(kind === 'cold-dough' ? COLD : FROZEN),
  };
  const { before } = parted(product.route.dough);
  const from = before.at(-1)?.step;
  return {
    ...product,
    keptAsDough: true,
    route: {
      dough: withMain(product.route.dough, before),
      output: { steps: [keep], links: [] },
      fork: { from: from?.id ?? '', to: keep.id, min: 0, max: from?.wait ? 0 : LIES },
    },
  };
}

/** A product from dough that was kept: taken out, thawed where it was frozen, rolled or divided, and on as when it is fresh. */
export function fromKept<Product extends ProductSpec>(
  kind: 'cold-dough' | 'frozen-dough',
  product: Product,
): Product {
  const { dough, fork } = product.route;
  const fetch: RouteStep = {
    ...FETCH,
    ...(kind === 'cold-dough' ? COLD : FROZEN),
    label: coded(kind === 'cold-dough' ? 'steps.takeDoughFromTheCold' : 'steps.takeDoughFromTheFreezer'),
    gives: kind === 'cold-dough' ? COLD.around : FROZEN.around,
  };
  const { after } = parted(dough);
  const steps = [fetch, ...(kind === 'cold-dough' ? [] : [THAW])].map((step) => ({ step, gap: AT_ONCE }));
  const [first, ...rest] = after;
  const main = [...steps, ...(first ? [{ ...first, gap: AT_ONCE }] : []), ...rest];
  const end = main.at(-1)?.step;
  return {
    ...product,
    route: {
      ...product.route,
      dough: withMain(dough, main),
      fork: first ? fork : { ...AT_ONCE, from: end?.id ?? fetch.id, to: fork.to },
    },
  };
}
