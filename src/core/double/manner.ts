import { chanceOf } from './chance';

/** How somebody of the simulated crew works. */
export interface Manner {
  /** How many times as long as planned they take, usually. */
  pace: number;
  /** Share of their taps that they forget at first. */
  forgets: number;
}

/** How people differ, and how one task differs from the next. */
const SPREAD = { pace: 0.08, task: 0.12 };
/** A tap that was forgotten is made up for after so many minutes, at least and at most. */
const FORGOTTEN = { least: 8, most: 30 };
/** Minutes after which somebody who is free has seen that something is to do, at least and at most. */
const NOTICED = { least: 0.3, most: 3 };

const between = ({ least, most }: { least: number; most: number }, unit: number) =>
  least + unit * (most - least);

export function mannerOf(personId: number, seed: number): Manner {
  const chance = chanceOf(`person ${personId}`, seed);
  return { pace: chance.factor(SPREAD.pace), forgets: 0.01 + 0.05 * chance.unit() };
}

/** How somebody does one task: how long it takes them, and how much later than it was done they say so, minutes. */
export interface TaskManner {
  /** How many times as long as planned. */
  times: number;
  /** From being free until they begin with it. */
  noticed: number;
  /** From the end of the work until it is recorded; 0 nearly always. */
  saidAfter: number;
}

/** The same person does the same task in the same way, however often it is looked at. */
export function taskManner(personId: number, task: string, seed: number): TaskManner {
  const { pace, forgets } = mannerOf(personId, seed);
  const chance = chanceOf(`person ${personId}, ${task}`, seed);
  return {
    times: pace * chance.factor(SPREAD.task),
    noticed: between(NOTICED, chance.unit()),
    saidAfter: chance.happens(forgets) ? between(FORGOTTEN, chance.unit()) : 0,
  };
}
