import { describe, expect, it } from 'vitest';
import { crescentDough } from '../../../test-support/crescent';
import { batchTrace } from '@/core/diagnosis/trace';
import { UNKNOWN_CONDITIONS } from '@/core/forecast/conditions';
import { forecastDough, type Ready } from '@/core/forecast/forecast';
import { learnFromVerdicts, type WaitVerdict } from '@/core/learning/verdicts';
import type { DoughRecord } from '@/core/record/dough';
import { stateOf } from '@/core/record/dough';
import { MINUTE, type Instant } from '@/core/time/local';
import { chanceOf } from './chance';
import { playedBatch } from './played-batch';
import { verdictOn } from './senses';

const share = <T>(list: readonly T[], holds: (one: T) => boolean) => list.filter(holds).length / list.length;
const median = (list: readonly number[]) =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

/** What a tablet forecasts of a proof as it begins, and when the proof was at its best in truth. */
function forecastAndTruth(seed: number): { ready: Ready; best: Instant } {
  const { record, best } = playedBatch(crescentDough(), {}, seed);
  const proof = record.steps.find(({ step }) => step.kind === 'proof')?.key ?? '';
  const truth = best.get(proof);
  const begun = stateOf(record).steps.get(proof)?.startedAt ?? 0;
  if (!truth) throw new Error('The proof came to its best.');
  const seenThen: DoughRecord = { ...record, events: record.events.filter(({ at }) => at <= begun) };
  // The probe of the proofer is off by a little, as the double’s thermometers are.
  const celsius = truth.air + 0.3 * chanceOf('probe', seed).normal();
  const places = { proofer: { celsius, kind: 'proofer' as const } };
  const forecast = forecastDough(seenThen, { ...UNKNOWN_CONDITIONS, places }, begun + MINUTE);
  const ready = forecast.steps.find(({ key }) => key === proof)?.ready;
  if (!ready) throw new Error('The proof is under way.');
  return { ready, best: truth.at };
}

describe('the forecast of a proof, held against what the double knows', () => {
  const batches = Array.from({ length: 200 }, (_, nth) => forecastAndTruth(40_000 + nth));

  it('is within 8 minutes of the truth at the median', () => {
    const off = batches.map(({ ready, best }) => Math.abs(ready.best - best) / MINUTE);
    expect(median(off)).toBeLessThanOrEqual(8);
    expect(median(off)).toBeGreaterThan(1);
  });

  it('has the truth between its earliest and its latest in nine of ten', () => {
    expect(
      share(batches, ({ ready, best }) => ready.earliest <= best && best <= ready.latest),
    ).toBeGreaterThanOrEqual(0.9);
  });
});

/** What a house learns from looks at its proofs, where everything rises so many times as slowly as its formulas say. */
function learnt(slower: number, batches: number, seed: number): number {
  const start = crescentDough().rises?.proof?.minutes ?? 0;
  const judged = Array.from({ length: batches }, (_, nth): WaitVerdict => {
    const own = 1000 * seed + nth;
    // Ended early or late, as it fits the shift.
    const proofedTo = chanceOf('end', own).factor(0.15);
    const { record, heard } = playedBatch(crescentDough(), { slower, proofedTo }, own);
    const minutes = (batchTrace(record, 5, heard).proof?.progress ?? 0) * start;
    return { minutes, verdict: verdictOn(proofedTo, { early: 0.9, late: 1.1 }, 'proof', own) };
  });
  return learnFromVerdicts(start, judged).mean / start;
}

describe('a house whose doughs rise a fifth slower than its formulas say', () => {
  it('has learnt it within 5 % after 20 batches, at the median of houses', () => {
    const off = Array.from({ length: 9 }, (_, seed) => Math.abs(learnt(1.2, 20, 500 + seed) / 1.2 - 1));
    expect(median(off)).toBeLessThanOrEqual(0.05);
    // What is not slower is not learnt to be.
    const even = Array.from({ length: 9 }, (_, seed) => Math.abs(learnt(1, 20, 900 + seed) - 1));
    expect(median(even)).toBeLessThanOrEqual(0.05);
  });
});
