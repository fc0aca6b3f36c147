import type { Words } from '../codes/coded';

export type Point = readonly [x: number, y: number];

/** What a surface is, and so how it is filled on a screen and hatched on paper. */
export type Tone = 'dough' | 'shade' | 'butter' | 'filling' | 'odd' | 'second' | 'third' | 'tin' | 'none';

/** How a line is drawn. `free`: beside all dough, on the ground of the page itself, be that light or dark. */
export interface Stroke {
  dashed?: boolean;
  heavy?: boolean;
  free?: boolean;
}

/** One thing on a drawing, in the drawing's own units with y downwards. */
export type Mark =
  | { kind: 'area'; points: readonly Point[]; tone: Tone; bare?: boolean }
  | ({ kind: 'line'; points: readonly Point[]; arrow?: boolean } & Stroke)
  | ({ kind: 'curve'; path: string; tone: Tone } & Stroke)
  | { kind: 'text'; at: Point; text: string; size: number; anchor?: 'start' | 'middle' | 'end' };

/** A picture as data: drawn on a screen, on paper or into a file by whoever has the means. */
export interface Drawing {
  /** The window that is seen: left, top, width, height. */
  view: readonly [left: number, top: number, width: number, height: number];
  marks: Mark[];
  /** What it shows, for those who do not see it. */
  says: Words;
}

export const area = (points: readonly Point[], tone: Tone, bare = false): Mark => ({
  kind: 'area',
  points,
  tone,
  ...(bare ? { bare } : {}),
});
export const line = (points: readonly Point[], more: Stroke & { arrow?: boolean } = {}): Mark => ({
  kind: 'line',
  points,
  ...more,
});
export const text = (
  at: Point,
  words: string,
  size: number,
  anchor: 'start' | 'middle' | 'end' = 'middle',
): Mark => ({ kind: 'text', at, text: words, size, anchor });
export const rectangle = (left: number, top: number, width: number, height: number): Point[] => [
  [left, top],
  [left + width, top],
  [left + width, top + height],
  [left, top + height],
];

/** A line that ends in a head: which way something goes. */
export const arrow = (...points: Point[]): Mark => line(points, { arrow: true });
/** An outline in the terms of SVG, filled. */
export const curve = (path: string, tone: Tone = 'dough', more: Stroke = {}): Mark => ({
  kind: 'curve',
  ...{ path, tone, ...more },
});
export const round = (x: number, y: number, r: number, tone: Tone): Mark =>
  curve(`M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`, tone);

/** A glass or tub with straight walls, open at the top: from `top` down to `ground`. */
export const vessel = (left: number, right: number, [top, ground]: readonly [number, number]): Mark =>
  line(
    [
      [left, top],
      [left, ground],
      [right, ground],
      [right, top],
    ],
    { heavy: true, free: true },
  );

/** A polygon or line as the path that SVG draws. */
export function pathOf(points: readonly Point[], closed: boolean): string {
  const short = (value: number) => String(Math.round(value * 1000) / 1000);
  const steps = points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${short(x)} ${short(y)}`);
  return steps.join('') + (closed ? 'Z' : '');
}
