import { describe, expect, it } from 'vitest';
import { remembered } from './remembered';

describe('what is remembered', () => {
  it('is made once for a key, and forgotten when others were asked for since', () => {
    const made: string[] = [];
    const { recall, peek } = remembered<string>(2);
    const ask = (key: string) =>
      recall(key, () => {
        made.push(key);
        return key.toUpperCase();
      });
    expect([ask('a'), ask('a'), ask('b'), ask('a'), ask('c')]).toEqual(['A', 'A', 'B', 'A', 'C']);
    expect(made).toEqual(['a', 'b', 'c']);
    ask('a');
    ask('b');
    expect(made).toEqual(['a', 'b', 'c', 'b']);
    expect([peek('b'), peek('z')]).toEqual(['B', undefined]);
    expect(made).toHaveLength(4);
  });
});
