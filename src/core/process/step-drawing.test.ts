import { describe, expect, it } from 'vitest';
import { coded } from '../codes/coded';
import type { Drawing } from '../drawing/drawing';
import { STEP_KINDS } from './route';
import { stepDrawing } from './step-drawing';

const SAYS = coded('steps.lockIn');
const DRAWN = STEP_KINDS.filter((kind) => stepDrawing(kind, SAYS) !== null);
const marksOf = (kind: (typeof STEP_KINDS)[number]) => stepDrawing(kind, SAYS)?.marks ?? [];
/** What is drawn of one tone. */
const areas = ({ marks }: Drawing, tone: string) =>
  marks.filter((mark) => (mark.kind === 'area' || mark.kind === 'curve') && mark.tone === tone);

describe('a drawing of a step', () => {
  it('is there for what hands do, and not for waits or for what is drawn to size', () => {
    for (const kind of ['mix', 'fold', 'degas', 'divide', 'wash', 'load', 'finish'] as const)
      expect(DRAWN).toContain(kind);
    for (const kind of [
      'rest',
      'bulk',
      'retard',
      'proof',
      'turn',
      'lock-in',
      'butter',
      'sheet',
      'shape',
    ] as const)
      expect(DRAWN).not.toContain(kind);
  });

  it('is unlike every other', () => {
    expect(new Set(DRAWN.map((kind) => JSON.stringify(marksOf(kind)))).size).toBe(DRAWN.length);
  });

  it.each(DRAWN)('shows a hand or a thing that moves, inside its window: %s', (kind) => {
    const { view, marks } = stepDrawing(kind, SAYS) ?? { view: [0, 0, 0, 0], marks: [] };
    if (kind !== 'filling') expect(marks.some((mark) => mark.kind === 'line' && mark.arrow)).toBe(true);
    for (const [x, y] of marks.flatMap((mark) => ('points' in mark ? mark.points : []))) {
      expect(x).toBeGreaterThanOrEqual(view[0]);
      expect(x).toBeLessThanOrEqual(view[2]);
      expect(y).toBeGreaterThanOrEqual(view[1]);
      expect(y).toBeLessThanOrEqual(view[3]);
    }
  });

  it('has pale pieces before the oven and brown ones after it', () => {
    const [load, bake] = [stepDrawing('load', SAYS), stepDrawing('bake', SAYS)];
    expect(load && areas(load, 'second')).toEqual([]);
    expect(bake && areas(bake, 'dough')).toEqual([]);
    expect(bake && areas(bake, 'second')).toHaveLength(3);
  });

  it('says in words what it shows', () => {
    expect(stepDrawing('mix', SAYS)?.says).toEqual(SAYS);
  });
});
