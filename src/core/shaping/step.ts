import type { Coded } from '../codes/coded';
import type { Drawing, Mark } from '../drawing/drawing';

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
