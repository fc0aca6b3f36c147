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
