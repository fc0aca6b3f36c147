import type { Shape } from './conduction';
import { heatAt, type Material } from './material';

/**
 * How a body without freezing approaches the air around it, after the first minutes: core, mean and surface go as
 * `around + (start − around) · factor · exp(−t / settling)`, the first term of the series solution of conduction.
 */
export interface FirstMode {
  /** Minutes until a difference has fallen to 1/e. */
  settling: number;
  coreFactor: number;
  meanFactor: number;
  surfaceFactor: number;
}

/** A piece as it lies somewhere: its thickness (slab) or diameter (cylinder, ball) in mm. */
export interface Piece {
  shape: Shape;
  mm: number;
}

/** The first term for a piece of one material with the same air, `film` W/(m²·K), on all of its faces. */
export function firstMode({ shape, mm }: Piece, material: Material, film: number, celsius = 10): FirstMode {
  const half = mm / 2000;
  const heat = heatAt(material, celsius) * 1000;
  const biot = (film * half) / material.conductivity;
  const zeta = root(
    (z) => residual(shape, z, biot),
    shape === 'slab' ? Math.PI / 2 : shape === 'cylinder' ? 2.404825 : Math.PI,
  );
  const diffusivity = material.conductivity / (material.density * heat);
  const settling = half ** 2 / (diffusivity * zeta ** 2) / 60;
  return { settling, ...factors(shape, zeta) };
}

/** Zero at the first root: ζ tan ζ = Bi, ζ J₁/J₀ = Bi, 1 − ζ cot ζ = Bi. */
function residual(shape: Shape, z: number, biot: number): number {
  if (shape === 'slab') return z * Math.sin(z) - biot * Math.cos(z);
  if (shape === 'cylinder') return z * bessel(1, z) - biot * bessel(0, z);
  return (1 - biot) * Math.sin(z) - z * Math.cos(z);
}

function factors(shape: Shape, z: number): Omit<FirstMode, 'settling'> {
  if (shape === 'slab') {
    const coreFactor = (4 * Math.sin(z)) / (2 * z + Math.sin(2 * z));
    return {
      coreFactor,
      meanFactor: (coreFactor * Math.sin(z)) / z,
      surfaceFactor: coreFactor * Math.cos(z),
    };
  }
  if (shape === 'cylinder') {
    const [j0, j1] = [bessel(0, z), bessel(1, z)];
    const coreFactor = (2 * j1) / (z * (j0 * j0 + j1 * j1));
    return { coreFactor, meanFactor: (coreFactor * 2 * j1) / z, surfaceFactor: coreFactor * j0 };
  }
  const coreFactor = (4 * (Math.sin(z) - z * Math.cos(z))) / (2 * z - Math.sin(2 * z));
  return {
    coreFactor,
    meanFactor: (coreFactor * 3 * (Math.sin(z) - z * Math.cos(z))) / z ** 3,
    surfaceFactor: (coreFactor * Math.sin(z)) / z,
  };
}

/** J₀ or J₁ by its power series; exact enough below 2.5. */
function bessel(order: 0 | 1, x: number): number {
  let term = order === 0 ? 1 : x / 2;
  let sum = term;
  for (let k = 1; k < 20; k++) {
    term *= -(x * x) / 4 / (k * (k + order));
    sum += term;
  }
  return sum;
}

/** The only root between 0 and `end`, by halving. */
function root(f: (z: number) => number, end: number): number {
  let [low, high] = [1e-6, end];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (f(mid) < 0) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/**
 * Minutes until the core comes from `start` to `target` in air of `around` °C: the first-term answer, good from some
 * minutes on. Null where it never gets there.
 */
export function minutesToCore(mode: FirstMode, start: number, around: number, target: number): number | null {
  if (start === target) return 0;
  const share = (target - around) / (start - around);
  if (!(share > 0)) return null;
  if (share >= 1) return (target - start) * (around - start) > 0 ? null : 0;
  return mode.settling * Math.log(Math.max(mode.coreFactor, share) / share);
}
