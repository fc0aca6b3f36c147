import type { Model } from './model';

/** The tasks that links join to task `i`. */
export function neighbours(model: Model, i: number): number[] {
  const task = model.tasks[i];
  return task ? [...task.before.map((l) => l.from), ...task.after.map((l) => l.to)] : [];
}

/**
 * Cuts a set of tasks into legs: stretches without a fork. What forks is a leg with the stretch that leads to it, so
 * "mix to cut" is one leg of a dough and each product's "shape to finish" another.
 */
export function legsOf(model: Model, members: readonly number[]): number[][] {
  const inside = new Set(members);
  const near = (i: number) => neighbours(model, i).filter((j) => inside.has(j));
  const waiting = new Set(members);
  const legs: number[][] = [];
  const ends = members.filter((i) => near(i).length !== 2);
  for (const first of [...ends, ...members]) {
    if (!waiting.delete(first)) continue;
    const leg = [first];
    for (let at: number | undefined = first; at !== undefined;) {
      const next: number | undefined = near(at).find((j) => waiting.has(j));
      if (next === undefined) break;
      waiting.delete(next);
      leg.push(next);
      at = near(next).length > 2 ? undefined : next;
    }
    legs.push(leg);
  }
  return legs;
}
