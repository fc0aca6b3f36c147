import { describe, expect, it } from 'vitest';
import { looksOn, mayRecord, resting } from './rights';

const KINDS = [
  'start',
  'finish',
  'skip',
  'undo',
  'temperature',
  'note',
  'verdict',
  'check',
  'count',
] as const;

describe('what a role may record', () => {
  it('is everything for who works or plans, and nothing for a screen on the wall', () => {
    for (const kind of KINDS) {
      expect(mayRecord('baker', kind)).toBe(true);
      expect(mayRecord('planner', kind)).toBe(true);
      expect(mayRecord('viewer', kind)).toBe(false);
    }
  });

  it('is, for a helper, that something is done, but no judgement and no leaving out', () => {
    expect(KINDS.filter((kind) => !mayRecord('helper', kind))).toEqual(['skip', 'verdict', 'check']);
  });

  it('is nothing at a tablet that rests, whoever had it', () => {
    const rested = resting({ id: 3, name: 'Jonas', role: 'planner', team: 'nights' });
    expect(looksOn(rested.role)).toBe(true);
    expect(rested.name).not.toBe('Jonas');
    // What waits on the tablet under Jonas's number waits for Jonas.
    expect(rested.id).not.toBe(3);
  });
});
