import { describe, expect, it } from 'vitest';
import { baked } from '../../../test-support/batch';
import { boardOf } from '../../../test-support/board';
import type { DoughRecord } from '../record/dough';
import { packBoard, unpackBoard } from './packed-board';

const board = (doughs: DoughRecord[]) => boardOf({ doughs });
/** As it comes from the database again: the same, and not the same objects. */
const anew = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

describe('a packed board', () => {
  it('is the board again when it is unpacked', () => {
    const dough = baked([{ step: 'proof', kind: 'note' }]);
    const whole = anew(board([dough, { ...dough, id: 2 }]));
    expect(unpackBoard(packBoard(whole))).toEqual(whole);
    expect(unpackBoard(packBoard(board([])))).toEqual(board([]));
  });

  it('holds what is the same once, however many doughs have it and wherever they came from', () => {
    const dough = baked();
    const one = packBoard(board([dough]));
    const four = packBoard(
      board([dough, { ...anew(dough), id: 2 }, { ...anew(dough), id: 3 }, { ...dough, id: 4 }]),
    );
    const values = (packed: string) =>
      (JSON.parse(packed) as { tables: { values: unknown[] } }).tables.values.length;
    expect(values(four)).toBe(values(one));
    const [first, second] = unpackBoard(four).doughs;
    expect(first?.steps[0]?.step).toBe(second?.steps[0]?.step);
  });
});
