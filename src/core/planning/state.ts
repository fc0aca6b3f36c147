import { lengthCost, readyCost } from './cost';
import { legsOf } from './legs';
import type { Model, ModelTask } from './model';
import type { Nearby, OverloadSource, Placer, Schedule } from './placement';
import { Profile } from './profile';
import { shuffled, type Random } from './random';

/** Where some tasks stand, to be put back. */
export type Places = { task: number; start: number; end: number }[];

/**
 * How much heavier overload weighs where what is pinned, or nobody being there, leaves no room: no other task can give
 * way there.
 */
const NO_WAY = 40;

/** A plan in the making: every task's place, what they hold, and what it costs, kept up to date move by move. */
export class State {
  readonly schedule: Schedule;
  /** The plan's own cost, of the tasks placed now. */
  cost = 0;
  /** Unit-minutes by which placed tasks overload resources; a plan is sound at 0. */
  overload = 0;
  private readonly profile: Profile;
  /** What pinned tasks hold, alone. */
  private readonly fixed: Profile;
  private readonly source: OverloadSource;

  constructor(
    readonly model: Model,
    private readonly placer: Placer,
    private readonly random: Random,
  ) {
    this.schedule = {
      start: new Int32Array(model.tasks.length).fill(-1),
      end: new Int32Array(model.tasks.length).fill(-1),
    };
    this.profile = new Profile(model);
    this.fixed = new Profile(model);
    this.source = {
      fillOverload: (task, from, to, out) => {
        this.profile.fillOverload(task, from, to, out);
        this.fixed.addOverload(task, from, to, out, NO_WAY);
      },
    };
  }

  /** Cost with the overload priced: what the search makes smaller. */
  worth(price: number): number {
    return this.cost + price * this.overload;
  }

  /** Takes tasks out of the plan and says where they stood. */
  lift(tasks: readonly number[]): Places {
    return tasks.map((i) => {
      const [start, end] = [this.schedule.start[i] as number, this.schedule.end[i] as number];
      const task = this.task(i);
      this.profile.remove(task, start, end);
      this.cost -= ownCost(task, start, end);
      this.overload -= this.profile.overloadOf(task, start, end);
      this.schedule.start[i] = this.schedule.end[i] = -1;
      return { task: i, start, end };
    });
  }

  /** Places tasks that have but one place, for good: nothing else can have what they hold. */
  pin(places: Places): void {
    for (const { task, start, end } of places) this.fixed.add(this.task(task), start, end);
    this.restore(places);
  }

  /** Puts lifted tasks back where they stood. */
  restore(places: Places): void {
    for (const { task, start, end } of places) this.commit(this.task(task), start, end);
  }

  /**
   * Finds places for lifted tasks, the cheapest given all others. Tasks of the set that get in each other's way are
   * placed leg by leg: those committed first are obstacles to the rest. Returns false, with all of them lifted again,
   * where a link could not be kept (only where links make a circle).
   */
  insert(tasks: readonly number[], price: number, near?: Nearby): boolean {
    let open = [...tasks];
    const done: number[] = [];
    while (open.length > 0) {
      if (this.placer.place(open, this.schedule, this.source, price, near) === Infinity) {
        for (const i of open) this.schedule.start[i] = this.schedule.end[i] = -1;
        this.lift(done);
        return false;
      }
      const proposal = open.map((i) => ({
        task: i,
        start: this.schedule.start[i] as number,
        end: this.schedule.end[i] as number,
      }));
      const placeOf = new Map(proposal.map((place) => [place.task, place]));
      for (const i of open) this.schedule.start[i] = this.schedule.end[i] = -1;
      const seen = new Map(
        proposal.map(({ task, start, end }) => [task, this.profile.overloadOf(this.task(task), start, end)]),
      );
      const deferred: number[] = [];
      const legs = shuffled(legsOf(this.model, open), this.random);
      legs.forEach((leg, nth) => {
        const places = leg.flatMap((i) => placeOf.get(i) ?? []);
        this.restore(places);
        const clash = places.some(({ task }) => this.overloadAt(task) > (seen.get(task) ?? 0));
        const keeps = this.keepsLinks(leg);
        if (nth > 0 && (clash || !keeps)) {
          this.lift(leg);
          deferred.push(...leg);
        } else if (!keeps) {
          const [first, ...others] = leg;
          this.lift(others);
          deferred.push(...others);
          if (first !== undefined) done.push(first);
        } else {
          done.push(...leg);
        }
      });
      open = deferred;
    }
    return true;
  }

  /** What lifted tasks would cost at their best, seeing only what is placed now; nothing is placed. */
  quote(tasks: readonly number[], price: number): number {
    const cost = this.placer.place(tasks, this.schedule, this.source, price);
    for (const i of tasks) this.schedule.start[i] = this.schedule.end[i] = -1;
    return cost;
  }

  /** Tasks whose place overloads a resource, now that all others stand. */
  overloaded(): number[] {
    return this.model.tasks.map((task) => task.index).filter((i) => this.overloadAt(i) > 0);
  }

  /**
   * Remembers contested minutes, so that the next placements avoid them. Minutes at which only some of the tasks of
   * one dough get in each other's way look free to each of them alone; a grudge moves them all.
   */
  resentOverload(tasks: readonly number[], amount: number): void {
    for (const i of tasks) {
      this.profile.resent(
        this.task(i),
        this.schedule.start[i] as number,
        this.schedule.end[i] as number,
        amount,
      );
    }
  }

  forgive(): void {
    this.profile.forgive();
  }

  private overloadAt(i: number): number {
    const task = this.task(i);
    const [start, end] = [this.schedule.start[i] as number, this.schedule.end[i] as number];
    if (start < 0) return 0;
    this.profile.remove(task, start, end);
    const overload = this.profile.overloadOf(task, start, end);
    this.profile.add(task, start, end);
    return overload;
  }

  private keepsLinks(leg: readonly number[]): boolean {
    const { start, end } = this.schedule;
    return leg.every((i) =>
      [...this.task(i).before, ...this.task(i).after].every(({ from, to, min, max }) => {
        if ((start[from] as number) < 0 || (start[to] as number) < 0) return true;
        const lag = (start[to] as number) - (end[from] as number);
        return lag >= min && lag <= max;
      }),
    );
  }

  private commit(task: ModelTask, start: number, end: number): void {
    this.overload += this.profile.overloadOf(task, start, end);
    this.profile.add(task, start, end);
    this.cost += ownCost(task, start, end);
    this.schedule.start[task.index] = start;
    this.schedule.end[task.index] = end;
  }

  private task(i: number): ModelTask {
    return this.model.tasks[i] as ModelTask;
  }
}

/** What a task costs by itself: its length off target and its promises. */
export function ownCost(task: ModelTask, start: number, end: number): number {
  return task.outputs.reduce((sum, output) => sum + readyCost(output, end), lengthCost(task, end - start));
}
