import { describe, expect, it } from 'vitest';
import { parseProblem } from './parse';

const sound = {
  ...{ format: 'hefeteig-plan-problem/1', name: 'p', horizon: 100, now: 0 },
  resources: [{ id: 'crew', capacity: [[0, 1]] }],
  tasks: [
    { id: 'a', dough: 'd', kind: 'mix', min: 1, target: 2, max: 3, uses: [{ resource: 'crew', amount: 1 }] },
  ],
  ...{ links: [], outputs: [], pins: [] },
};

describe('reading a plan problem', () => {
  it('takes a sound one as it is', () => {
    expect(parseProblem(sound)).toEqual({ problem: sound, faults: [] });
  });

  it('names every fault, not just the first', () => {
    const [task] = sound.tasks;
    const { faults } = parseProblem({
      ...{ ...sound, now: 200 },
      resources: [{ id: 'crew', capacity: [[5, 1]] }],
      tasks: [{ ...task, min: 9 }, task, { id: 'b' }],
      links: [{ from: 'a', to: 'nobody', min: 5, max: 2 }],
      pins: [{ task: 'a', start: 50, end: 40 }],
    });
    expect(faults).toEqual(
      expect.arrayContaining([
        'problem: now is after the horizon',
        'resource crew: capacity must begin at 0',
        'task a: min <= target <= max does not hold for 9, 2, 3',
        'task a: comes twice',
        'task b: dough is missing',
        'link a -> nobody: unknown task "nobody"',
        'link a -> nobody: max 2 is below min 5',
        'pin a: ends before it starts',
      ]),
    );
  });

  it.each([
    ['a list', []],
    ['nothing', null],
    ['a text', 'problem'],
    ['an unknown key', { ...sound, extra: 1 }],
    ['a fraction of a minute', { ...sound, horizon: 1.5 }],
    ['an unknown format', { ...sound, format: 'another/1' }],
  ])('refuses %s', (_, value) => {
    expect(parseProblem(value).faults.length).toBeGreaterThan(0);
  });
});
