import { describe, expect, it } from 'vitest';
import { did, plannedDough } from '../../../test-support/floor';
import { agenda, type AgendaItem } from './agenda';
import { jointWork } from './joint-work';
import { inEnglish } from '../../../test-support/words';

/** Two doughs whose shaped pieces are to be finished at about the same time. */
function twoDoughs(apart: number, startedBy: [number | null, number | null] = [null, null]): AgendaItem[] {
  const doughs = [0, 1].map((i) => {
    const before = plannedDough([]).steps.flatMap(({ key, step }) =>
      step.id === 'finish' ? [] : [did('start', key, 1), did('finish', key, 2)],
    );
    const by = startedBy[i] ?? null;
    const last = by === null ? [] : [did('start', '5.1.finish', 3, { personId: by })];
    const dough = plannedDough([...before, ...last]);
    const steps = dough.steps.map((step) => ({
      ...step,
      dueAt: step.dueAt + i * apart * 60_000,
    }));
    return { ...dough, id: i + 1, steps };
  });
  const { next, running } = agenda(doughs, 0, 100_000);
  return [...next, ...running];
}

const partners = (items: AgendaItem[]) =>
  jointWork(items[0] as AgendaItem, items, 4 * 60_000).map(({ dough }) => dough.id);

describe('work in one go', () => {
  it('is offered for the same work of two doughs that is planned near each other', () => {
    expect(partners(twoDoughs(5))).toEqual([2]);
    expect(partners(twoDoughs(45))).toEqual([]);
  });

  it('ends together for one person, and not for two', () => {
    expect(partners(twoDoughs(5, [1, 1]))).toEqual([2]);
    expect(partners(twoDoughs(5, [1, 2]))).toEqual([]);
    expect(partners(twoDoughs(5, [1, null]))).toEqual([]);
  });

  it('is offered only where it is ready together: not what its own wait does not allow yet', () => {
    const proofed = (minute: number) => {
      const { steps } = plannedDough([]);
      const hands = steps.slice(
        0,
        steps.findIndex(({ key }) => key === '5.1.load'),
      );
      return hands
        .filter(({ step }) => step.work)
        .flatMap(({ key }, i) => [did('start', key, minute + i), did('finish', key, minute + i)]);
    };
    const item = (minute: number, id: number): AgendaItem => {
      const dough = { ...plannedDough(proofed(minute), 60, 40, 100), id };
      const found = agenda([dough], 100 * 60_000).next.find(({ step }) => step.key === '5.1.load');
      if (!found) throw new Error('Nothing is to be loaded.');
      return { ...found, step: { ...found.step, step: { ...found.step.step, kind: 'wash' }, dueAt: 0 } };
    };
    const now = 100 * 60_000;
    const [ready, also, early] = [item(20, 1), item(22, 2), item(85, 3)];
    expect(jointWork(ready, [ready, also, early], now).map(({ dough }) => dough.id)).toEqual([2]);
    expect(inEnglish(jointWork(early, [ready, also, early], now))).toEqual([]);
  });

  it('is not offered where a step wants its own hands', () => {
    const dough = plannedDough([]);
    const items = agenda([dough, { ...dough, id: 2 }], 0).next.filter(({ step }) => step.step.kind === 'mix');
    expect(items).toHaveLength(2);
    expect(partners(items)).toEqual([]);
  });

  it('remembers who took a step last', () => {
    const dough = plannedDough([did('take', 'mix', 1), did('take', 'mix', 2, { personId: 2 })]);
    expect(dough.state.steps.get('mix')?.takenBy).toBe(2);
  });
});
