import { describe, expect, it } from 'vitest';
import { weightGap } from './weighed';

describe('what lies on the scale', () => {
  it('is too much or too little by a share of what was asked for', () => {
    expect(weightGap(1058, 840)).toMatchObject({ grams: 218, isClose: false });
    expect(weightGap(1058, 840).share).toBeCloseTo(0.26, 3);
    expect(weightGap(630, 840).share).toBe(-0.25);
  });

  it('is right within what a knife can do', () => {
    expect([824, 840, 856].map((grams) => weightGap(grams, 840).isClose)).toEqual([true, true, true]);
    expect([820, 860].map((grams) => weightGap(grams, 840).isClose)).toEqual([false, false]);
  });

  it('is no share of nothing', () => expect(weightGap(5, 0).share).toBe(0));
});
