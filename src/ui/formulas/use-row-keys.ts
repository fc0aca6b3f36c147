'use client';

import type { ClipboardEvent, KeyboardEvent } from 'react';
import { useWords } from '../kit/words';
import { addRowAfter, addStage, dropRow, insertRows, moveRow, pastedRows, stageAsked } from './rows';
import { cellId, type FieldName, type StageTableProps } from './cells';

type CellKey = KeyboardEvent<HTMLInputElement>;

/** What keys and a paste do in a line: Enter goes on, arrows move, an emptied line goes, a pasted list becomes lines. */
export function useRowKeys({ draft, stage, onChange, onMove }: StageTableProps, row: number) {
  const say = useWords();
  const { length } = draft.stages[stage]?.rows ?? [];
  const enter = (field: FieldName, text: string) => {
    const asked = field === 'name' ? stageAsked(text) : null;
    if (asked) {
      onChange(addStage(draft, stage, asked, row));
      onMove(cellId(length > 1 ? stage + 1 : stage, 0, 'name'));
    } else if (field === 'name') onMove(cellId(stage, row, 'amount'));
    else {
      if (row === length - 1) onChange(addRowAfter(draft, stage, row));
      onMove(cellId(stage, row + 1, 'name'));
    }
  };
  const keyDown = (field: FieldName) => (event: CellKey) => {
    const text = event.currentTarget.value;
    if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      const by = event.key === 'ArrowUp' ? -1 : 1;
      onChange(moveRow(draft, stage, row, by));
      onMove(cellId(stage, Math.min(length - 1, Math.max(0, row + by)), field));
    } else if (event.key === 'ArrowUp' && row > 0) onMove(cellId(stage, row - 1, field));
    else if (event.key === 'ArrowDown' && row < length - 1) onMove(cellId(stage, row + 1, field));
    else if (event.key === 'Backspace' && text === '' && field === 'name' && length > 1) {
      event.preventDefault();
      onChange(dropRow(say, draft, stage, row));
      onMove(cellId(stage, Math.max(0, row - 1), 'amount'));
    } else if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      enter(field, text);
    }
  };
  const paste = (event: ClipboardEvent<HTMLInputElement>) => {
    const several = pastedRows(event.clipboardData.getData('text'));
    if (!several) return;
    event.preventDefault();
    onChange(insertRows(draft, stage, row, several));
  };
  return { keyDown, paste };
}
