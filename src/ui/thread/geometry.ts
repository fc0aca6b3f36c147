import type { DoughForecast } from '@/core/forecast/forecast';
import { temperatureTrace } from '@/core/process/trace';
import { temperatureColour, temperatureHeight } from './temperature';

/** A stretch of time drawn over a width. */
export interface TimeScale {
  from: number;
  to: number;
  width: number;
}

export const xOf = (scale: TimeScale, at: number) =>
  ((at - scale.from) / (scale.to - scale.from)) * scale.width;

/** One piece of a thread's line, with the colour of its temperature. */
export interface Segment {
  d: string;
  colour: string;
}

export interface Knot {
  key: string;
  x: number;
  y: number;
  status: 'open' | 'running' | 'done' | 'skipped';
  word: string;
  oven: boolean;
}

/** The keys of the knots whose word has room: one that would run into the one before, or over an edge, is left out. */
function knotsWithRoom(knots: readonly Knot[], width: number): Set<string> {
  const shown = new Set<string>();
  let free = 0;
  for (const { key, word, x } of [...knots].sort((a, b) => a.x - b.x)) {
    const half = (word.length * 5.2 + 4) / 2;
    if (word === '' || x - half <= free || x + half > width) continue;
    shown.add(key);
    free = x + half;
  }
  return shown;
}

export interface DrawnThread {
  /** Lines of the dough: the main one and, thinner, those of its other outputs and branches. */
  lines: { segments: Segment[]; main: boolean }[];
  knots: Knot[];
  /** Waits to come that can give: from the earliest to the latest end. */
  gives: { key: string; x1: number; x2: number; y: number }[];
}

type Steps = DoughForecast['steps'];

/** Splits a dough's steps into lines: the dough with its first load, each further load, each branch. */
function linesOf(steps: Steps): Steps[] {
  const isBranch = (step: Steps[number]) => step.step.branch !== undefined;
  const main = steps.filter((step) => step.outputId === null && !isBranch(step));
  const loads = new Map<string, Steps>();
  for (const step of steps.filter((s) => s.outputId !== null && !isBranch(s))) {
    const load = `${step.outputId}.${step.load?.nth}`;
    loads.set(load, [...(loads.get(load) ?? []), step]);
  }
  const [first = [], ...others] = [...loads.values()];
  const branches = new Map<string, Steps>();
  for (const step of steps.filter(isBranch)) {
    const name = `${step.outputId}.${step.load?.nth}.${step.step.branch}`;
    branches.set(name, [...(branches.get(name) ?? []), step]);
  }
  return [[...main, ...first], ...others, ...branches.values()];
}

/** What the knot of a kind of step is called, as short as it can be. */
export type KnotWords = Partial<Record<Steps[number]['step']['kind'], string>>;

interface DrawOptions {
  planned?: boolean;
  leastGive?: number;
  words?: KnotWords;
}

/**
 * Works out where a thread's lines, knots and gives go. Heights come from temperatures, `height` is the row's.
 * `planned`: by the plan alone. `leastGive`: minutes of give from which a wait shows it. `words`: of the knots.
 */
export function drawThread(
  dough: DoughForecast,
  scale: TimeScale,
  height: number,
  { planned = false, leastGive = 60, words = {} }: DrawOptions = {},
): DrawnThread {
  const times = (step: Steps[number]) =>
    planned ? { start: step.plannedStart, end: step.plannedEnd } : { start: step.start, end: step.end };
  const y = (celsius: number) => (1 - temperatureHeight(celsius)) * (height - 8) + 4;
  const drawn: DrawnThread = { lines: [], knots: [], gives: [] };
  linesOf(dough.steps).forEach((steps, nth) => {
    const placed = steps
      .map((step) => ({
        step: { gives: step.step.gives, around: step.around, settling: step.settling },
        own: step,
        ...times(step),
      }))
      .sort((a, b) => a.start - b.start || a.end - b.end)
      .map((s) => ({ ...s, start: s.start / 60_000, end: s.end / 60_000 }));
    const points = temperatureTrace(placed, nth === 0 ? 22 : startOf(placed[0]?.step.around), 20).map(
      ({ minute, celsius }) => ({
        x: xOf(scale, minute * 60_000),
        y: y(celsius),
        celsius,
        minute,
      }),
    );
    const segments: Segment[] = [];
    points.slice(1).forEach((point, i) => {
      const before = points[i] as (typeof points)[number];
      const colour = temperatureColour((before.celsius + point.celsius) / 2);
      const piece = `L${point.x.toFixed(1)} ${point.y.toFixed(1)}`;
      const last = segments.at(-1);
      if (last?.colour === colour) last.d += piece;
      else segments.push({ d: `M${before.x.toFixed(1)} ${before.y.toFixed(1)}${piece}`, colour });
    });
    drawn.lines.push({ segments, main: nth === 0 });
    for (const { own, start } of placed) {
      const { step } = own;
      const status = dough.state.steps.get(own.key)?.status ?? 'open';
      const at = points.find((p) => p.minute >= start) ?? points.at(-1);
      if (!at) continue;
      const { start: begins, end } = times(own);
      if (
        (step.work || step.kind === 'bake') &&
        step.kind !== 'move' &&
        step.kind !== 'load' &&
        (nth === 0 || status !== 'open' || step.branch)
      ) {
        const x = xOf(scale, (begins + end) / 2);
        const word = nth === 0 || step.branch ? (step.turn?.toString() ?? words[step.kind] ?? '') : '';
        drawn.knots.push({
          key: own.key,
          x,
          y: at.y,
          status,
          word,
          oven: step.kind === 'bake',
        });
      } else if (status !== 'done' && status !== 'skipped' && nth === 0 && own.max - own.min >= leastGive) {
        const [x1, x2] = [xOf(scale, begins + own.min * 60_000), xOf(scale, begins + own.max * 60_000)];
        drawn.gives.push({ key: own.key, x1, x2, y: height - 3 });
      }
    }
  });
  const shown = knotsWithRoom(drawn.knots, scale.width);
  drawn.knots = drawn.knots.map((knot) => (shown.has(knot.key) ? knot : { ...knot, word: '' }));
  return drawn;
}

const startOf = (around: number | undefined) => (around !== undefined && around < 20 ? 16 : 20);
