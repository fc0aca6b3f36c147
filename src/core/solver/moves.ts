import type { Random } from './random';
import type { Relaxed } from './relaxed';
import type { State } from './state';

/** Draws parts of the plan: sets of free blocks to lift and place anew. */
export class Moves {
  private readonly free: readonly number[];

  constructor(
    private readonly state: State,
    private readonly relaxed: Relaxed,
    private readonly random: Random,
  ) {
    this.free = state.network.components.flat();
  }

  any(): number {
    return this.oneOf(this.free);
  }

  oneOf(blocks: readonly number[]): number {
    return blocks[this.random.below(blocks.length)] as number;
  }

  /** The free blocks that hang together with block `b`. */
  project(b: number): readonly number[] {
    return this.state.network.components[this.state.componentOf[b] as number] ?? [];
  }

  /** A free block, oftener one that costs. */
  costly(): number {
    let chosen = this.any();
    let most = this.state.ownCost(chosen);
    for (let draws = this.random.below(6); draws > 0; draws--) {
      const b = this.any();
      const cost = this.state.ownCost(b);
      if (cost > most) [chosen, most] = [b, cost];
    }
    return chosen;
  }

  /** A free block of a project, drawn by how much more the projects cost than they would alone. */
  needy(): number {
    const { components } = this.state.network;
    const excess = components.map((_, c) => Math.max(0, this.relaxed.excessOf(this.state, c)));
    let draw = this.random.unit() * excess.reduce((sum, e) => sum + e, 0);
    for (const [c, members] of components.entries()) {
      draw -= excess[c] as number;
      if (draw < 0) return this.oneOf(members);
    }
    return this.any();
  }

  /** Free blocks that hold something within `minutes` of block `seed`, sharing a resource with it. */
  around(seed: number, minutes: number): number[] {
    const { state } = this;
    const wanted = new Set<number>();
    state.forEachHeld(seed, (task) => {
      for (const { resource } of task.uses) wanted.add(resource);
    });
    const held = state.reach([seed]);
    const at = state.times[seed] as number;
    // A wait of the seed may last for days; what matters is near its hands-on work.
    const from = Math.max(held.from, at - 2 * minutes) - minutes;
    const to = Math.min(held.to, at + 2 * minutes) + minutes;
    return this.free.filter((b) => {
      if (b === seed) return false;
      let meets = false;
      state.forEachHeld(b, (task, start, end) => {
        meets ||= start < to && end > from && task.uses.some((use) => wanted.has(use.resource));
      });
      return meets;
    });
  }
}
