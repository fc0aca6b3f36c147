import type { DoughStep } from './expand';
import type { RouteLink } from './route';

/** Steps in an order in which each comes after all that leads to it. Throws where they go round in a circle. */
export function inOrder<Step extends { key: string }>(
  steps: readonly Step[],
  links: readonly RouteLink[],
): Step[] {
  const nodes = new Map(steps.map((step) => [step.key, { step, missing: 0, after: [] as string[] }]));
  for (const { from, to } of links) {
    const [before, next] = [nodes.get(from), nodes.get(to)];
    if (!before || !next) continue;
    next.missing++;
    before.after.push(to);
  }
  const ordered = steps.filter(({ key }) => nodes.get(key)?.missing === 0);
  for (const { key } of ordered) {
    for (const to of nodes.get(key)?.after ?? []) {
      const next = nodes.get(to);
      if (next && --next.missing === 0) ordered.push(next.step);
    }
  }
  if (ordered.length < steps.length) throw new Error('The steps of a route go round in a circle.');
  return ordered;
}

/** The step before on the same branch, or on the dough itself: what this step's dough comes from. */
export function mainBefore<Step extends DoughStep>(
  step: DoughStep,
  links: readonly Pick<RouteLink, 'from' | 'to'>[],
  steps: ReadonlyMap<string, Step>,
): Step | null {
  let onDough: Step | null = null;
  for (const { from, to } of links) {
    const other = to === step.key ? steps.get(from) : undefined;
    if (!other) continue;
    if (other.step.branch === step.step.branch) return other;
    if (other.step.branch === undefined) onDough ??= other;
  }
  return onDough;
}

/** The steps that lead to one, that one the last: on its own branch, or of the dough itself, and not what was made beside it. */
export function pathTo<Step extends DoughStep>(
  { steps, links }: { steps: readonly Step[]; links: readonly Pick<RouteLink, 'from' | 'to'>[] },
  key: string,
): Step[] {
  const byKey = new Map(steps.map((step) => [step.key, step]));
  const path: Step[] = [];
  for (let step = byKey.get(key) ?? null; step; step = mainBefore(step, links, byKey)) path.unshift(step);
  return path;
}
