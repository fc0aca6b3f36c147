import { describe, expect, it } from 'vitest';
import { coded } from '../codes/coded';
import type { Drawing } from '../drawing/drawing';
import type { Verdict } from '../learning/verdicts';
import { riseDrawing } from './rise-drawing';
import type { RisePhase } from './route';

const PHASES: readonly RisePhase[] = ['proof', 'bulk', 'sponge', 'levain'];
const VERDICTS: readonly Verdict[] = ['under', 'right', 'over'];
const SAYS = coded('bench.wobblesLayersShowTheDent');

/** How high the dough of a drawing reaches, from its numbers: the smallest y of what has the dough's tone. */
function top({ marks }: Drawing): number {
  const heights = marks.flatMap((mark) =>
    mark.kind === 'area' && mark.tone === 'dough' ? mark.points.map(([, y]) => y) : [],
  );
  return Math.min(...heights);
}

describe('a drawing of a rise', () => {
  it.each(PHASES)('tells its three states apart: %s', (phase) => {
    const texts = VERDICTS.map((verdict) => JSON.stringify(riseDrawing(phase, verdict, SAYS).marks));
    expect(new Set(texts).size).toBe(3);
  });

  it.each(PHASES)('has one window for all three, so that they compare: %s', (phase) => {
    const views = VERDICTS.map((verdict) => riseDrawing(phase, verdict, SAYS).view.join());
    expect(new Set(views).size).toBe(1);
  });

  it('shows a ready piece higher than one that is not, and than one that has sunk', () => {
    const [under, right, over] = VERDICTS.map((verdict) => top(riseDrawing('proof', verdict, SAYS)));
    expect(right).toBeLessThan(under ?? 0);
    expect(right).toBeLessThan(over ?? 0);
  });

  it('stays inside its window', () => {
    for (const phase of PHASES)
      for (const verdict of VERDICTS) {
        const { view, marks } = riseDrawing(phase, verdict, SAYS);
        const points = marks.flatMap((mark) => ('points' in mark ? mark.points : []));
        for (const [x, y] of points) {
          expect(x).toBeGreaterThanOrEqual(view[0]);
          expect(x).toBeLessThanOrEqual(view[2]);
          expect(y).toBeGreaterThanOrEqual(view[1] - 1);
          expect(y).toBeLessThanOrEqual(view[3]);
        }
      }
  });

  it('says in words what it shows', () => {
    expect(riseDrawing('proof', 'right', SAYS).says).toEqual(SAYS);
  });
});
