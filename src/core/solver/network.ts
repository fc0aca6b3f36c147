import type { Model, ModelTask } from './model';
import type { EndCost } from './problem';

/** A task of fixed length in a block: it starts `offset` minutes after the block's time. */
export interface BlockTask {
  task: ModelTask;
  offset: number;
  length: number;
}

/** Steps that move as one: of fixed length, each straight after (or a fixed lag from) another. */
export interface Block {
  index: number;
  tasks: BlockTask[];
  /** Promises on events of this block, `offset` minutes after its time. */
  promises: { output: EndCost; offset: number }[];
  /** Ties that start or end here. */
  ties: Tie[];
  /** The same ties, as they look from here. */
  views: View[];
}

/** How a tie looks from the block that asks (`parent`): the other's time is `low..high` minutes later. */
export interface View {
  tie: Tie;
  parent: number;
  child: number;
  low: number;
  high: number;
  /** The tie's wait, if it has one, starts at the block that asks. */
  starts: boolean;
}

/** The task whose length a tie decides: it runs from `a` + `startOffset` to `b` + `endOffset`. */
export interface Wait {
  task: ModelTask;
  startOffset: number;
  endOffset: number;
}

/** `low <= time(b) - time(a) <= high`: a wait of variable length, or a link with room. */
export interface Tie {
  index: number;
  a: number;
  b: number;
  low: number;
  high: number;
  wait: Wait | null;
  /** Closes a circle with tighter ties; a tree of ties does without it. */
  chord: boolean;
}

/** Earliest and latest time of each block. */
export interface Times {
  from: Int32Array;
  to: Int32Array;
}

/**
 * A model as blocks and ties between them. Starts and ends of tasks are events `2 * task` and `2 * task + 1`; each has
 * its block and its offset in it.
 */
export interface Network {
  model: Model;
  blocks: Block[];
  ties: Tie[];
  blockOf: Int32Array;
  offsetOf: Int32Array;
  /** Narrowed through all ties. */
  windows: Times;
  /** Blocks that have but one time. */
  fixed: number[];
  /** Sets of the other blocks that ties connect. */
  components: number[][];
}

export const startEvent = (task: number): number => 2 * task;
export const endEvent = (task: number): number => 2 * task + 1;

/** Events that keep a fixed distance, by union with offsets. */
class RigidSets {
  private readonly parent: Int32Array;
  private readonly shift: Int32Array;

  constructor(size: number) {
    this.parent = Int32Array.from({ length: size }, (_, i) => i);
    this.shift = new Int32Array(size);
  }

  /** The set of an event and the event's time relative to the set's own. */
  find(event: number): { set: number; offset: number } {
    let offset = 0;
    let at = event;
    while (this.parent[at] !== at) {
      offset += this.shift[at] as number;
      at = this.parent[at] as number;
    }
    // The way is shortened, so that long chains stay cheap.
    if (at !== event) {
      this.parent[event] = at;
      this.shift[event] = offset;
    }
    return { set: at, offset };
  }

  /** Says that `b` is `distance` after `a`; false if that cannot be. */
  join(a: number, b: number, distance: number): boolean {
    const [left, right] = [this.find(a), this.find(b)];
    const shift = left.offset + distance - right.offset;
    if (left.set === right.set) return shift === 0;
    this.parent[right.set] = left.set;
    this.shift[right.set] = shift;
    return true;
  }
}

