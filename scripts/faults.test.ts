import { describe, expect, it } from 'vitest';
import { faultRun } from '../test-support/faults';

describe('taps that were answered', () => {
  it('are all there, each once, after application and database were killed and lines cut', async () => {
    const report = await faultRun({ taps: 160, kills: 2, seed: 7, build: 'build/test' });
    expect(report.kills).toEqual(['application', 'database']);
    expect(report.unanswered).toBeGreaterThan(0);
    expect(report).toMatchObject({ lost: 0, doubled: 0 });
  }, 120_000);
});
