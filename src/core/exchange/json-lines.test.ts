import { describe, expect, it } from 'vitest';
import { jsonLines } from './json-lines';

const TEXT = `{
  "format": "x",
  "products": [
    { "name": "Roll",
      "grams": 60 },
    { "name": "Loaf" }
  ]
}`;

describe('lines of a JSON text', () => {
  it('are those of its parts, or of what is around a part that is not there', () => {
    const { lineOf, broken } = jsonLines(TEXT);
    expect(broken).toBeNull();
    expect([lineOf(['products', 0, 'grams']), lineOf(['products', 1, 'name'])]).toEqual([5, 6]);
    expect(lineOf(['products', 1, 'grams'])).toBe(6);
    expect(lineOf(['schemes'])).toBe(1);
  });

  it('say where a text is broken', () => {
    expect(jsonLines('{\n  "a": 1,\n  "b": ]\n}').broken).toEqual({ line: 3, why: 'value expected' });
    expect(jsonLines('<script>').broken?.line).toBe(1);
  });
});
