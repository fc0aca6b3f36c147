import type { RouteLink } from './route';

/** Steps in an order in which each comes after all that leads to it. Throws where they go round in a circle. */
export function inOrder<Step extends { key: string }>(
  steps: readonly Step[],
  links: readonly RouteLink[],
): Step[] {
  const byKey = new Map(steps.map((step) => [step.key, step]));
  const missing = new Map(steps.map(({ key }) => [key, 0]));
  const after = new Map<string, string[]>();
  for (const { from, to } of links) {
    if (!byKey.has(from)) continue;
    missing.set(to, (missing.get(to) ?? 0) + 1);
    after.set(from, [...(after.get(from) ?? []), to]);
  }
  const ordered = steps.filter(({ key }) => missing.get(key) === 0);
  for (const { key } of ordered) {
    for (const next of after.get(key) ?? []) {
      const left = (missing.get(next) ?? 0) - 1;
      missing.set(next, left);
      const step = byKey.get(next);
      if (left === 0 && step) ordered.push(step);
    }
  }
  if (ordered.length < steps.length) throw new Error('The steps of a route go round in a circle.');
  return ordered;
}
