import { describe, expect, it } from 'vitest';
import { crescentDough } from '../../../test-support/crescent';
import { courseOf } from '../diagnosis/course';
import { playedBatch } from '../double/played-batch';
import { UNKNOWN_CONDITIONS } from '../forecast/conditions';
import { forecastDough } from '../forecast/forecast';
import { stateOf } from '../record/dough';
import { pieceMode, settlingIn } from './settling';

const PIECE = { shape: 'cylinder', mm: 45, lying: 'tray' } as const;

/** The crescents of a dough, rolled up, in their proof. */
function proofing() {
  const dough = crescentDough();
  const steps = dough.steps.map((one) =>
    one.step.kind === 'proof' ? { ...one, step: { ...one.step, piece: PIECE } } : one,
  );
  const proof = steps.find(({ step }) => step.kind === 'proof');
  if (!proof) throw new Error('Crescents are proofed.');
  return { dough: { ...dough, steps }, proof };
}

describe('how a piece follows what is around it', () => {
  it('goes by its shape and the place it is in: faster in a proofer’s wind than in a still fridge', () => {
    const { proof } = proofing();
    expect(settlingIn(proof, 'proofer')).toBeLessThan(settlingIn(proof, 'fridge'));
    expect(settlingIn(proof)).toBe(settlingIn(proof, 'proofer'));
    const slab = { ...proof, step: { ...proof.step, piece: { ...PIECE, mm: 90 } } };
    expect(settlingIn(slab)).toBeGreaterThan(2 * settlingIn(proof));
  });

  it('is what the route has where it does not say what the piece is like', () => {
    const { proof } = proofing();
    const bare = { ...proof, step: { ...proof.step, piece: undefined } };
    expect(pieceMode(bare)).toBeNull();
    expect(settlingIn(bare)).toBe(proof.settling);
  });

  it('is the same for the forecast of a proof and for its record when it is over', () => {
    const { dough, proof } = proofing();
    const { record } = playedBatch(dough, {}, 5);
    const begun = stateOf(record).steps.get(proof.key)?.startedAt ?? 0;
    const now = begun + 60 * 60_000;
    const then = { ...record, events: record.events.filter(({ at }) => at <= begun) };
    const forecast = forecastDough(then, UNKNOWN_CONDITIONS, now).steps.find(({ key }) => key === proof.key);
    const course = courseOf(record, stateOf(record), proof.key, []).at(-1);
    const after = course?.profile.find(({ minute }) => minute >= 60);
    expect(forecast?.settling).toBeCloseTo(settlingIn(proof), 6);
    const expected = 26 + ((course?.start ?? 0) - 26) * Math.exp(-(after?.minute ?? 0) / settlingIn(proof));
    expect(after?.celsius).toBeCloseTo(expected, 0);
  });
});
