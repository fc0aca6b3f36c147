import { describe, expect, it } from 'vitest';
import { did, MIN, plannedDough as planned } from '../../../test-support/floor';
import type { DoughForecast } from '../forecast/forecast';
import { agenda } from './agenda';
import { loadBins } from './loads';
import { minutesBehind } from '../forecast/times';
import { inEnglish } from '../../../test-support/words';

const keys = (items: { step: { key: string } }[]) => items.map(({ step }) => step.key);

describe('the agenda of the bench', () => {
  it('puts what can start first in the order of the plan, and holds back what waits for it', () => {
    const lists = agenda([planned([])], 0);
    expect(keys(lists.next)).toEqual(['mix', 'butter']);
    expect(keys(lists.coming)).toContain('lock-in');
    expect(inEnglish(lists.running)).toEqual([]);
  });

  it('shows work under way and what rests by itself', () => {
    const lists = agenda(
      [planned([did('start', 'mix', 0), did('finish', 'mix', 20), did('start', 'butter', 30)])],
      35 * MIN,
    );
    expect(keys(lists.running)).toEqual(['butter']);
    expect(keys(lists.waiting)).toEqual(['retard']);
  });

  it('says how late a start is', () => {
    expect(agenda([planned([])], 25 * MIN).next[0]?.inMinutes).toBe(-25);
    expect(minutesBehind(planned([], 60, 40, 25), 25 * MIN)).toBe(25);
  });

  it('keeps the planned end of a wait inside its window', () => {
    const dough = planned([did('start', 'mix', 100), did('finish', 'mix', 110)]);
    const retard = dough.steps.find(({ key }) => key === 'retard') as DoughForecast['steps'][number];
    expect(retard.ready?.at).toBe((110 + 480) * MIN);
  });
});

describe('the load of a machine', () => {
  it('is the most that is held at once in each stretch of time', () => {
    const bins = loadBins([planned([])], 'oven', { from: 0, to: 24 * 60 * MIN }, 60);
    const bake = planned([]).steps.find(({ key }) => key === '5.1.bake');
    expect(bins[Math.floor((bake?.start ?? 0) / (60 * MIN))]).toBe(4);
    expect(bins.reduce((sum, held) => sum + held, 0)).toBe(4);
  });

  it('leaves out what was due so long ago that nobody knows what became of it, and nothing of the same dough that is due now', () => {
    const { steps } = planned([]);
    const mix = steps.find(({ key }) => key === 'mix');
    const butter = steps.find(({ key }) => key === 'butter');
    const at = (minute: number) =>
      agenda([planned([], 60, 40, minute)], minute * MIN).next.map(({ step }) => step.key);
    expect(at((mix?.plannedStart ?? 0) / MIN + 1439)).toContain('mix');
    expect(at((mix?.plannedStart ?? 0) / MIN + 1441)).not.toContain('mix');
    expect(at((butter?.plannedStart ?? 0) / MIN + 300)).toContain('butter');
  });
});
