/** More than any wish can ask: an arc that has to be kept. */
export const FIRM = 1e9;

/** An endless distance, minutes. */
const FAR = 1_000_000;
/** Ways after which an arc is given up: what is possible needs but a few. */
const MOST_WAYS = 500;

/** Arcs there is room for to begin with. */
const ROOM = 1024;

/** What has changed, so that it can be taken back: three numbers an entry. */
const enum Change {
  Time,
  Flow,
  Added,
  Removed,
}

/**
 * The best times for a given order of work, kept up to date while the order changes.
 *
 * Every rule and every wish is an arc: `time(to) - time(from) >= lag`, with a price for each minute that it falls short
 * ({@link FIRM} where it must not). A wait that is best at 60 minutes is two arcs, a due time is an arc to the origin,
 * whose time is 0. To choose times at the least price is the dual of a minimum-cost flow: what flows through an arc
 * is what its last minute costs. So an arc that comes is paid for by flows round the circles it closes, one that goes
 * gives its flow to others, and only what is near it in minutes is looked at (successive shortest paths: Ahuja,
 * Magnanti, Orlin, Network Flows, chapters 9 and 10). The times are the flow's potentials.
 */
export class Timing {
  readonly times: Int32Array;
  /** Price of the present times. */
  cost = 0;
  /** Nodes whose time has changed since whoever asks has last emptied this. */
  readonly touched: number[] = [];
  private readonly isTouched: Uint8Array;
  from = new Int32Array(ROOM);
  to = new Int32Array(ROOM);
  lag = new Int32Array(ROOM);
  price = new Int32Array(ROOM);
  /** What one minute less of each arc's lag would save. */
  flow = new Int32Array(ROOM);
  private arcs = 0;
  private readonly outs: number[][];
  private readonly ins: number[][];
  private readonly spare: number[] = [];
  private readonly origin: number;
  private trail: number[] = [];

  // The search for the nearest way.
  private readonly distance: Int32Array;
  /**
   * Distances are minutes times this, plus one for each arc: of ways that are equally near the one of fewest arcs is taken,
   * as Edmonds and Karp do, or two ways could give and take the same flow for ever. More than a way has arcs, and small
   * enough for distances to stay small whole numbers, which are fast.
   */
  private readonly step: number;
  private readonly way: Int32Array;
  private readonly seen: Int32Array;
  private round = 0;
  private readonly heap = new Heap();
  private readonly reached: number[] = [];
  /** Where the last shift was stopped: at its goal, at the origin, or (-1) by the minutes it was given. */
  private end = -1;
  readonly path: number[] = [];
  /** The last arc refused was impossible, not only too dear. */
  stuck = false;

  /** `start`: times that keep all firm arcs to come at first; the origin, whose time is 0, is one more node at the end. */
  constructor(start: Int32Array) {
    this.origin = start.length;
    const size = start.length + 1;
    this.times = new Int32Array(size);
    this.times.set(start);
    this.outs = Array.from({ length: size }, () => []);
    this.ins = Array.from({ length: size }, () => []);
    this.isTouched = new Uint8Array(size);
    this.distance = new Int32Array(size);
    this.step = 2 ** Math.ceil(Math.log2(size + 1));
    this.way = new Int32Array(size);
    this.seen = new Int32Array(size);
  }

  /** A point in time to come back to. */
  mark(): number {
    return this.trail.length;
  }

  /** Forgets how to go back. */
  commit(): void {
    for (let i = 0; i < this.trail.length; i += 3)
      if (this.trail[i] === Change.Removed) this.spare.push(this.trail[i + 1] as number);
    this.trail = [];
  }

  /** Takes back all that was done since the mark. The price has to be put back by whoever knows it. */
  rollback(mark: number, cost: number): void {
    const { trail } = this;
    while (trail.length > mark) {
      const old = trail.pop() as number;
      const index = trail.pop() as number;
      const kind = trail.pop() as Change;
      if (kind === Change.Time) {
        this.times[index] = old;
        this.touch(index);
      } else if (kind === Change.Flow) this.flow[index] = old;
      else if (kind === Change.Added) {
        this.detach(index);
        this.spare.push(index);
      } else this.attach(index);
    }
    this.cost = cost;
  }

  /** By how many minutes an arc would fall short now. */
  shortfall(from: number, to: number, lag: number): number {
    return lag - ((this.times[to] as number) - (this.times[from] as number));
  }

