import fc from 'fast-check';
import type { Link, PlanProblem, Task } from '@/core/solver/problem';

/** A crew that sleeps, one bench, a few shelves, and an oven with two settings: where plans go wrong. */
const RESOURCES: PlanProblem['resources'] = [
  {
    id: 'crew',
    capacity: [
      [0, 0],
      [120, 2],
      [600, 1],
      [900, 0],
      [1560, 2],
      [2300, 0],
    ],
  },
  { id: 'bench', capacity: [[0, 1]] },
  { id: 'shelves', capacity: [[0, 4]] },
  { id: 'oven', capacity: [[0, 3]], changeover: 15 },
];

const wait = (id: string, dough: string, min: number, target: number, max: number): Task => {
  return {
    id,
    dough,
    kind: 'wait',
    min,
    target,
    max,
    shortCost: 3,
    longCost: 1,
    uses: [{ resource: 'shelves', amount: 1 }],
  };
};

const work = (id: string, dough: string, minutes: number): Task => {
  const uses = [
    { resource: 'crew', amount: 1 },
    { resource: 'bench', amount: 1 },
  ];
  return { id, dough, kind: 'work', min: minutes, target: minutes, max: minutes, uses };
};

interface DoughShape {
  mix: number;
  rest: number;
  give: number;
  shape: number;
  outputs: number;
  filling: boolean;
  trays: number;
  setting: number;
  due: number;
}

function dough(nth: number, shape: DoughShape): Pick<PlanProblem, 'tasks' | 'links' | 'outputs'> {
  const d = `d${nth}`;
  const tasks = [
    work(`${d}.mix`, d, shape.mix),
    wait(`${d}.rest`, d, shape.rest, shape.rest + 10, shape.rest + shape.give),
  ];
  tasks.push(work(`${d}.cut`, d, shape.shape));
  const straight = (from: string, to: string): Link => ({ from, to, min: 0, max: 0 });
  const links = [straight(`${d}.mix`, `${d}.rest`), straight(`${d}.rest`, `${d}.cut`)];
  const outputs: PlanProblem['outputs'] = [];
  if (shape.filling) tasks.push(work(`${d}.filling`, d, 12));
  for (let nthOutput = 1; nthOutput <= shape.outputs; nthOutput++) {
    const o = `${d}.o${nthOutput}`;
    tasks.push(work(`${o}.shape`, d, shape.shape), wait(`${o}.proof`, d, 30, 45, 120));
    const oven = { resource: 'oven', amount: shape.trays, setting: shape.setting };
    tasks.push({ id: `${o}.bake`, dough: d, kind: 'bake', min: 20, target: 20, max: 20, uses: [oven] });
    links.push({ from: `${d}.cut`, to: `${o}.shape`, min: 0, max: 60 });
    links.push(straight(`${o}.shape`, `${o}.proof`), straight(`${o}.proof`, `${o}.bake`));
    if (shape.filling) links.push({ from: `${d}.filling`, to: `${o}.shape`, min: 0 });
    outputs.push({ id: o, task: `${o}.bake`, due: shape.due, lateCost: 5, freshFor: 60, staleCost: 1 });
  }
  return { tasks, links, outputs };
}

const anyDough: fc.Arbitrary<DoughShape> = fc.record({
  mix: fc.integer({ min: 5, max: 30 }),
  rest: fc.integer({ min: 0, max: 200 }),
  give: fc.integer({ min: 10, max: 600 }),
  shape: fc.integer({ min: 5, max: 25 }),
  outputs: fc.integer({ min: 1, max: 3 }),
  filling: fc.boolean(),
  trays: fc.integer({ min: 1, max: 3 }),
  setting: fc.constantFrom(165, 185),
  due: fc.integer({ min: 200, max: 2400 }),
});

/** Small bakeries with one to four doughs, some with links that go round in a circle, some with no plan at all. */
export const anyProblem: fc.Arbitrary<PlanProblem> = fc
  .tuple(fc.array(anyDough, { minLength: 1, maxLength: 4 }), fc.integer({ min: 0, max: 400 }))
  .map(([shapes, now]) => {
    const doughs = shapes.map((shape, nth) => dough(nth + 1, shape));
    return {
      format: 'hefeteig-plan-problem/1',
      name: 'generated',
      horizon: 2880,
      now,
      resources: RESOURCES,
      tasks: doughs.flatMap((d) => d.tasks),
      links: doughs.flatMap((d) => d.links),
      outputs: doughs.flatMap((d) => d.outputs),
      pins: [],
    };
  });
