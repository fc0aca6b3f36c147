import { describe, expect, it } from 'vitest';
import { did, MIN, plannedDough } from '../../../test-support/floor';
import { cutsShort } from './early';
import { inEnglish } from '../../../test-support/words';

/** The small dough, mixed and in the cold: its retard takes 480 min at least. */
const inTheCold = plannedDough([did('start', 'mix', 0), did('finish', 'mix', 15)]);
const stepOf = (key: string) => {
  const step = inTheCold.steps.find((one) => one.key === key);
  if (!step) throw new Error(`There is no ${key}.`);
  return step;
};

describe('starting a step long before its wait allows', () => {
  it('names the wait, and when it is over', () => {
    expect(inEnglish(cutsShort(inTheCold, stepOf('lock-in'), 60 * MIN))).toEqual({
      label: 'retard',
      until: 495 * MIN,
    });
  });

  it('is nobody’s question when little of the wait is left, or nothing', () => {
    expect(cutsShort(inTheCold, stepOf('lock-in'), 400 * MIN)).toBeNull();
    expect(cutsShort(inTheCold, stepOf('lock-in'), 600 * MIN)).toBeNull();
  });

  it('is not asked of what does not wait for it', () => {
    expect(cutsShort(inTheCold, stepOf('mix'), 60 * MIN)).toBeNull();
    expect(cutsShort(inTheCold, stepOf('butter'), 60 * MIN)).toBeNull();
    // Between the retard and the second turn other work is still to be done.
    expect(cutsShort(inTheCold, stepOf('turn-2'), 60 * MIN)).toBeNull();
  });
});