  /**
   * Adds an arc and moves what has to move. Returns the arc, or -1 where it cannot be kept or the price would exceed
   * the limit; then what was begun has to be taken back.
   */
  add(from: number, to: number, lag: number, price: number, limit = Infinity): number {
    const arc = this.spare.pop() ?? this.arcs++;
    if (arc === this.from.length) this.widen();
    this.from[arc] = from;
    this.to[arc] = to;
    this.lag[arc] = lag;
    this.price[arc] = price;
    this.flow[arc] = 0;
    let short = this.shortfall(from, to, lag);
    let flow = 0;
    if (short > 0 && price < FIRM) this.cost += short * price;
    for (let ways = 0; short > 0 && flow < price; ways++) {
      // Raised against what flows already, for the arc's own price less.
      const moved = this.approach(to, from, short);
      this.cost += moved * (flow - (price < FIRM ? price : 0));
      short -= moved;
      const amount = short > 0 ? this.push(price - flow) : 0;
      this.stuck = amount >= FIRM / 2 || ways > MOST_WAYS;
      if (this.stuck || this.cost > limit) {
        this.spare.push(arc);
        return -1;
      }
      flow += amount;
    }
    this.flow[arc] = flow;
    this.attach(arc);
    this.trail.push(Change.Added, arc, 0);
    return arc;
  }

  /** Takes an arc away; what it held falls into its better place. Firm arcs only. */
  remove(arc: number): void {
    const [from, to] = [this.from[arc] as number, this.to[arc] as number];
    let flow = this.flow[arc] as number;
    this.trail.push(Change.Flow, arc, flow);
    this.flow[arc] = 0;
    this.detach(arc);
    this.trail.push(Change.Removed, arc, 0);
    while (flow > 0) {
      this.cost -= flow * this.approach(from, to, FAR);
      flow -= this.push(flow);
    }
  }

  /**
   * Moves `head` later and `tail` earlier, with all that they drag along, until there is a tight way from `head` to `tail`
   * (kept in {@link path}) or the two have come `most` minutes further apart. Returns how many minutes they have.
   */
  private approach(head: number, tail: number, most: number): number {
    const { origin, path } = this;
    path.length = 0;
    let moved = 0;
    if (head !== origin) {
      moved = this.shift(head, tail, most, 1);
      if (this.end < 0) return moved;
      this.trace(head, 1);
      path.reverse();
      if (this.end === tail) return moved;
    }
    // Held by the origin on this side; what is left is to be had on the other.
    moved += this.shift(tail, head, most - moved, -1);
    if (this.end < 0) return moved;
    if (this.end === head) path.length = 0;
    this.trace(tail, -1);
    this.cutLoops();
    return moved;
  }

  /** Two ways that meet at the origin may have met before; what lies between is a loop, and is left out. */
  private cutLoops(): void {
    const { path } = this;
    const entered = new Map<number, number>();
    let kept = 0;
    for (const step of path) {
      const node = (step & 1 ? this.to[step >> 1] : this.from[step >> 1]) as number;
      kept = entered.get(node) ?? kept;
      entered.set(node, kept);
      path[kept++] = step;
    }
    path.length = kept;
  }

  /** Sends what fits along the tight way that {@link approach} has found. */
  private push(most: number): number {
    let amount = most;
    for (const step of this.path) {
      const arc = step >> 1;
      const flow = this.flow[arc] as number;
      const price = this.price[arc] as number;
      const room = step & 1 ? flow : price === FIRM ? FIRM : price - flow;
      if (room < amount) amount = room;
    }
    if (amount >= FIRM / 2) return amount;
    for (const step of this.path) {
      const arc = step >> 1;
      this.trail.push(Change.Flow, arc, this.flow[arc] as number);
      this.flow[arc] = (this.flow[arc] as number) + (step & 1 ? -amount : amount);
    }
    return amount;
  }

  /** Adds to {@link path} the arcs from where the last shift ended back to its start, as `2 * arc`, plus 1 where against it. */
  private trace(start: number, direction: 1 | -1): void {
    for (let at = this.end; at !== start;) {
      const step = this.way[at] as number;
      this.path.push(step);
      const back = (step & 1) === 1;
      at = (back === (direction === 1) ? this.to[step >> 1] : this.from[step >> 1]) as number;
    }
  }

