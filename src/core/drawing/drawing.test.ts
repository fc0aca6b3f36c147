import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { area, line, pathOf, rectangle, text, type Drawing, type Mark } from './drawing';
import { svgFile } from './svg';
import { coded } from '../codes/coded';

const drawing = (marks: Mark[]): Drawing => ({ view: [0, 0, 60, 40], marks, says: coded('steps.lockIn') });
const file = (marks: Mark[], title = 'a sheet') => svgFile(drawing(marks), title, 10);
const paths = (svg: string) => [...svg.matchAll(/<path [^>]*\/>/g)].map(([path]) => path);

describe('a path', () => {
  it('goes from point to point, and back to the first where it is closed', () => {
    expect(pathOf(rectangle(1, 2, 3, 4), true)).toBe('M1 2L4 2L4 6L1 6Z');
    expect(
      pathOf(
        [
          [0, 0],
          [1 / 3, 2],
        ],
        false,
      ),
    ).toBe('M0 0L0.333 2');
  });

  it('is finer than any knife: each point to a thousandth', () => {
    const coordinate = fc.double({ min: -500, max: 500, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(coordinate, coordinate), { minLength: 1, maxLength: 12 }), (points) => {
        const read = pathOf(points, false)
          .slice(1)
          .split('L')
          .map((pair) => pair.split(' ').map(Number));
        expect(read).toHaveLength(points.length);
        read.forEach(([x = NaN, y = NaN], i) => {
          expect(Math.abs(x - (points[i]?.[0] ?? NaN))).toBeLessThanOrEqual(0.0005001);
          expect(Math.abs(y - (points[i]?.[1] ?? NaN))).toBeLessThanOrEqual(0.0005001);
        });
      }),
    );
  });
});

describe('a drawing as a file', () => {
  it('has its true size on paper', () => {
    const svg = file([]);
    expect(svg).toContain('width="600mm" height="400mm" viewBox="0 0 60 40"');
  });

  it('tells in grey what colour tells on a screen, and no two doughs alike', () => {
    const tones = ['dough', 'second', 'third', 'odd'] as const;
    const svg = file(tones.map((tone) => area(rectangle(0, 0, 1, 1), tone)));
    const fills = paths(svg).map((path) => /fill="([^"]*)"/.exec(path)?.[1] ?? '');
    expect(new Set(fills).size).toBe(tones.length);
    for (const fill of fills) expect(fill).toMatch(/^#(..)\1\1$/);
  });

  it('draws heavy lines twice as thick, dashes what is only meant, and leaves a bare face without an edge', () => {
    const ends = rectangle(0, 0, 2, 0).slice(0, 2);
    const [plain, heavy, dashed, bare] = paths(
      file([
        line(ends),
        line(ends, { heavy: true }),
        line(ends, { dashed: true }),
        area(rectangle(0, 0, 1, 1), 'shade', true),
      ]),
    );
    const width = (path = '') => Number(/stroke-width="([\d.]+)"/.exec(path)?.[1]);
    expect(width(heavy)).toBeCloseTo(2 * width(plain));
    expect(plain).not.toContain('dasharray');
    expect(dashed).toContain('stroke-dasharray');
    expect(bare).not.toContain('stroke=');
  });

  it('has no text that a reader of the file would take for anything but text', () => {
    const words = 'cut <here> & "there"';
    const svg = file([text([1, 2], words, 3)], words);
    expect(svg).not.toContain('<here>');
    expect(svg.match(/cut &lt;here&gt; &amp; &quot;there&quot;/g)).toHaveLength(2);
  });
});
