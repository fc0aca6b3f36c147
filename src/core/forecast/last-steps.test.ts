import { describe, expect, it } from 'vitest';
import { crescentDough } from '../../../test-support/crescent';
import { did, forecastAt, MIN } from '../../../test-support/floor';
import type { FloorEvent } from '../record/events';
import { lastSteps } from './last-steps';

const dough = crescentDough();
const keyOf = (kind: string) => dough.steps.find(({ step }) => step.kind === kind)?.key ?? '';
/** The last steps when so much is recorded. */
const after = (...events: FloorEvent[]) =>
  lastSteps(forecastAt({ ...dough, events }, 0)).map(({ kind }) => kind);

describe('the last steps of a dough', () => {
  it('are its proof, its wash and its oven, in their order', () => {
    const found = lastSteps(forecastAt(dough, 0));
    expect(found.map(({ kind }) => kind)).toEqual(['proof', 'wash', 'load']);
    const times = found.map(({ at }) => at);
    expect([...times].sort((a, b) => a - b)).toEqual(times);
  });

  it('are those that nobody has begun', () => {
    expect(after(did('start', keyOf('proof'), 0))).toEqual(['wash', 'load']);
    expect(
      after(
        did('start', keyOf('proof'), 0),
        did('finish', keyOf('proof'), 130 * MIN),
        did('start', keyOf('wash'), 131 * MIN),
      ),
    ).toEqual(['load']);
  });

  it('are none once it is in the oven', () => {
    expect(after(did('start', keyOf('load'), 0))).toEqual([]);
  });
});
