/** What is believed of one number after evidence. */
export interface Belief {
  mean: number;
  /** Standard deviation. */
  spread: number;
}

/** Points of a grid and how far it reaches, in spreads of the beginning. */
const POINTS = 401;
const REACH = 4;

/**
 * Bayes on a grid: begins with a normal belief and weighs each point by the log likelihood of the evidence. `grid`
 * values are those of the number itself.
 */
export function believe(start: Belief, logLikelihood: (value: number) => number): Belief {
  const values = Array.from(
    { length: POINTS },
    (_, i) => start.mean + start.spread * REACH * ((2 * i) / (POINTS - 1) - 1),
  );
  const logs = values.map(
    (value) => -0.5 * ((value - start.mean) / start.spread) ** 2 + logLikelihood(value),
  );
  const top = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - top));
  const sum = weights.reduce((a, b) => a + b, 0);
  const mean = values.reduce((total, value, i) => total + value * (weights[i] ?? 0), 0) / sum;
  const variance =
    values.reduce((total, value, i) => total + (value - mean) ** 2 * (weights[i] ?? 0), 0) / sum;
  return { mean, spread: Math.sqrt(variance) };
}

/** The normal distribution function (Abramowitz and Stegun 7.1.26; within 2e-7). */
export function normal(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = (poly * Math.exp(-x * x)) / 2;
  return z > 0 ? 1 - tail : tail;
}
