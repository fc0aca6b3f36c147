import { describe, expect, it } from 'vitest';
import { wordsWith, type HandoverWords } from './handover-words';

const kept: HandoverWords[] = [{ id: 7, at: 1000, by: 'Anton', words: 'The door sticks.', readBy: ['Ida'] }];

describe('words that have not arrived yet', () => {
  it('stand above those that have, the newest first, and cannot be signed', () => {
    const all = wordsWith(kept, [
      { kind: 'words', words: 'One', by: 'Jonas', at: 2000 },
      { kind: 'words', words: 'Two', by: 'Jonas', at: 3000 },
    ]);
    expect(all.map(({ words }) => words)).toEqual(['Two', 'One', 'The door sticks.']);
    expect(all.filter(({ id }) => id < 0)).toHaveLength(2);
    expect(new Set(all.map(({ id }) => id)).size).toBe(3);
  });

  it('count as read by whoever has signed them here, once', () => {
    const signed = (by: string) => wordsWith(kept, [{ kind: 'read', handover: 7, by }])[0]?.readBy;
    expect(signed('Selma')).toEqual(['Ida', 'Selma']);
    expect(signed('Ida')).toEqual(['Ida']);
    expect(wordsWith(kept, [{ kind: 'read', handover: 8, by: 'Selma' }])).toEqual(kept);
  });
});
