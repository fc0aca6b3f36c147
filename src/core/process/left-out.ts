import type { ExpandedDough } from './expand';
import type { ProductSpec, RouteLink, RouteStep } from './route';

/** A step that a dough can be made without. */
export type OptionalStep = Pick<RouteStep, 'id' | 'label'>;

/** Steps of a product that can be left out of a dough, in their order. */
export const optionalSteps = ({ route }: Pick<ProductSpec, 'route'>): OptionalStep[] =>
  [...route.dough.steps, ...route.output.steps].flatMap(({ id, label, optional }) =>
    optional ? [{ id, label }] : [],
  );

/**
 * A dough without some of its steps: what came before each leads to what came after it, with both pauses one after the other.
 * A step that nobody may leave out stays, and so does one that nothing follows, since it says when the goods are ready.
 *
 * @param ids - of the steps in their routes; in each load where they are of the pieces
 */
export function withoutSteps(dough: ExpandedDough, ids: readonly string[]): ExpandedDough {
  const gone = dough.steps.filter(
    ({ key, step }) =>
      step.optional === true && ids.includes(step.id) && dough.links.some(({ from }) => from === key),
  );
  return gone.reduce(
    (left, { key }) => ({
      ...left,
      steps: left.steps.filter((step) => step.key !== key),
      links: bridged(left.links, key),
    }),
    dough,
  );
}

/** Links without a step: each that led to it goes on to each that led from it. */
function bridged(links: readonly RouteLink[], key: string): RouteLink[] {
  const before = links.filter(({ to }) => to === key);
  const after = links.filter(({ from }) => from === key);
  const joined = before.flatMap((one) =>
    after.map((other): RouteLink => {
      const { max: a } = one;
      const { max: b } = other;
      return {
        ...{ from: one.from, to: other.to, min: one.min + other.min },
        ...(a === undefined || b === undefined ? {} : { max: a + b }),
      };
    }),
  );
  return [...links.filter(({ from, to }) => from !== key && to !== key), ...joined];
}
