import { enthalpyOf, type Enthalpy, type Material } from './material';

/** A sheet or block is a slab, a rolled piece a cylinder, a rounded one a ball. */
export type Shape = 'slab' | 'cylinder' | 'ball';

/** A body in one dimension. A slab's layers go from top to bottom; those of cylinder and ball from the middle outwards. */
export interface Body {
  shape: Shape;
  /** Thickness of each layer, mm; of a cylinder or ball its radius. */
  layers: { material: Material; mm: number }[];
}

/** Some minutes in one place: air temperature and heat transfer, W/(m²·K), on the upper and lower face. */
export interface Exposure {
  minutes: number;
  celsius: number;
  top: number;
  /** Of a slab's lower face; cylinder and ball have one face, `top`. */
  bottom: number;
}

/** Temperatures of a body over time, °C at each of `minutes`. */
export interface Warming {
  minutes: number[];
  /** Middle of the slab, axis, or centre. */
  core: number[];
  /** The face that has moved most from the start: the skin. */
  surface: number[];
  top: number[];
  bottom: number[];
  mean: number[];
  /** Heat taken up by the body and let in through its faces, kJ per m² (slab), m (cylinder) or ball; they must agree. */
  taken: number;
  letIn: number;
}

interface Cells {
  /** Half of the way through each cell, m. */
  half: Float64Array;
  /** kg. */
  mass: Float64Array;
  /** Of the face before each cell, and after the last, m². */
  areas: Float64Array;
  of: Enthalpy[];
}

const CELLS = 24;
/** Time steps, minutes: the first after a change of place, how much longer each next is, the longest, or that share of the time there so far. */
const STEP = { first: 0.1, growth: 1.25, longest: 3, share: 0.03 };

/**
 * Conduction in one dimension with air on the faces, freezing by enthalpy: finite volumes in space, Crank–Nicolson in
 * time, Newton's method for the enthalpies of each step. Steps begin short after each change of place and grow.
 * `every`: minutes between answers. Throws on a body without thickness.
 */
export function conduct(body: Body, start: number, exposures: readonly Exposure[], every = 1): Warming {
  const cells = divide(body);
  const { half, mass, of } = cells;
  const n = of.length;
  const slab = body.shape === 'slab';
  const h = Float64Array.from(of, (e) => e.of(start));
  const celsius = new Float64Array(n).fill(start);
  const solver = stepper(cells, slab);
  const total = mass.reduce((sum, kg) => sum + kg, 0);
  const heat = () => h.reduce((sum, value, i) => sum + value * (mass[i] ?? 0), 0);
  const atStart = heat();
  const result: Warming = {
    ...{ minutes: [0], core: [start], surface: [start], top: [start], bottom: [start], mean: [start] },
    ...{ taken: 0, letIn: 0 },
  };
  const answer = (exposure: Exposure) => {
    const skin = (cell: number, film: number) => {
      const t = celsius[cell] ?? start;
      const inner = (of[cell]?.conductivity(t) ?? 1) / (half[cell] ?? 1);
      return (inner * t + film * exposure.celsius) / (inner + film);
    };
    const bottom = skin(n - 1, slab ? exposure.bottom : exposure.top);
    const top = slab ? skin(0, exposure.top) : bottom;
    const mean = celsius.reduce((sum, t, i) => sum + (mass[i] ?? 0) * t, 0) / total;
    return { core: slab ? middle(cells, celsius) : (celsius[0] ?? start), top, bottom, mean };
  };

  let clock = 0;
  let before = { core: start, top: start, bottom: start, mean: start };
  for (const exposure of exposures) {
    const begin = clock;
    const end = begin + exposure.minutes;
    let step = STEP.first;
    while (clock < end - 1e-9) {
      const from = clock;
      const dt = end - clock < step * 1.2 ? end - clock : step;
      step = Math.min(Math.max(STEP.longest, STEP.share * (clock - begin)), step * STEP.growth);
      result.letIn += solver(h, celsius, exposure, dt);
      clock += dt;
      const after = answer(exposure);
      // Answers between two steps lie on the straight line between them.
      for (let minute = result.minutes.length * every; minute <= clock + 1e-9; minute += every) {
        const share = Math.min(1, (minute - from) / dt);
        const between = (which: keyof typeof after) => before[which] + share * (after[which] - before[which]);
        const [top, bottom] = [between('top'), between('bottom')];
        result.minutes.push(minute);
        result.core.push(between('core'));
        result.top.push(top);
        result.bottom.push(bottom);
        result.surface.push(Math.abs(top - start) >= Math.abs(bottom - start) ? top : bottom);
        result.mean.push(between('mean'));
      }
      before = after;
    }
    clock = end;
  }
  result.taken = heat() - atStart;
  return result;
}

type Solver = (h: Float64Array, celsius: Float64Array, exposure: Exposure, minutes: number) => number;

