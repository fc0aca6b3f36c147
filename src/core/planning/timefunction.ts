/**
 * A cost for each minute in `[from, to]`; Infinity where that minute is impossible.
 * `at` is indexed by minute and holds nothing meaningful outside the range.
 */
export interface TimeFunction {
  from: number;
  to: number;
  at: Float64Array;
}

/** Hands out arrays of one length and takes them back, since a search needs thousands a second. */
export class Arrays {
  private readonly spare: Float64Array[] = [];

  constructor(private readonly length: number) {}

  take(): Float64Array {
    return this.spare.pop() ?? new Float64Array(this.length);
  }

  give(...arrays: Float64Array[]): void {
    this.spare.push(...arrays);
  }
}

/**
 * Sliding minimum with a slope: for each `t` in `[out.from, out.to]`, lowers `out.at[t]` to
 * `min over u in [t + low, t + high] of (source(u) + slope * u) + offset + gain * t`, where that is less.
 * Linear time, by a queue of candidates of rising value.
 */
export function lowerBySlidingMinimum(
  out: TimeFunction,
  source: TimeFunction,
  {
    low,
    high,
    slope = 0,
    offset = 0,
    gain = 0,
  }: { low: number; high: number; slope?: number; offset?: number; gain?: number },
  queue: Int32Array,
): void {
  let head = 0;
  let tail = 0;
  let next = Math.max(source.from, out.from + low);
  for (let t = out.from; t <= out.to; t++) {
    const last = Math.min(source.to, t + high);
    for (; next <= last; next++) {
      const value = (source.at[next] as number) + slope * next;
      if (value === Infinity) continue;
      while (tail > head) {
        const u = queue[tail - 1] as number;
        if ((source.at[u] as number) + slope * u < value) break;
        tail--;
      }
      queue[tail++] = next;
    }
    while (tail > head && (queue[head] as number) < t + low) head++;
    if (tail === head) continue;
    const u = queue[head] as number;
    const best = (source.at[u] as number) + slope * u + offset + gain * t;
    if (best < (out.at[t] as number)) out.at[t] = best;
  }
}

/** The minute of the lowest value in `[from, to]` and that value; ties go to the earliest. */
export function lowest(from: number, to: number, cost: (t: number) => number): { at: number; cost: number } {
  let best = { at: from, cost: Infinity };
  for (let t = from; t <= to; t++) {
    const value = cost(t);
    if (value < best.cost) best = { at: t, cost: value };
  }
  return best;
}
