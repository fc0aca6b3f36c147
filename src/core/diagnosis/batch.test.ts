import { describe, expect, it } from 'vitest';
import { baked } from '../../../test-support/batch';
import { crescentDough } from '../../../test-support/crescent';
import { playedBatch } from '@/core/double/played-batch';
import { CAUSE_IDS, CAUSES } from './causes';
import { CAUSE_WORDS } from './cause-words';
import { explain } from './explain';
import { oddsOf } from './odds';
import { batchTrace } from './trace';
import { FAULT_IDS } from '../record/marks';
import { batchReports, withMark } from './report';
import { inEnglish } from '../../../test-support/words';

const reportOf = (dough: ReturnType<typeof baked>) => {
  const [report] = batchReports(dough);
  if (!report) throw new Error('The dough has an output.');
  return report;
};

describe('the report on a batch', () => {
  it('has no marks and no counts where nobody has given any', () => {
    const report = reportOf(baked());
    expect(inEnglish(report)).toMatchObject({ counted: null, marks: {}, mean: null, causes: [] });
  });

  it('takes the last word on each mark, and their mean', () => {
    const report = reportOf(
      baked([
        { step: 'finish', kind: 'marks', data: { kind: 'marked', marks: { rise: 2, crumb: 5 }, seen: [] } },
        { step: 'finish', kind: 'marks', data: { kind: 'marked', marks: { rise: 4 }, seen: ['flat'] } },
      ]),
    );
    expect(report.marks).toEqual({ rise: 4, crumb: 5 });
    expect(report.mean).toBe(4.5);
    expect(withMark(report, 'taste', 3)).toEqual({
      kind: 'marked',
      marks: { rise: 4, crumb: 5, taste: 3 },
      seen: ['flat'],
    });
  });

  it('counts a load once, as it was counted last', () => {
    const count = (good: number, second: number) => ({
      ...{ step: 'bake', kind: 'count' as const, data: { kind: 'counted' as const, good, second, waste: 0 } },
    });
    expect(reportOf(baked([count(40, 0), count(37, 3)])).counted).toEqual({ good: 37, second: 3, waste: 0 });
  });

  it('names the steps that were out of their window', () => {
    expect(inEnglish(reportOf(baked()).off)).toEqual([]);
    const late = reportOf(baked([], { proof: 4 }));
    expect(inEnglish(late.off)).toMatchObject([{ label: 'proof' }]);
    expect(late.off[0]?.minutes).toBeGreaterThan(late.off[0]?.meant[1] ?? Infinity);
  });
});

describe('likely causes', () => {
  const causes = (dough: ReturnType<typeof baked>, ...seen: (typeof FAULT_IDS)[number][]) =>
    explain(seen, batchTrace(dough, 5));

  it('come with what the record shows for them, the likeliest first', () => {
    const uneven = baked([
      { step: 'shape', kind: 'weigh', data: { kind: 'pieces', count: 2, grams: 100 } },
      { step: 'shape', kind: 'weigh', data: { kind: 'pieces', count: 2, grams: 130 } },
    ]);
    const [first] = causes(uneven, 'uneven');
    expect(inEnglish(first)).toMatchObject({
      cause: 'sheet-uneven',
      evidence: ['pieces weighed 50 to 65 g'],
    });
    expect(first?.likely).toBeGreaterThan(0.7);
  });

  it('say that nothing explains a fault where the record is silent, and what a look would tell', () => {
    const found = causes(baked(), 'skin');
    expect(found.every(({ evidence }) => evidence.length === 0)).toBe(true);
    expect(found.find(({ cause }) => cause === 'uncovered')?.ask).toEqual({
      check: 'cover',
      answer: 'uncovered',
    });
  });

  it('are settled by the look: found, it was that; found well, it was not', () => {
    const look = (answer: 'uncovered' | 'good') =>
      causes(
        baked([
          { step: 'finish', kind: 'check', data: { kind: 'checked', check: 'cover', answer, minutes: 0 } },
        ]),
        'skin',
      );
    expect(inEnglish(look('uncovered')[0])).toMatchObject({
      cause: 'uncovered',
      evidence: ['left uncovered'],
      ask: null,
    });
    expect(look('good')[0]?.cause).toBe('proofer-dry');
  });

  it('have a name and something to do next time, and are behind some fault each', () => {
    for (const cause of CAUSE_IDS) {
      const { name, next } = CAUSE_WORDS[cause];
      expect([cause, inEnglish(name).length > 3, inEnglish(next).endsWith('.')]).toEqual([cause, true, true]);
      expect(Object.keys(CAUSES[cause].shows).length).toBeGreaterThan(0);
    }
    for (const fault of FAULT_IDS)
      expect([fault, CAUSE_IDS.some((cause) => (CAUSES[cause].shows[fault] ?? 0) >= 0.5)]).toEqual([
        fault,
        true,
      ]);
  });
});

describe('the odds of a measured value', () => {
  const EXPECTED = { usual: 14, fault: 19, scatter: 1.5 };
  it('are one half way and where nobody measured, and never beyond what one reading can prove', () => {
    expect(oddsOf(16.5, EXPECTED)).toBeCloseTo(1, 9);
    expect(oddsOf(null, EXPECTED)).toBe(1);
    expect(oddsOf(19, EXPECTED)).toBe(30);
    expect(oddsOf(40, EXPECTED)).toBe(30);
    expect(oddsOf(5, EXPECTED)).toBeCloseTo(1 / 30, 9);
    expect(oddsOf(17.5, EXPECTED)).toBeGreaterThan(oddsOf(17, EXPECTED));
  });
});

describe('the trace of a batch', () => {
  it('follows what probes heard and what was measured in the dough', () => {
    const { record, heard } = playedBatch(crescentDough(), { places: { proof: 6 } }, 5);
    const { proof, rolled, butter } = batchTrace(record, 5, heard);
    expect(proof?.hottest).toBeGreaterThan(30);
    expect(batchTrace(record, 5).proof?.hottest).toBeLessThan(28);
    expect(butter?.celsius).toBeGreaterThan(10);
    expect(rolled.map(({ step }) => step.step.kind)).toEqual(['lock-in', 'turn', 'turn', 'turn', 'sheet']);
    expect(rolled[2]?.relaxed).toBeCloseTo(1 - 2 ** (-(rolled[2]?.rested ?? 0) / 25), 9);
  });

  it('counts the layers that were really folded', () => {
    const { record, heard } = playedBatch(crescentDough(), { foldsMore: 1 }, 5);
    expect(batchTrace(record, 5, heard).folded).toBeCloseTo(3, 9);
    expect(batchTrace(playedBatch(crescentDough(), {}, 5).record, 5).folded).toBe(1);
  });

  it('has nothing of a batch of which nothing was recorded', () => {
    expect(batchTrace(crescentDough(), 5)).toMatchObject({
      ...{
        liquid: null,
        proof: null,
        butter: null,
        rolled: [],
        bake: null,
        checks: [],
      },
    });
    expect(
      explain(['flat'], batchTrace(crescentDough(), 5)).every(({ evidence }) => evidence.length === 0),
    ).toBe(true);
  });
});