/** Builds the network of a model; null where lengths, links and windows alone leave no plan. */
export function networkOf(model: Model): Network | null {
  const rigid = rigidSets(model);
  if (!rigid) return null;
  const { blockOf, offsetOf, count } = numbered(rigid, 2 * model.tasks.length);
  const blocks: Block[] = Array.from({ length: count }, (_, index) => {
    return { index, tasks: [], promises: [], ties: [], views: [] };
  });
  const windows: Times = { from: new Int32Array(count), to: new Int32Array(count).fill(model.horizon) };
  const tying = new Tying(blocks, blockOf, offsetOf);
  for (const task of model.tasks) {
    if (!placeTask(task, tying, windows)) return null;
    for (const link of task.after) {
      if (link.min === link.max) continue;
      const next = startEvent(link.to);
      const lag = tying.offset(endEvent(task.index)) - tying.offset(next);
      const [low, high] = [link.min + lag, Math.min(link.max, model.horizon) + lag];
      if (!tying.tie({ from: endEvent(task.index), to: next, low, high, wait: null })) return null;
    }
  }
  markChords(tying.ties, count);
  const everything = blocks.map(({ index }) => index);
  if (!narrow(blocks, windows, everything)) return null;
  const isFixed = (b: number) => windows.from[b] === windows.to[b];
  return {
    ...{ model, blocks, ties: tying.ties, blockOf, offsetOf, windows },
    fixed: everything.filter(isFixed),
    components: tiedSets(
      blocks,
      everything.filter((b) => !isFixed(b)),
    ),
  };
}

/** Joins events whose distance is fixed: both ends of a task of one length, and links without room; null for a contradiction. */
function rigidSets({ tasks }: Model): RigidSets | null {
  const rigid = new RigidSets(2 * tasks.length);
  for (const task of tasks) {
    const length = fixedLength(task);
    if (length === null) continue;
    if (length < task.min || length > task.max) return null;
    if (!rigid.join(startEvent(task.index), endEvent(task.index), length)) return null;
  }
  for (const link of tasks.flatMap((task) => task.after)) {
    if (link.min === link.max && !rigid.join(endEvent(link.from), startEvent(link.to), link.min)) return null;
  }
  return rigid;
}

function fixedLength(task: ModelTask): number | null {
  if (task.startFrom === task.startTo && task.endFrom === task.endTo) return task.endFrom - task.startFrom;
  return task.min === task.max ? task.min : null;
}

/** Ties blocks to one another, event by event. */
class Tying {
  readonly ties: Tie[] = [];

  constructor(
    private readonly blocks: readonly Block[],
    private readonly blockOf: Int32Array,
    private readonly offsetOf: Int32Array,
  ) {}

  block(event: number): Block {
    return this.blocks[this.blockOf[event] as number] as Block;
  }

  offset(event: number): number {
    return this.offsetOf[event] as number;
  }

  /** `to` is between `low` and `high` after `from`, both as block times; false where they are one block and it cannot be. */
  tie({
    from,
    to,
    low,
    high,
    wait,
  }: Pick<Tie, 'low' | 'high' | 'wait'> & { from: number; to: number }): boolean {
    const [a, b] = [this.block(from), this.block(to)];
    if (a === b) return low <= 0 && high >= 0;
    const tie = { index: this.ties.length, a: a.index, b: b.index, low, high, wait, chord: false };
    this.ties.push(tie);
    a.ties.push(tie);
    b.ties.push(tie);
    a.views.push({ tie, parent: a.index, child: b.index, low, high, starts: true });
    b.views.push({ tie, parent: b.index, child: a.index, low: -high, high: -low, starts: false });
    return true;
  }
}

/** Puts a task into its block, or between two as a wait, with its windows and what its end costs; false where it cannot be. */
function placeTask(task: ModelTask, tying: Tying, windows: Times): boolean {
  const [start, end] = [startEvent(task.index), endEvent(task.index)];
  const [startOffset, endOffset] = [tying.offset(start), tying.offset(end)];
  const [first, last] = [tying.block(start), tying.block(end)];
  limit(windows, first.index, task.startFrom - startOffset, task.startTo - startOffset);
  limit(windows, last.index, task.endFrom - endOffset, task.endTo - endOffset);
  for (const output of task.outputs) last.promises.push({ output, offset: endOffset });
  for (const { end: due, cost } of task.endWishes)
    last.promises.push({ output: { due, lateCost: cost, freshFor: 0, staleCost: cost }, offset: endOffset });
  const length = endOffset - startOffset;
  if (first === last) {
    first.tasks.push({ task, offset: startOffset, length });
    return length >= task.min && length <= task.max;
  }
  const wait = { task, startOffset, endOffset };
  return tying.tie({ from: start, to: end, low: task.min - length, high: task.max - length, wait });
}