/** One time step after another: changes enthalpies and temperatures in place, and returns the heat let in, kJ. */
function stepper({ half, mass, areas, of }: Cells, slab: boolean): Solver {
  const n = of.length;
  const [g, k] = [new Float64Array(n + 1), new Float64Array(n)];
  const [begin, old, slope] = [new Float64Array(n), new Float64Array(n), new Float64Array(n)];
  const [c, d] = [new Float64Array(n), new Float64Array(n)];
  const at = (list: Float64Array, i: number) => list[i] ?? 0;

  /** Conductances between cells and to the air, W/K; index i is the face before cell i. */
  const conductances = (celsius: Float64Array, exposure: Exposure) => {
    for (let i = 0; i < n; i++) k[i] = of[i]?.conductivity(at(celsius, i)) ?? 1;
    for (let face = 1; face < n; face++)
      g[face] = at(areas, face) / (at(half, face - 1) / at(k, face - 1) + at(half, face) / at(k, face));
    const outer = slab ? exposure.bottom : exposure.top;
    g[n] = outer > 0 ? at(areas, n) / (at(half, n - 1) / at(k, n - 1) + 1 / outer) : 0;
    g[0] = slab && exposure.top > 0 ? at(areas, 0) / (at(half, 0) / at(k, 0) + 1 / exposure.top) : 0;
  };
  /** Watts into a cell. */
  const flow = (celsius: Float64Array, air: number, i: number) =>
    at(g, i) * ((i > 0 ? at(celsius, i - 1) : air) - at(celsius, i)) +
    at(g, i + 1) * ((i < n - 1 ? at(celsius, i + 1) : air) - at(celsius, i));
  const through = (celsius: Float64Array, air: number) =>
    at(g, 0) * (air - at(celsius, 0)) + at(g, n) * (air - at(celsius, n - 1));

  return (h, celsius, exposure, minutes) => {
    conductances(celsius, exposure);
    // kJ per watt in half a step.
    const weight = (minutes * 60) / 2000;
    begin.set(h);
    for (let i = 0; i < n; i++) old[i] = flow(celsius, exposure.celsius, i);
    const before = through(celsius, exposure.celsius);
    for (let round = 0; round < 12; round++) {
      for (let i = 0; i < n; i++) slope[i] = of[i]?.slope(at(celsius, i)) ?? 1;
      // The tridiagonal system of Newton's step, by Thomas' algorithm.
      for (let i = 0; i < n; i++) {
        const [left, right] = [at(g, i), at(g, i + 1)];
        const lower = i > 0 ? -weight * left * at(slope, i - 1) : 0;
        const upper = i < n - 1 ? -weight * right * at(slope, i + 1) : 0;
        const main = at(mass, i) + weight * (left + right) * at(slope, i);
        const wrong =
          at(mass, i) * (at(h, i) - at(begin, i)) -
          weight * (at(old, i) + flow(celsius, exposure.celsius, i));
        const pivot = main - (i > 0 ? lower * at(c, i - 1) : 0);
        c[i] = upper / pivot;
        d[i] = (-wrong - (i > 0 ? lower * at(d, i - 1) : 0)) / pivot;
      }
      let largest = 0;
      for (let i = n - 1; i >= 0; i--) {
        if (i < n - 1) d[i] = at(d, i) - at(c, i) * at(d, i + 1);
        h[i] = at(h, i) + at(d, i);
        largest = Math.max(largest, Math.abs(at(d, i)));
      }
      for (let i = 0; i < n; i++) celsius[i] = of[i]?.celsiusOf(at(h, i)) ?? 0;
      if (largest < 1e-6) break;
    }
    return weight * (before + through(celsius, exposure.celsius));
  };
}

/** Cells of equal width within each layer. */
function divide({ shape, layers }: Body): Cells {
  const thick = layers.reduce((sum, { mm }) => sum + mm, 0);
  if (!(thick > 0) || layers.some(({ mm }) => mm < 0)) throw new RangeError('A body must have a thickness.');
  const area = (r: number) =>
    shape === 'slab' ? 1 : shape === 'cylinder' ? 2 * Math.PI * r : 4 * Math.PI * r * r;
  const inside = (r: number) =>
    shape === 'slab' ? r : shape === 'cylinder' ? Math.PI * r * r : (4 / 3) * Math.PI * r ** 3;
  const half: number[] = [];
  const mass: number[] = [];
  const of: Enthalpy[] = [];
  const areas = [area(0)];
  let at = 0;
  for (const { material, mm } of layers) {
    if (mm === 0) continue;
    const enthalpy = enthalpyOf(material);
    const count = layers.length === 1 ? CELLS : Math.max(4, Math.round((CELLS * mm) / thick));
    const width = mm / 1000 / count;
    for (let i = 0; i < count; i++) {
      half.push(width / 2);
      mass.push((inside(at + width) - inside(at)) * material.density);
      of.push(enthalpy);
      at += width;
      areas.push(area(at));
    }
  }
  return {
    half: Float64Array.from(half),
    mass: Float64Array.from(mass),
    areas: Float64Array.from(areas),
    of,
  };
}

/** The temperature half way through a slab, between the cell centres on either side of it. */
function middle({ half }: Cells, celsius: Float64Array): number {
  const whole = half.reduce((sum, width) => sum + 2 * width, 0);
  let at = 0;
  let before = { x: 0, t: celsius[0] ?? 0 };
  for (let i = 0; i < half.length; i++) {
    const here = { x: at + (half[i] ?? 0), t: celsius[i] ?? 0 };
    if (here.x >= whole / 2) {
      if (here.x === before.x) return here.t;
      return before.t + ((whole / 2 - before.x) / (here.x - before.x)) * (here.t - before.t);
    }
    before = here;
    at += 2 * (half[i] ?? 0);
  }
  return before.t;
}

/** The first minute at which one of the temperatures reaches a target, between two answers; null where it never does. */
export function minutesUntil(
  { minutes }: Warming,
  temperatures: readonly number[],
  target: number,
): number | null {
  const begin = temperatures[0];
  if (begin === undefined) return null;
  if (begin === target) return 0;
  const reached = (t: number) => (begin > target ? t <= target : t >= target);
  const at = temperatures.findIndex(reached);
  if (at < 0) return null;
  const [t0 = begin, t1 = target] = [temperatures[at - 1], temperatures[at]];
  const [m0 = 0, m1 = 0] = [minutes[at - 1], minutes[at]];
  return t1 === t0 ? m1 : m0 + ((target - t0) / (t1 - t0)) * (m1 - m0);
}
