import { describe, expect, it } from 'vitest';
import { blockCourse, freezerShortCut, restAnswer } from './rest';

const air = (celsius: number, film: number) => ({ celsius, top: film, bottom: film });
const block = { mm: 25, fatFraction: 0, celsius: 15 };

describe('a resting block', () => {
  it('of 25 mm at 15 °C has a core of about 9.5 °C after 50 min in a still 3 °C fridge', () => {
    expect(restAnswer(block, air(3, 10), 50, 7).core).toBeCloseTo(9.5, 0);
  });

  it('says when its core can be rolled, sooner the longer it has rested', () => {
    const early = restAnswer(block, air(3, 10), 10, 7).readyIn ?? 0;
    const late = restAnswer(block, air(3, 10), 40, 7).readyIn ?? Infinity;
    expect(early - late).toBeCloseTo(30, -1);
    expect(restAnswer({ ...block, celsius: 6 }, air(3, 10), 0, 7).readyIn).toBe(0);
    expect(restAnswer(block, air(12, 10), 0, 7).readyIn).toBeNull();
  });

  it('with butter inside cools more slowly than dough alone', () => {
    const end = (fatFraction: number) =>
      blockCourse({ ...block, fatFraction }, [{ ...air(3, 10), minutes: 60 }]).core.at(-1) ?? 0;
    expect(end(0.26)).toBeGreaterThan(end(0));
  });
});

describe('the freezer as a short cut', () => {
  it('is quicker, and its price is the skin: after about 20 min some 4 °C colder than the core', () => {
    const cut = freezerShortCut(block, air(-18, 12), air(21, 9), 7.5);
    expect(cut?.minutes).toBeGreaterThan(12);
    expect(cut?.minutes).toBeLessThan(30);
    expect(cut?.skin).toBeLessThan(5);
    expect(cut?.evenOut).toBeGreaterThan(0);
  });

  it('is none for a block that is cold enough, or a freezer that is too warm', () => {
    expect(freezerShortCut({ ...block, celsius: 6 }, air(-18, 12), air(21, 9), 7)).toBeNull();
    expect(freezerShortCut(block, air(10, 12), air(21, 9), 7)).toBeNull();
  });
});
