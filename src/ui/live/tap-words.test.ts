import { describe, expect, it } from 'vitest';
import { did, plannedRecord } from '../../../test-support/floor';
import { ALL_MESSAGES, say } from '../../../test-support/words';
import { METRIC } from '@/core/units/reader';
import type { Messages } from '@/words/message';
import { sayer } from '@/words/say';
import { aboutTap } from './tap-words';

describe('what a tap is called', () => {
  it('names dough, step and what was done', () => {
    expect(aboutTap(say, did('start', 'mix', 0), plannedRecord([]))).toBe('Crescent 1, mix: started');
    expect(aboutTap(say, did('note', 'mix', 0, { text: 'sticky' }), undefined)).toBe('note “sticky”');
  });

  it('has a temperature in the degrees of whoever reads it', () => {
    const fahrenheit = sayer('en', JSON.parse(ALL_MESSAGES) as Messages, {
      units: { ...METRIC, temperature: 'F' },
    });
    const measured = did('temperature', 'mix', 0, { celsius: 24 });
    expect(aboutTap(say, measured, undefined)).toBe('24 °C');
    expect(aboutTap(fahrenheit, measured, undefined)).toBe('75 °F');
  });
});
