import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rowReader, rowWriter } from './rows';

describe('objects as rows', () => {
  it('are the same again, whatever is in them', () => {
    const objects = fc.array(
      fc.dictionary(fc.constantFrom('a', 'b', 'c', 'd'), fc.jsonValue({ maxDepth: 3 })),
    );
    fc.assert(
      fc.property(objects, (list) => {
        const { rowOf, tables } = rowWriter();
        const rows = list.map(rowOf);
        const sent = JSON.parse(JSON.stringify({ rows, tables })) as {
          rows: typeof rows;
          tables: typeof tables;
        };
        const wanted = JSON.parse(JSON.stringify(list)) as unknown;
        expect(sent.rows.map(rowReader(sent.tables))).toEqual(wanted);
      }),
    );
  });

  it('leave out what is undefined', () => {
    const { rowOf, tables } = rowWriter();
    const row = rowOf({ a: 1, b: undefined, c: null });
    expect(rowReader(tables)(row)).toEqual({ a: 1, c: null });
    expect(tables.forms).toEqual([['a', 'c']]);
  });
});
