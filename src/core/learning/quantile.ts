/**
 * The value below which this share of some sorted ones lies; in between where it falls between two.
 *
 * @param sorted - at least one value, the least first
 * @example
 * quantile([1, 2, 3, 10], 0.5); // 2.5
 */
export function quantile(sorted: readonly number[], share: number): number {
  const place = share * (sorted.length - 1);
  const [below = 0, above = below] = [sorted[Math.floor(place)], sorted[Math.ceil(place)]];
  return below + (above - below) * (place - Math.floor(place));
}

/** The middle of some values, in any order. */
export const medianOf = (values: readonly number[]): number =>
  quantile(
    [...values].sort((a, b) => a - b),
    0.5,
  );
