import { describe, expect, it } from 'vitest';
import { machine } from '../../../test-support/equipment';
import { say } from '../../../test-support/words';
import { machineName, nearTime } from './words';

describe('what the floor calls things', () => {
  it('is the kind of a machine that is alone of it, and its own name where there are several', () => {
    const alone = [machine('oven', { label: 'Deck oven' }), machine('mixer')];
    expect(machineName(say, 'oven', alone)).toBe('oven');
    const small = machine('oven', { id: 'small', label: 'Small oven' });
    expect(machineName(say, 'oven', [...alone, small])).toBe('deck oven');
    expect(machineName(say, 'small', [...alone, small])).toBe('small oven');
    expect(machineName(say, undefined, alone)).toBe('machine');
  });

  it('is a time of today, and another day’s with its day', () => {
    const noon = Date.UTC(2026, 10, 19, 12);
    expect(nearTime(say, noon + 3_600_000, noon, 'UTC')).toBe('13:00');
    expect(nearTime(say, noon + 20 * 3_600_000, noon, 'UTC')).toBe('Fri 08:00');
  });
});
