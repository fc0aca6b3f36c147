import { describe, expect, it } from 'vitest';
import { correctionOn, crowdedDecks, decksFor, shelvesOf, traysOnDecks } from './decks';

const OVEN = { count: 3, perDeck: 3 };
const told = (ratio: number, bakes = 5) => ({ ratio, spread: 0.02, bakes });

describe('decks of an oven', () => {
  it('are given to a load as many as it needs, free ones first', () => {
    expect(decksFor(3, [], OVEN)).toEqual([1]);
    expect(decksFor(4, [], OVEN)).toEqual([1, 2]);
    expect(decksFor(4, [1], OVEN)).toEqual([2, 3]);
    expect(decksFor(6, [1, 1, 2], OVEN)).toEqual([2, 3]);
    expect(decksFor(30, [], OVEN)).toEqual([1, 2, 3]);
    expect(decksFor(9, [], { count: 1, perDeck: 9 })).toEqual([1]);
  });

  it('hold the trays of the loads that are spread over them', () => {
    expect(
      traysOnDecks(
        [
          { decks: [1, 2], trays: 4 },
          { decks: [2], trays: 1 },
        ],
        3,
      ),
    ).toEqual([2, 3, 0]);
  });

  it('take no second load that has no room there, and share with one that has', () => {
    const six = { decks: [1, 2], trays: 6 };
    expect(crowdedDecks(six, [{ decks: [2], trays: 3 }], OVEN)).toEqual([2]);
    expect(crowdedDecks({ decks: [2], trays: 1 }, [{ decks: [2], trays: 2 }], OVEN)).toEqual([]);
    expect(crowdedDecks({ decks: [2], trays: 2 }, [{ decks: [2], trays: 2 }], OVEN)).toEqual([2]);
    // Nobody else is there: one deck after the other can be chosen.
    expect(crowdedDecks({ decks: [1], trays: 6 }, [], OVEN)).toEqual([]);
  });

  it('are not the shelves of a cold store, which has its own count', () => {
    const machines = [
      { place: 'oven', capacity: 9, unit: 'trays' },
      { place: 'retarder', capacity: 30, unit: 'shelves' },
      { place: null, capacity: 6, unit: 'shelves' },
    ];
    expect([...shelvesOf(machines)]).toEqual([['retarder', 30]]);
  });

  it('correct a bake by what they are known to do, the whole oven where they are not', () => {
    const known = { whole: told(1.04), each: [told(1.1), told(0.98), told(1, 0)] };
    expect(correctionOn([1], known)).toBe(1.1);
    expect(correctionOn([1, 2], known)).toBeCloseTo(1.04, 6);
    expect(correctionOn([3], known)).toBe(1.04);
    expect(correctionOn([], known)).toBe(1.04);
  });
});
