import type { Coded } from '../codes/coded';
import { line, type Drawing, type Mark, type Point } from '../drawing/drawing';

/** One picture of the hands' work, and what it says. */
export interface ShapeStep {
  drawing: Drawing;
  words: Coded;
}

export interface Shape {
  label: Coded;
  steps: ShapeStep[];
  /** What goes wrong, and why. */
  wrong: { sign: Coded; because: Coded }[];
}

const view = [0, 0, 100, 70] as const;
/** One step: its words and what is drawn. */
export const step = (words: Coded, ...marks: Mark[]): ShapeStep => ({
  words,
  drawing: { view, marks, says: words },
});
export const arrow = (...points: Point[]) => line(points, { arrow: true });
export const curve = (
  path: string,
  tone: 'dough' | 'shade' | 'filling' | 'none' | 'tin' | 'butter' = 'dough',
): Mark => ({
  kind: 'curve',
  path,
  tone,
});
export const round = (
  x: number,
  y: number,
  r: number,
  tone: 'dough' | 'filling' | 'none' | 'tin' | 'shade',
) => curve(`M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`, tone);
