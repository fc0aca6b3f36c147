import type { Block, Network, Times, View } from './network';

/** Where new times are looked for. */
export interface Limits {
  /** Windows of all blocks. */
  windows?: Times;
  /** Where blocks were, and how many minutes from there a new time may be. */
  near?: { times: ReadonlyMap<number, number>; reach: number };
  /** A block that has to go between these minutes. */
  forced?: { block: number; from: number; to: number };
}

/** The windows of the blocks that one placement is free to move, narrowed by those that it is not. */
export class FitWindows implements Times {
  readonly from: Int32Array;
  readonly to: Int32Array;
  /** The round in which a block was last free. */
  private readonly member: Int32Array;
  private round = 0;
  private readonly queue: Int32Array;
  private readonly queued: Uint8Array;

  constructor(private readonly network: Network) {
    const count = network.blocks.length;
    this.from = new Int32Array(count);
    this.to = new Int32Array(count);
    this.member = new Int32Array(count);
    this.queue = new Int32Array(count + 1);
    this.queued = new Uint8Array(count);
  }

  isFree(b: number): boolean {
    return this.member[b] === this.round;
  }

  /** Opens a round; false where lengths, links and outputs that cost less than the cutoff leave no time. */
  open(
    free: readonly number[],
    times: Int32Array,
    cutoff: number,
    { windows = this.network.windows, near, forced }: Limits,
  ): boolean {
    const { from, to } = this;
    this.round++;
    for (const b of free) this.member[b] = this.round;
    const { blocks } = this.network;
    for (const b of free) {
      from[b] = windows.from[b] as number;
      to[b] = windows.to[b] as number;
      const was = near?.times.get(b);
      if (near && was !== undefined) {
        from[b] = Math.max(from[b], was - near.reach);
        to[b] = Math.min(to[b], was + near.reach);
      }
      if (forced?.block === b) {
        from[b] = Math.max(from[b], forced.from);
        to[b] = Math.min(to[b], forced.to);
      }
      for (const promise of (blocks[b] as Block).promises) this.limitBy(b, promise, cutoff);
      for (const { child: o } of (blocks[b] as Block).views) {
        if (this.isFree(o)) continue;
        const at = times[o] as number;
        from[o] = at >= 0 ? at : (windows.from[o] as number);
        to[o] = at >= 0 ? at : (windows.to[o] as number);
      }
    }
    return this.narrow(free);
  }

  /** Leaves out minutes at which one promise alone costs more than the cutoff. */
  private limitBy(b: number, { output, offset }: Block['promises'][number], cutoff: number): void {
    const { from, to } = this;
    const { due, freshFor, lateCost, staleCost } = output;
    const latest = due - offset + Math.ceil(cutoff / Math.max(lateCost, 1e-9));
    const earliest = due - freshFor - offset - Math.ceil(cutoff / Math.max(staleCost, 1e-9));
    from[b] = Math.max(from[b] as number, earliest);
    to[b] = Math.min(to[b] as number, latest);
  }

  /** Like `narrow`, but what is not free stays as it stands. */
  narrow(free: readonly number[]): boolean {
    const { from, to } = this;
    const { queue, queued } = this;
    const size = queue.length;
    let [head, tail, waiting] = [0, 0, 0];
    for (const b of free) {
      queue[tail] = b;
      tail = (tail + 1) % size;
      waiting++;
      queued[b] = 1;
    }
    let sound = true;
    for (; waiting > 0; waiting--) {
      const b = queue[head] as number;
      head = (head + 1) % size;
      queued[b] = 0;
      if (!sound) continue;
      let least = from[b] as number;
      let most = to[b] as number;
      const { views } = this.network.blocks[b] as Block;
      for (const { child, low, high } of views) {
        least = Math.max(least, (from[child] as number) - high);
        most = Math.min(most, (to[child] as number) - low);
      }
      if (least > most) sound = false;
      if (least === from[b] && most === to[b]) continue;
      from[b] = least;
      to[b] = most;
      for (const { child: o } of views) {
        if (queued[o] === 1 || !this.isFree(o)) continue;
        queued[o] = 1;
        queue[tail] = o;
        tail = (tail + 1) % size;
        waiting++;
      }
    }
    return sound;
  }

  /** Narrows a block's window to what the window of a child allows. */
  narrowBy({ parent, child, low, high }: View): void {
    const { from, to } = this;
    from[parent] = Math.max(from[parent] as number, (from[child] as number) - high);
    to[parent] = Math.min(to[parent] as number, (to[child] as number) - low);
  }
}
