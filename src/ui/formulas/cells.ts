import type { Draft, ReadDraft } from '@/core/formula/draft';
import type { IngredientBook } from '@/core/formula/ingredient';
import type { ReaderUnits } from '@/core/units/reader';

/** What is typed in a line of a stage. */
export type FieldName = 'name' | 'amount' | 'note';

export interface StageTableProps {
  draft: Draft;
  read: ReadDraft;
  stage: number;
  book: IngredientBook;
  units: ReaderUnits;
  mayChange: boolean;
  onChange: (draft: Draft) => void;
  /** Moves the cursor to a cell once it is drawn. */
  onMove: (cell: string) => void;
}

/** The id of the input for one field of a line. */
export const cellId = (stage: number, row: number, field: FieldName) => `cell-${stage}-${row}-${field}`;
