import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SMALL_ROUTE } from '../../../test-support/small-dough';
import type { Route, RouteStep } from './route';
import {
  addBranch,
  addStep,
  AT_ONCE,
  changeStep,
  freeStepId,
  joinAt,
  moveStep,
  removeStep,
  routeOf,
  type Thread,
  threadsOf,
} from './threads';

const named = (id: string): RouteStep => ({
  ...{ id, kind: 'rest', label: id, around: 22, settling: 60 },
  wait: { shortest: 1, best: 2, longest: 3, shortCost: 1, longCost: 1 },
});
const ids = (threads: readonly Thread[]) =>
  threads.map(({ steps, joins }) => [steps.map(({ step }) => step.id).join(' '), joins?.step ?? null]);
const chain = (...names: string[]): Route => ({
  steps: names.map(named),
  links: names.slice(1).map((to, i) => ({ from: names[i] ?? '', to, min: 0, max: 0 })),
});
const dough = () => threadsOf(SMALL_ROUTE.dough);
const faultOf = (route: Route) => {
  try {
    threadsOf(route);
  } catch (error) {
    return (error as { fault: { code: string } }).fault.code;
  }
  return null;
};

describe('a route as threads', () => {
  it('has the dough as its main thread, and the butter joins it', () => {
    expect(ids(dough())).toEqual([
      ['mix retard lock-in turn-1 rest turn-2 sheet', null],
      ['butter temper', 'lock-in'],
    ]);
    expect(dough()[1]?.branch).toBe('butter');
  });

  it('is the same route again, links in any order', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(SMALL_ROUTE.dough.links, { minLength: 8 }), (links) => {
        const again = routeOf(threadsOf({ ...SMALL_ROUTE.dough, links }));
        const inOrder = (route: Route) => [...route.links].sort((a, b) => a.from.localeCompare(b.from));
        expect(inOrder(again)).toEqual(inOrder(SMALL_ROUTE.dough));
        expect([...again.steps].sort((a, b) => a.id.localeCompare(b.id))).toEqual(
          [...SMALL_ROUTE.dough.steps].sort((a, b) => a.id.localeCompare(b.id)),
        );
      }),
    );
  });

  it('cannot be told where steps go in a circle, split, lead nowhere or are none', () => {
    const round = chain('a', 'b', 'c');
    expect(faultOf({ ...round, links: [...round.links, { from: 'c', to: 'a', min: 0 }] })).toBe(
      'product.circle',
    );
    const beside = chain('a', 'b');
    expect(
      faultOf({
        steps: [...beside.steps, named('x'), named('y')],
        links: [...beside.links, { from: 'x', to: 'y', min: 0 }, { from: 'y', to: 'x', min: 0 }],
      }),
    ).toBe('product.circle');
    expect(faultOf({ ...round, links: [...round.links, { from: 'a', to: 'c', min: 0 }] })).toBe(
      'product.leadsToTwo',
    );
    expect(faultOf({ ...round, steps: [...round.steps, named('d')] })).toBe('product.leadsNowhere');
    expect(faultOf({ ...round, links: [{ from: 'a', to: 'z', min: 0 }] })).toBe('product.noSuchStep');
    expect(faultOf({ steps: [], links: [] })).toBe('product.noSteps');
  });
});

describe('editing threads', () => {
  it('puts a step after another, first, or in a branch', () => {
    expect(ids(addStep(dough(), 'mix', named('bulk')))[0]?.[0]).toMatch(/^mix bulk retard/);
    expect(ids(addStep(dough(), null, named('soak')))[0]?.[0]).toMatch(/^soak mix/);
    expect(ids(addStep(dough(), 'butter', named('chill')))[1]?.[0]).toBe('butter chill temper');
    expect(addStep(dough(), 'nowhere', named('x'))).toEqual(dough());
  });

  it('moves a step within its thread, and not over its ends', () => {
    expect(ids(moveStep(dough(), 'retard', -1))[0]?.[0]).toMatch(/^retard mix lock-in/);
    expect(moveStep(dough(), 'mix', -1)).toEqual(dough());
    expect(moveStep(dough(), 'temper', 1)).toEqual(dough());
  });

  it('takes a step out: what joined it joins the next, the last one of a branch takes the branch with it', () => {
    expect(ids(removeStep(dough(), 'lock-in'))[1]).toEqual(['butter temper', 'turn-1']);
    const one = removeStep(dough(), 'temper');
    expect(ids(one)[1]).toEqual(['butter', 'lock-in']);
    expect(ids(removeStep(one, 'butter'))).toHaveLength(1);
    const alone = threadsOf(chain('only'));
    expect(removeStep(alone, 'only')).toEqual(alone);
  });

  it('begins a branch and lets it join elsewhere, but not in a circle', () => {
    const soaked = addBranch(dough(), 'turn-2', { branch: 'soaker', steps: [named('soak')] });
    expect(ids(soaked)[2]).toEqual(['soak', 'turn-2']);
    expect(ids(joinAt(soaked, 'soak', { step: 'mix', gap: AT_ONCE }))[2]).toEqual(['soak', 'mix']);
    const below = joinAt(soaked, 'soak', { step: 'butter', gap: AT_ONCE });
    expect(ids(below)[2]).toEqual(['soak', 'butter']);
    expect(joinAt(below, 'butter', { step: 'soak', gap: AT_ONCE })).toEqual(below);
    expect(joinAt(below, 'mix', { step: 'soak', gap: AT_ONCE })).toEqual(below);
    expect(routeOf(soaked).steps.find(({ id }) => id === 'soak')?.branch).toBe('soaker');
  });

  it('changes a step where it is', () => {
    const changed = changeStep(dough(), { step: { ...named('rest'), label: 'Longer' }, gap: { min: 5 } });
    expect(changed[0]?.steps[4]).toMatchObject({ step: { label: 'Longer' }, gap: { min: 5 } });
    expect(changeStep(dough(), { step: named('x'), gap: AT_ONCE })).toEqual(dough());
  });

  it('whatever is done, gives a route that can be told again', () => {
    const acts = fc.array(
      fc.record({
        act: fc.constantFrom('add', 'remove', 'up', 'down', 'branch', 'join'),
        at: fc.nat(20),
        to: fc.nat(20),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(acts, (list) => {
        const end = list.reduce((threads, { act, at, to }) => {
          const all = threads.flatMap(({ steps }) => steps.map(({ step }) => step.id));
          const id = all[at % all.length] ?? '';
          const step = named(freeStepId(threads, 'rest'));
          switch (act) {
            case 'add':
              return addStep(threads, id, step);
            case 'remove':
              return removeStep(threads, id);
            case 'branch':
              return addBranch(threads, id, { branch: 'filling', steps: [step] });
            case 'join':
              return joinAt(threads, id, { step: all[to % all.length] ?? '', gap: AT_ONCE });
            default:
              return moveStep(threads, id, act === 'up' ? -1 : 1);
          }
        }, dough());
        const route = routeOf(end);
        const again = threadsOf(route);
        expect(again.flatMap(({ steps }) => steps).length).toBe(route.steps.length);
        expect(ids(again)[0]).toEqual(ids(end)[0]);
      }),
    );
  });

  it('names a new step as no other is', () => {
    expect(freeStepId(dough(), 'bulk')).toBe('bulk');
    expect(freeStepId(dough(), 'rest')).toBe('rest-2');
  });
});
