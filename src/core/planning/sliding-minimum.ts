/** How many costs come out and go in, and from where on a cost is as good as none. */
export interface SlidingWindow {
  size: number;
  sourceSize: number;
  ceiling: number;
}

/** The least of a row of costs within a window that moves along, in linear time. */
export class SlidingMinimum {
  private readonly queue: Int32Array;
  private readonly worth: Float64Array;

  /** `size`: the longest source. */
  constructor(size: number) {
    this.queue = new Int32Array(size);
    this.worth = new Float64Array(size);
  }

  /**
   * For each `i` in `[0, size)`, lowers `out[i]` to the least of `source[at + u] + slope * (u - i - centre)` over `u`
   * in `[i + low, i + high]`, where that is less. Costs of the source that reach the ceiling are passed over.
   */
  lower(
    out: Float64Array,
    source: Float64Array,
    at: number,
    { size, sourceSize, ceiling }: SlidingWindow,
    low: number,
    high: number,
    slope: number,
    centre: number,
  ): void {
    const { queue, worth } = this;
    let head = 0;
    let tail = 0;
    let next = Math.max(0, low);
    for (let i = Math.max(0, -high); i < size; i++) {
      const last = Math.min(sourceSize - 1, i + high);
      for (; next <= last; next++) {
        const cost = source[at + next] as number;
        if (cost >= ceiling) continue;
        const value = cost + slope * next;
        while (tail > head && (worth[tail - 1] as number) >= value) tail--;
        queue[tail] = next;
        worth[tail++] = value;
      }
      const least = i + low;
      while (tail > head && (queue[head] as number) < least) head++;
      if (tail === head) {
        if (next >= sourceSize) return;
        continue;
      }
      const best = (worth[head] as number) - slope * (i + centre);
      if (best < (out[i] as number)) out[i] = best;
    }
  }
}
