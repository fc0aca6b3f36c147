import { describe, expect, it } from 'vitest';
import { skillFor, strainOf } from './skills';

describe('what a step asks of who does it', () => {
  it('follows from its kind, unless the product says otherwise', () => {
    expect(skillFor({ kind: 'turn' })).toBe('laminate');
    expect(skillFor({ kind: 'turn', skill: 'shape' })).toBe('shape');
    expect(skillFor({ kind: 'turn', skill: 'anybody' })).toBeNull();
    expect(skillFor({ kind: 'rest' })).toBeNull();
  });

  it('is as heavy as usual for its kind, or as the product says', () => {
    expect([strainOf({ kind: 'turn' }), strainOf({ kind: 'rest' })]).toEqual([2, 1]);
    expect(strainOf({ kind: 'rest', strain: 3 })).toBe(3);
    // Who may do it makes it no lighter.
    expect(strainOf({ kind: 'turn', ...{ skill: 'anybody' } })).toBe(2);
  });
});
