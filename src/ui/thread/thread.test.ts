import fc from 'fast-check';
import { say } from '../../../test-support/words';
import { knotWords } from './knot-words';
import { describe, expect, it } from 'vitest';
import type { FloorEvent } from '@/core/record/events';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { drawThread, xOf } from './geometry';
import { temperatureColour, temperatureHeight } from './temperature';

const scale = { from: 0, to: 16 * 60 * MIN, width: 960 };

const dough = (events: FloorEvent[], pieces = 40) => plannedDough(events, 60, pieces);

describe('the temperature scale', () => {
  it('puts warmer higher, from frozen to the oven', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 220, noNaN: true }),
        fc.double({ min: 0.01, max: 50, noNaN: true }),
        (celsius, more) => {
          expect(temperatureHeight(celsius + more)).toBeGreaterThanOrEqual(temperatureHeight(celsius));
          expect(temperatureHeight(celsius)).toBeGreaterThanOrEqual(0);
          expect(temperatureHeight(celsius)).toBeLessThanOrEqual(1);
        },
      ),
    );
  });

  it('has a colour of its own for frozen, cold, room, proof and oven', () => {
    const colours = [-18, 4, 20, 28, 185].map(temperatureColour);
    expect(new Set(colours).size).toBe(5);
    for (const colour of colours) expect(colour).toMatch(/^rgb\(\d+ \d+ \d+\)$/);
  });
});

describe('a drawn thread', () => {
  it('has the moment of a step where the time scale has it', () => {
    expect(xOf(scale, 8 * 60 * MIN)).toBe(480);
  });

  it('has one main line, and a thinner one for the butter', () => {
    const { lines } = drawThread(dough([]), scale, 60);
    expect(lines.map(({ main }) => main)).toEqual([true, false]);
    expect(drawThread(dough([], 180), scale, 60).lines).toHaveLength(3);
  });

  it('tells by its knots what is done, under way and to do', () => {
    const status = (events: FloorEvent[]) =>
      drawThread(dough(events), scale, 60).knots.find(({ key }) => key === 'mix')?.status;
    expect(status([])).toBe('open');
    expect(status([did('start', 'mix', 5)])).toBe('running');
    expect(status([did('start', 'mix', 5), did('finish', 'mix', 20)])).toBe('done');
  });

  it('writes no word into another', () => {
    const words = drawThread(dough([]), { ...scale, width: 240 }, 60, { words: knotWords(say) })
      .knots.filter(({ word }) => word !== '')
      .sort((a, b) => a.x - b.x);
    words.slice(1).forEach(({ x, word }, i) => {
      const before = words[i];
      const halves = ((word.length + (before?.word.length ?? 0)) * 5.2) / 2;
      expect(x - (before?.x ?? 0)).toBeGreaterThan(halves);
    });
  });

  it('stays inside its row, and shows the give of long waits alone', () => {
    const { knots, gives } = drawThread(dough([]), scale, 60, { leastGive: 200 });
    for (const { y } of knots) expect(y >= 0 && y <= 60).toBe(true);
    expect(gives.map(({ key }) => key)).toEqual(['retard', 'rest']);
  });
});
