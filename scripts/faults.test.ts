import { describe, expect, it } from 'vitest';
import { MISCHIEFS } from '../test-support/fault-proxy';
import { faultRun } from '../test-support/faults';

describe('taps on tablets in real browsers', () => {
  it('are all there, each once, in order and under the right name, after a bad night', async () => {
    const report = await faultRun({
      ...{ tablets: 4, taps: 60, kills: 2, refusing: 6_000, seed: 7, build: 'build/test' },
    });
    expect(report.kills).toEqual(['application', 'database']);
    for (const mischief of MISCHIEFS) expect([mischief, report.network[mischief]]).not.toContain(0);
    expect(report.changes).toBeGreaterThan(0);
    expect(report.reopened).toBeGreaterThan(0);
    expect(report).toMatchObject({ lost: [], doubled: [], misnamed: [], disordered: [], refused: [] });
  }, 600_000);
});
