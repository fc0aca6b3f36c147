import { describe, expect, it } from 'vitest';
import { MINUTE } from '../time/local';
import type { StepKind } from '../process/route';
import type { DoughRecord } from '../record/dough';
import type { Person, Skill } from '../bakery/people';
import { rota } from './rota';

const HOUR = 60 * MINUTE;
const person = (id: number, skills: Skill[] = []): Person & { skills: Skill[] } => {
  return { id, name: `P${id}`, role: 'baker', team: 'nights', skills };
};
const there = (personId: number, from: number, to: number) => ({
  personId,
  start: from * HOUR,
  end: to * HOUR,
});

/** A dough whose steps are `[kind, start, minutes, people]`. */
function dough(id: number, steps: [StepKind, number, number, number?][]): DoughRecord {
  return {
    ...{
      id,
      name: `Dough ${id}`,
      madeAt: 0,
      kg: 5,
      bowls: 1,
      lamination: null,
      outputs: [],
      links: [],
      events: [],
    },
    steps: steps.map(([kind, at, minutes, people = 1], i) => ({
      key: `${kind}-${i}`,
      step: { id: kind, kind, label: kind, around: 20, settling: 60 },
      ...{ label: kind, outputId: null, load: null, min: minutes, target: minutes, max: minutes },
      ...{ shortCost: 0, longCost: 0, around: 20, settling: 60 },
      uses: [{ resource: 'crew', amount: people }],
      ...{ plannedStart: at * HOUR, plannedEnd: at * HOUR + minutes * MINUTE },
    })),
  };
}

const names = (duties: ReturnType<typeof rota>) => duties.map(({ personIds }) => personIds);

describe('the rota', () => {
  it('gives nobody two things at once, and nothing outside their shift', () => {
    const duties = rota(
      [
        dough(1, [
          ['mix', 1, 30],
          ['degas', 3, 30],
        ]),
        dough(2, [['mix', 1, 30]]),
      ],
      [person(1), person(2)],
      [there(1, 0, 2), there(2, 0, 4)],
    );
    expect(names(duties)).toEqual([[1], [2], [2]]);
  });

  it('asks who knows the work, and says for how many nobody is left', () => {
    const people = [person(1, ['mix']), person(2, ['laminate'])];
    const all = [there(1, 0, 8), there(2, 0, 8)];
    const duties = rota(
      [
        dough(1, [
          ['mix', 1, 20],
          ['turn', 2, 20],
          ['turn', 3, 20, 2],
        ]),
      ],
      people,
      all,
    );
    expect(names(duties)).toEqual([[1], [2], [2]]);
    expect(duties.map(({ missing }) => missing)).toEqual([0, 0, 1]);
  });

  it('lets the same person go on with a dough', () => {
    const doughs = [
      dough(1, [
        ['turn', 1, 10],
        ['turn', 2, 10],
      ]),
      dough(2, [
        ['turn', 1, 10],
        ['turn', 2, 10],
      ]),
    ];
    const duties = rota(doughs, [person(1), person(2)], [there(1, 0, 8), there(2, 0, 8)]);
    const of = (id: number) =>
      new Set(duties.filter(({ doughId }) => doughId === id).flatMap(({ personIds }) => personIds));
    expect([of(1).size, of(2).size]).toEqual([1, 1]);
  });

  it('shares heavy work out', () => {
    const doughs = Array.from({ length: 6 }, (_, i) => dough(i + 1, [['sheet', 1 + i, 40]]));
    const duties = rota(doughs, [person(1), person(2)], [there(1, 0, 8), there(2, 0, 8)]);
    const of = (id: number) => duties.filter(({ personIds }) => personIds.includes(id)).length;
    expect([of(1), of(2)]).toEqual([3, 3]);
  });

  it('gives a break after four hours without a stop where another can take over', () => {
    const doughs = [
      dough(
        1,
        Array.from({ length: 6 }, (_, i) => ['wash', 1 + i, 60] as [StepKind, number, number]),
      ),
    ];
    const duties = rota(doughs, [person(1), person(2)], [there(1, 0, 8), there(2, 0, 8)]);
    expect(new Set(names(duties).flat()).size).toBe(2);
  });
});
