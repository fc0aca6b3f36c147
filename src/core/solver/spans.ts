/** How many widened spans cover each minute of a resource, in all and by setting. */
export class Spans {
  readonly all: Int32Array;
  private readonly bySetting = new Map<number, Int32Array>();

  constructor(private readonly horizon: number) {
    this.all = new Int32Array(horizon);
  }

  at(setting: number): Int32Array {
    let spans = this.bySetting.get(setting);
    if (!spans) this.bySetting.set(setting, (spans = new Int32Array(this.horizon)));
    return spans;
  }

  /** Adds a span, or takes it away, and says how many minutes it shares with those of other settings. */
  change(setting: number, from: number, to: number, sign: 1 | -1): number {
    const same = this.at(setting);
    let clashes = 0;
    for (let m = from; m < to; m++) {
      clashes += (this.all[m] as number) - (same[m] as number);
      this.all[m] = (this.all[m] as number) + sign;
      same[m] = (same[m] as number) + sign;
    }
    return clashes;
  }

  /** Tells whether spans of more than one setting cover the minute. */
  mixed(minute: number): boolean {
    const all = this.all[minute] as number;
    if (all < 2) return false;
    for (const same of this.bySetting.values()) {
      const count = same[minute] as number;
      if (count > 0) return count < all;
    }
    return false;
  }

  clashes(setting: number, from: number, to: number): number {
    const same = this.at(setting);
    let clashes = 0;
    for (let m = from; m < to; m++) clashes += (this.all[m] as number) - (same[m] as number);
    return clashes;
  }
}