  /**
   * Moves `start` by up to `most` minutes, later or earlier, and with it all that cannot stay behind, until the origin or
   * `goal` would have to move; `end` says which, or -1.
   */
  private shift(start: number, goal: number, most: number, direction: 1 | -1): number {
    this.end = -1;
    if (start === this.origin) {
      this.end = this.origin;
      return 0;
    }
    const { times, distance, way, seen, heap, lag, price, flow, step, origin, reached } = this;
    const ahead = direction === 1 ? this.to : this.from;
    const behind = direction === 1 ? this.from : this.to;
    const forth = direction === 1 ? this.outs : this.ins;
    const back = direction === 1 ? this.ins : this.outs;
    const round = ++this.round;
    reached.length = 0;
    heap.clear();
    distance[start] = 0;
    seen[start] = round;
    heap.push(0, start);
    let length = most * step;
    for (;;) {
      const node = heap.pop();
      if (node < 0) break;
      const here = heap.key;
      if (here > (distance[node] as number)) continue;
      if (here >= length) break;
      reached.push(node);
      const time = times[node] as number;
      // Along an arc there has to be room for more flow, against it some flow. No way is of use that is longer than what
      // is left, so the minutes left tell most arcs off before a distance is reckoned.
      const left = Math.floor((length - here - 1) / step);
      const along = forth[node] as number[];
      for (let i = 0; i < along.length; i++) {
        const arc = along[i] as number;
        const other = ahead[arc] as number;
        const gap = direction * ((times[other] as number) - time) - (lag[arc] as number);
        if (gap > left || (flow[arc] as number) >= (price[arc] as number)) continue;
        const there = here + gap * step + 1;
        if (there > length || (seen[other] === round && there >= (distance[other] as number))) continue;
        seen[other] = round;
        distance[other] = there;
        way[other] = arc << 1;
        if (other === goal || other === origin) [length, this.end] = [there, other];
        else heap.push(there, other);
      }
      const against = back[node] as number[];
      for (let i = 0; i < against.length; i++) {
        const arc = against[i] as number;
        if (flow[arc] === 0) continue;
        const other = behind[arc] as number;
        const gap = direction * ((times[other] as number) - time) + (lag[arc] as number);
        if (gap > left) continue;
        const there = here + gap * step + 1;
        if (there > length || (seen[other] === round && there >= (distance[other] as number))) continue;
        seen[other] = round;
        distance[other] = there;
        way[other] = (arc << 1) | 1;
        if (other === goal || other === origin) [length, this.end] = [there, other];
        else heap.push(there, other);
      }
    }
    const minutes = Math.floor(length / step);
    if (minutes >= FAR) throw new Error('A removed arc has left its flow with nowhere to go.');
    for (const node of reached) {
      const by = minutes - Math.floor((distance[node] as number) / step);
      if (by <= 0) continue;
      this.trail.push(Change.Time, node, times[node] as number);
      times[node] = (times[node] as number) + direction * by;
      this.touch(node);
    }
    return minutes;
  }

  private touch(node: number): void {
    if (this.isTouched[node] === 1) return;
    this.isTouched[node] = 1;
    this.touched.push(node);
  }

  /** Empties the list of touched nodes. */
  forgetTouched(): void {
    for (const node of this.touched) this.isTouched[node] = 0;
    this.touched.length = 0;
  }

  private widen(): void {
    const wider = (old: Int32Array) => {
      const made = new Int32Array(2 * old.length);
      made.set(old);
      return made;
    };
    this.from = wider(this.from);
    this.to = wider(this.to);
    this.lag = wider(this.lag);
    this.price = wider(this.price);
    this.flow = wider(this.flow);
  }

  private attach(arc: number): void {
    (this.outs[this.from[arc] as number] as number[]).push(arc);
    (this.ins[this.to[arc] as number] as number[]).push(arc);
  }

  private detach(arc: number): void {
    for (const arcs of [
      this.outs[this.from[arc] as number],
      this.ins[this.to[arc] as number],
    ] as number[][]) {
      arcs[arcs.indexOf(arc)] = arcs[arcs.length - 1] as number;
      arcs.pop();
    }
  }
}

/** A binary heap of nodes by distance; out of date entries are left in it. */
class Heap {
  private readonly keys: number[] = [];
  private readonly nodes: number[] = [];
  private size = 0;
  /** Distance of the node that was popped last. */
  key = 0;

  clear(): void {
    this.size = 0;
  }

  push(key: number, node: number): void {
    const { keys, nodes } = this;
    let i = this.size++;
    while (i > 0) {
      const up = (i - 1) >> 1;
      if ((keys[up] as number) <= key) break;
      keys[i] = keys[up] as number;
      nodes[i] = nodes[up] as number;
      i = up;
    }
    keys[i] = key;
    nodes[i] = node;
  }

  /** The nearest node, or -1. */
  pop(): number {
    const { keys, nodes } = this;
    if (this.size === 0) return -1;
    const node = nodes[0] as number;
    this.key = keys[0] as number;
    const size = --this.size;
    const key = keys[size] as number;
    const last = nodes[size] as number;
    let i = 0;
    for (;;) {
      let down = 2 * i + 1;
      if (down >= size) break;
      if (down + 1 < size && (keys[down + 1] as number) < (keys[down] as number)) down++;
      if ((keys[down] as number) >= key) break;
      keys[i] = keys[down] as number;
      nodes[i] = nodes[down] as number;
      i = down;
    }
    keys[i] = key;
    nodes[i] = last;
    return node;
  }
}
