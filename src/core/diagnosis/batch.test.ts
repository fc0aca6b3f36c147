import { describe, expect, it } from 'vitest';
import { baked } from '../../../test-support/batch';
import { FAULTS, likelyCauses } from './faults';
import { batchLog } from './log';
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
    likelyCauses(seen, batchLog(dough, 5));

  it('come with what the log shows for them, and say when it shows nothing', () => {
    const over = baked([{ step: 'proof', kind: 'verdict', data: { kind: 'verdict', verdict: 'over' } }]);
    expect(inEnglish(causes(over, 'skin', 'flat'))).toMatchObject([
      { fault: 'flat', evidence: ['proof was judged over'] },
      { fault: 'skin', evidence: [] },
    ]);
  });

  it('find a retard that was too warm, and a long one', () => {
    const warm = baked([{ step: 'retard', kind: 'temperature', celsius: 9 }], { retard: 3 });
    expect(inEnglish(causes(warm, 'sour')[0]?.evidence)).toEqual([
      'retard at 9 °C',
      expect.stringMatching(/^retard took .* at most .* was meant$/),
    ]);
  });

  it('find pieces that were weighed unevenly, and none in even ones', () => {
    const weigh = (grams: number) => ({
      ...{ step: 'shape', kind: 'weigh' as const, data: { kind: 'pieces' as const, count: 2, grams } },
    });
    expect(inEnglish(causes(baked([weigh(120), weigh(124)]), 'uneven')[0]?.evidence)).toEqual([]);
    expect(inEnglish(causes(baked([weigh(110), weigh(124)]), 'uneven')[0]?.evidence)).toEqual([
      'pieces weighed from 55 to 62 g',
    ]);
  });

  it('are in the table for every fault, and a batch as it should be has evidence of none', () => {
    const found = causes(baked(), ...FAULT_IDS);
    expect(inEnglish(found.map(({ evidence }) => evidence))).toEqual(FAULT_IDS.map(() => []));
    for (const { likely, next, seen } of Object.values(FAULTS))
      expect([likely, next, seen].every((words) => inEnglish(words).length > 3)).toBe(true);
  });
});
