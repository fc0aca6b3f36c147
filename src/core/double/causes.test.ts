import { describe, expect, it } from 'vitest';
import { crescentDough } from '../../../test-support/crescent';
import { EACH, foundShare, judgedBatches } from '../../../test-support/judged-batches';
import { explain } from '@/core/diagnosis/explain';
import { batchTrace } from '@/core/diagnosis/trace';
import { FAULT_IDS } from '@/core/record/marks';
import { playedBatch } from './played-batch';

const ALL = judgedBatches();

describe('causes of batches with one known mishap each', () => {
  it('are told right: first in 8 of 10, among the first two in 95 of 100, held back or not', () => {
    const half = (from: number) => ALL.filter((_, i) => i % EACH >= from && i % EACH < from + EACH / 2);
    const numbers = [half(0), half(EACH / 2)].map((list) => [foundShare(list, 1), foundShare(list, 2)]);
    for (const [first = 0, two = 0] of numbers) {
      expect(first).toBeGreaterThanOrEqual(0.8);
      expect(two).toBeGreaterThanOrEqual(0.95);
    }
  });

  it('are found for each fault by itself at least as often as not', () => {
    for (const fault of FAULT_IDS)
      expect([
        fault,
        foundShare(
          ALL.filter((one) => one.fault === fault),
          2,
        ) >= 0.7,
      ]).toEqual([fault, true]);
  });
});

describe('batches without a mishap', () => {
  it('are accused of nothing in 95 of 100', () => {
    const accused = Array.from({ length: 100 }, (_, seed) => {
      const { record, heard } = playedBatch(crescentDough(), {}, 90_000 + seed);
      return explain([], batchTrace(record, 5, heard)).filter(({ likely }) => likely > 0.5);
    }).filter((found) => found.length > 0);
    expect(accused.length).toBeLessThanOrEqual(5);
  });

  it('that somebody has marked all the same are told that the record explains nothing', () => {
    const blamed = Array.from({ length: 100 }, (_, seed) => {
      const { record, heard } = playedBatch(crescentDough(), {}, 70_000 + seed);
      const [first] = explain(['flat'], batchTrace(record, 5, heard));
      return first !== undefined && first.evidence.length > 0;
    });
    expect(blamed.filter(Boolean).length).toBeLessThanOrEqual(10);
  });
});