/** Numbers the rigid sets; a block's time is that of its earliest event. */
function numbered(rigid: RigidSets, events: number) {
  const numberOf = new Map<number, number>();
  const earliest: number[] = [];
  const blockOf = new Int32Array(events);
  const offsetOf = new Int32Array(events);
  for (let event = 0; event < events; event++) {
    const { set, offset } = rigid.find(event);
    const number = numberOf.get(set) ?? numberOf.size;
    numberOf.set(set, number);
    blockOf[event] = number;
    offsetOf[event] = offset;
    earliest[number] = Math.min(earliest[number] ?? Infinity, offset);
  }
  for (let event = 0; event < events; event++) {
    offsetOf[event] = (offsetOf[event] as number) - (earliest[blockOf[event] as number] as number);
  }
  return { blockOf, offsetOf, count: numberOf.size };
}

function limit({ from, to }: Times, block: number, least: number, most: number): void {
  from[block] = Math.max(from[block] as number, least);
  to[block] = Math.min(to[block] as number, most);
}

/** Marks the ties that a spanning tree of the tightest ties (waits before links) leaves over. */
function markChords(ties: readonly Tie[], count: number): void {
  const group = Int32Array.from({ length: count }, (_, i) => i);
  const top = (i: number): number => {
    let at = i;
    while (group[at] !== at) at = group[at] = group[group[at] as number] as number;
    return at;
  };
  const room = (tie: Tie) => (tie.wait ? 0 : 1e9) + tie.high - tie.low;
  for (const tie of [...ties].sort((x, y) => room(x) - room(y))) {
    const [a, b] = [top(tie.a), top(tie.b)];
    if (a === b) tie.chord = true;
    else group[a] = b;
  }
}

/** Sets of `members` that ties among them connect, in the order of their first member. */
export function tiedSets(blocks: readonly Block[], members: readonly number[]): number[][] {
  const waiting = new Set(members);
  const sets: number[][] = [];
  for (const first of members) {
    if (!waiting.delete(first)) continue;
    const set = [first];
    for (const at of set) {
      for (const { a, b } of blocks[at]?.ties ?? []) {
        const next = a === at ? b : a;
        if (waiting.delete(next)) set.push(next);
      }
    }
    sets.push(set);
  }
  return sets;
}

/**
 * Narrows the windows of blocks through all ties, beginning with `touched`, until nothing moves. Returns false as soon
 * as a block has no time left: then no plan keeps all lengths and links. What is left is tight: with any one block put
 * to the edge of its window, the others have places.
 */
export function narrow(blocks: readonly Block[], { from, to }: Times, touched: readonly number[]): boolean {
  const queue = [...touched];
  const queued = new Set(touched);
  for (const b of queue) if ((from[b] as number) > (to[b] as number)) return false;
  for (let head = 0; head < queue.length; head++) {
    const at = queue[head] as number;
    queued.delete(at);
    for (const tie of (blocks[at] as Block).ties) {
      const forth = tie.a === at;
      const other = forth ? tie.b : tie.a;
      const least = (from[at] as number) + (forth ? tie.low : -tie.high);
      const most = (to[at] as number) + (forth ? tie.high : -tie.low);
      if (least <= (from[other] as number) && most >= (to[other] as number)) continue;
      from[other] = Math.max(from[other] as number, least);
      to[other] = Math.min(to[other] as number, most);
      if (from[other] > to[other]) return false;
      if (!queued.has(other)) {
        queued.add(other);
        queue.push(other);
      }
    }
  }
  return true;
}
