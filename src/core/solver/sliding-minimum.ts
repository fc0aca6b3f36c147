/** The least of a row of costs within a window that moves along, in linear time. */
export class SlidingMinimum {
  private readonly queue: Int32Array;
  private readonly worth: Float64Array;
  private out: Float64Array;
  private size = 0;
  private source: Float64Array;
  private at = 0;
  private sourceSize = 0;
  private ceiling = 0;

  /** `size`: the longest source. */
  constructor(size: number) {
    this.queue = new Int32Array(size);
    this.worth = new Float64Array(size);
    this.out = this.source = this.worth;
  }

  /**
   * Says where results go, `size` of them from the first of `out`, and where costs come from: `sourceSize` of them, from
   * `source[at]` on. Costs of the source that reach the ceiling are passed over.
   */
  open(
    out: Float64Array,
    size: number,
    source: Float64Array,
    at: number,
    sourceSize: number,
    ceiling: number,
  ): void {
    this.out = out;
    this.size = size;
    this.source = source;
    this.at = at;
    this.sourceSize = sourceSize;
    this.ceiling = ceiling;
  }

  /**
   * For each `i` in `[0, size)`, lowers `out[i]` to the least of `source[at + u] + slope * (u - i - centre)` over `u`
   * in `[i + low, i + high]`, where that is less.
   */
  lower(low: number, high: number, slope: number, centre: number): void {
    const { queue, worth, out, size, source, at, sourceSize, ceiling } = this;
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
