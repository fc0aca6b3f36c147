import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyProblem } from '../../../test-support/generated-bakery';
import { modelOf, problemOf, taskOf } from '../../../test-support/model';
import { compile } from './model';
import { endEvent, networkOf, startEvent, type Network } from './network';

const straight = (...ids: string[]) =>
  ids.slice(1).map((to, i) => ({ from: ids[i] ?? '', to, min: 0, max: 0 }));

const wash = taskOf('wash', [7, 7, 7]);
const load = taskOf('load', [3, 3, 3]);
const bake = taskOf('bake', [20, 20, 20]);
const proof = taskOf('proof', [90, 120, 150]);

describe('a network of blocks', () => {
  it('moves steps of fixed length that follow each other as one', () => {
    const { model, task } = modelOf(
      problemOf({ tasks: [wash, load, bake], links: straight('wash', 'load', 'bake') }),
    );
    const network = networkOf(model) as Network;
    expect(network.blocks).toHaveLength(1);
    expect(network.ties).toEqual([]);
    const offset = (id: string) => network.offsetOf[startEvent(task(id).index)];
    expect([offset('wash'), offset('load'), offset('bake')]).toEqual([0, 7, 10]);
  });

  it('ties blocks by a wait of variable length, as far apart as the wait may last', () => {
    const { model } = modelOf(
      problemOf({ horizon: 400, tasks: [wash, proof, bake], links: straight('wash', 'proof', 'bake') }),
    );
    const network = networkOf(model) as Network;
    expect(network.blocks).toHaveLength(2);
    const [tie] = network.ties;
    expect(tie?.wait?.task.id).toBe('proof');
    expect([tie?.low, tie?.high]).toEqual([97, 157]);
  });

  it('takes a wait that is over for a step of fixed length', () => {
    const { model } = modelOf(
      problemOf({
        horizon: 400,
        tasks: [wash, proof, bake],
        links: straight('wash', 'proof', 'bake'),
        pins: [{ task: 'proof', start: 10, end: 110 }],
      }),
    );
    const network = networkOf(model) as Network;
    expect(network.blocks).toHaveLength(1);
    expect(network.fixed).toEqual([0]);
    expect(network.components).toEqual([]);
  });

  it('keeps every lag and length when each block stands at the edge of its window', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const network = networkOf(compile(problem));
        fc.pre(network !== null);
        if (!network) return;
        const { from } = network.windows;
        for (const { a, b, low, high } of network.ties) {
          const lag = (from[b] as number) - (from[a] as number);
          expect(lag).toBeGreaterThanOrEqual(low);
          expect(lag).toBeLessThanOrEqual(high);
        }
        for (const task of network.model.tasks) {
          const at = (event: number) =>
            (from[network.blockOf[event] as number] as number) + (network.offsetOf[event] as number);
          const [start, end] = [at(startEvent(task.index)), at(endEvent(task.index))];
          expect(start).toBeGreaterThanOrEqual(task.startFrom);
          expect(end).toBeLessThanOrEqual(task.endTo);
          expect(end - start).toBeGreaterThanOrEqual(task.min);
        }
      }),
    );
  });

  it('marks one tie of a circle as the one to be cut, and it is the loosest', () => {
    const { model } = modelOf(
      problemOf({
        tasks: ['custard', 'one', 'two', 'cut'].map((id) => taskOf(id, [5, 5, 9])),
        links: [
          { from: 'custard', to: 'one', min: 0 },
          { from: 'custard', to: 'two', min: 0 },
          { from: 'cut', to: 'one', min: 0, max: 3 },
          { from: 'cut', to: 'two', min: 0, max: 3 },
        ],
      }),
    );
    const chords = (networkOf(model) as Network).ties.filter(({ chord }) => chord);
    expect(chords).toHaveLength(1);
    expect(chords[0]?.high).toBeGreaterThan(3);
  });

  it.each([
    ['a promise of time that is not there', { tasks: [{ ...bake, deadline: 19 }] }],
    ['a pin shorter than the step', { tasks: [bake], pins: [{ task: 'bake', start: 0, end: 19 }] }],
    [
      'lags that go round in a circle',
      { tasks: [wash, load], links: [...straight('wash', 'load'), ...straight('load', 'wash')] },
    ],
    [
      'two pins farther apart than the wait between them lasts',
      {
        horizon: 600,
        tasks: [wash, proof, bake],
        links: straight('wash', 'proof', 'bake'),
        pins: [
          { task: 'wash', start: 0, end: 7 },
          { task: 'bake', start: 200, end: 220 },
        ],
      },
    ],
  ])('is none for %s', (_, part) => {
    expect(networkOf(modelOf(problemOf(part)).model)).toBeNull();
  });
});
