import { say } from '../../../test-support/words';
import { describe, expect, it } from 'vitest';
import type { Draft } from '@/core/formula/draft';
import {
  addRowAfter,
  addStage,
  BLANK,
  changeRow,
  dropRow,
  insertRows,
  moveRow,
  newDraft,
  pastedRows,
  stageAsked,
} from './rows';

const row = (name: string, amount = '') => ({ ...BLANK, name, amount });
const draft: Draft = {
  ...newDraft(say),
  stages: [
    { kind: 'sponge', rows: [row('milk'), row('yeast'), row('flour')] },
    { kind: 'dough', rows: [row('egg')] },
  ],
};
const names = ({ stages }: Draft) => stages.map(({ kind, rows }) => [kind, ...rows.map(({ name }) => name)]);

describe('rows of a formula in the editor', () => {
  it('change one at a time', () => {
    expect(names(changeRow(draft, 0, 1, { name: 'fresh yeast' }))[0]).toEqual([
      'sponge',
      'milk',
      'fresh yeast',
      'flour',
    ]);
    expect(names(addRowAfter(draft, 0, 0))[0]).toEqual(['sponge', 'milk', '', 'yeast', 'flour']);
  });

  it('move within their stage, and not out of it', () => {
    expect(names(moveRow(draft, 0, 2, -1))[0]).toEqual(['sponge', 'milk', 'flour', 'yeast']);
    expect(moveRow(draft, 0, 2, 1)).toEqual(draft);
    expect(moveRow(draft, 0, 0, -1)).toEqual(draft);
  });

  it('take their stage with them when the last one goes, but never the last stage', () => {
    expect(names(dropRow(say, draft, 1, 0))).toEqual([['sponge', 'milk', 'yeast', 'flour']]);
    expect(names(dropRow(say, newDraft(say), 0, 0))).toEqual([['dough', '']]);
  });

  it('leave the draft they came from as it was', () => {
    const before = JSON.stringify(draft);
    dropRow(say, draft, 0, 0);
    moveRow(draft, 0, 0, 1);
    addStage(draft, 0, 'levain', 2);
    expect(JSON.stringify(draft)).toBe(before);
  });
});

describe('a stage', () => {
  it.each([
    ['levain:', 'levain'],
    [' Stiff Levain : ', 'stiff levain'],
    ['roll-in:', 'roll-in'],
  ])('%j is asked for by its name and a colon', (name, kind) => expect(stageAsked(name)).toBe(kind));

  it.each(['levain', 'butter:', ':', ''])('%j asks for none', (name) => expect(stageAsked(name)).toBeNull());

  it('takes the place of the row that asked for it', () => {
    const asked = addStage(
      { ...draft, stages: [{ kind: 'dough', rows: [row('flour'), row('roll-in:')] }] },
      0,
      'roll-in',
      1,
    );
    expect(names(asked)).toEqual([
      ['dough', 'flour'],
      ['roll-in', ''],
    ]);
    expect(names(addStage(newDraft(say), 0, 'levain', 0))).toEqual([['levain', '']]);
  });
});

describe('lines pasted at once', () => {
  it('become rows, amounts apart from names', () => {
    const rows = pastedRows('500 g flour\n\n1/2 cup milk\nsomething odd\n');
    expect(rows?.map(({ name, amount }) => [name, amount])).toEqual([
      ['flour', '500 g'],
      ['milk', '1/2 cup'],
      ['something odd', ''],
    ]);
    expect(names(insertRows(draft, 1, 0, rows ?? []))[1]).toEqual([
      'dough',
      'flour',
      'milk',
      'something odd',
    ]);
  });

  it('are left to the field where it is only one', () => expect(pastedRows('500 g flour')).toBeNull());
});
