import { describe, expect, it } from 'vitest';
import { baked } from '../../../test-support/batch';
import { MIN } from '../../../test-support/floor';
import type { DoughRecord } from '../record/dough';
import { boardOf } from '../../../test-support/board';
import { withoutOver, type Board } from './board';

const HOUR = 60 * MIN;
const withDoughs = (...doughs: DoughRecord[]) => boardOf({ doughs });
const ids = (board: Board) => board.doughs.map(({ id }) => id);

describe('the board of the floor', () => {
  it('leaves out what was finished more than a shift and a half ago, and keeps what is open, however late', () => {
    const open = { ...baked(), id: 1, finished: undefined };
    const lately = { ...baked(), id: 2, finished: 90 * HOUR };
    const long = { ...baked(), id: 3, finished: 80 * HOUR };
    expect(ids(withoutOver(withDoughs(open, lately, long), 100 * HOUR))).toEqual([1, 2]);
    expect(ids(withoutOver(withDoughs(open, lately, long), 85 * HOUR))).toEqual([1, 2, 3]);
  });
});
