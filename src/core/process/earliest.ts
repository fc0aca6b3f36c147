import type { Words } from '../codes/coded';
import type { ExpandedDough } from './expand';

/** The quickest a dough can be, with hands and machines free at every minute. */
export interface QuickestWay {
  minutes: number;
  /** The steps that follow one another without slack, first to last, with their shortest lengths. */
  path: { key: string; label: Words; minutes: number }[];
}

/** The longest chain of shortest lengths from the first step to `key`: what no bakery can go below. */
export function quickestWay(
  { steps, links }: Pick<ExpandedDough, 'steps' | 'links'>,
  key: string,
): QuickestWay {
  const stepOf = new Map(steps.map((step) => [step.key, step]));
  const known = new Map<string, QuickestWay>();
  const to = (at: string): QuickestWay => {
    const found = known.get(at);
    if (found) return found;
    const step = stepOf.get(at);
    if (!step) throw new Error(`No step ${at}.`);
    let before: QuickestWay = { minutes: 0, path: [] };
    for (const link of links.filter((l) => l.to === at)) {
      const way = to(link.from);
      if (way.minutes + link.min > before.minutes)
        before = { minutes: way.minutes + link.min, path: way.path };
    }
    const way = {
      minutes: before.minutes + step.min,
      path: [...before.path, { key: at, label: step.label, minutes: step.min }],
    };
    known.set(at, way);
    return way;
  };
  return to(key);
}
