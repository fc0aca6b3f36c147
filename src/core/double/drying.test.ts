import { describe, expect, it } from 'vitest';
import { crescentDough } from '../../../test-support/crescent';
import { did, MIN } from '../../../test-support/floor';
import type { StepKind } from '../process/route';
import { stateOf } from '../record/dough';
import { truthIn } from './dough-truth';
import { DRY_TO_THE_TOUCH, renewsSurface, SKIN, waterLost } from './drying';

const lost = (humidity: number, minutes = 90, celsius = 26) =>
  waterLost({ celsius, air: celsius, humidity, minutes });

describe('an open surface', () => {
  it('loses nothing in a proofer with steam, and gets a skin without', () => {
    expect(lost(78)).toBe(0);
    expect(lost(46)).toBeCloseTo(264.5, 0);
    expect(lost(46)).toBeGreaterThan(SKIN);
    expect(lost(70)).toBeLessThan(DRY_TO_THE_TOUCH);
  });

  it('loses more the drier and the warmer the air is, and twice as much in twice the time', () => {
    const dry = [75, 65, 55, 45, 35].map((humidity) => lost(humidity));
    expect(dry).toEqual([...dry].sort((a, b) => a - b));
    expect(lost(50, 90, 30)).toBeGreaterThan(lost(50, 90, 20));
    expect(lost(50, 180)).toBeCloseTo(2 * lost(50), 6);
  });

  it('is renewed by rolling and shaping, and not by standing', () => {
    expect(renewsSurface('shape')).toBe(true);
    expect(renewsSurface('proof')).toBe(false);
  });
});

describe('a load in a proofer', () => {
  const planned = crescentDough();
  const proof = planned.steps.find(({ step }) => step.kind === 'proof')?.key ?? '';
  const dried = (
    humidity: number | undefined,
    events = [did('start', proof, 0)],
    part: { cover?: string; kind?: StepKind } = {},
  ) => {
    const steps = planned.steps.map((one) =>
      one.key === proof ? { ...one, step: { ...one.step, ...part } } : one,
    );
    const dough = { ...planned, steps, events };
    const of = { dough, state: stateOf(dough), hidden: { vigour: 1, warmer: 0 } };
    return truthIn({ ...of, airOf: () => 26, humidityOf: () => humidity }, proof, 90 * MIN).dried;
  };

  it('dries by its air, and not under a cover or where nobody knows the air', () => {
    expect(dried(46)).toBeCloseTo(264.5, 0);
    expect(dried(46, undefined, { cover: 'film', kind: 'retard' })).toBe(0);
    // The cover of a proof is the proofer.
    expect(dried(46, undefined, { cover: 'humid proofer' })).toBeCloseTo(264.5, 0);
    expect(dried(undefined)).toBe(0);
  });

  it('dries no further once somebody has found it uncovered', () => {
    const data = { kind: 'checked', check: 'cover', answer: 'uncovered', minutes: 0 } as const;
    expect(dried(46, [did('start', proof, 0), did('check', proof, 30, { data })])).toBeCloseTo(88, 0);
  });
});
