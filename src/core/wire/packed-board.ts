import type { DoughRecord } from '../record/dough';
import type { Board } from './board';
import { type PackedRows, type Row, rowReader, rowWriter } from './rows';

/**
 * A board as one text, for its way to a screen. Steps, links, outputs and events of many doughs have the same form, and
 * much in them is the same: each is written once. A text is written and carried many times faster than as many objects.
 */
export type PackedBoard = string;

type ListName = 'steps' | 'links' | 'outputs' | 'events';

type PackedDough = Omit<DoughRecord, ListName> & Record<ListName, Row[]>;

interface Packed {
  tables: PackedRows;
  board: Omit<Board, 'doughs'> & { doughs: PackedDough[] };
}

/** Writes a board; `unpackBoard` reads it. */
export function packBoard(board: Board): PackedBoard {
  const { rowOf, tables } = rowWriter();
  const doughs = board.doughs.map((dough): PackedDough => ({
    ...dough,
    ...{ steps: dough.steps.map(rowOf), links: dough.links.map(rowOf) },
    ...{ outputs: dough.outputs.map(rowOf), events: dough.events.map(rowOf) },
  }));
  return JSON.stringify({ tables, board: { ...board, doughs } } satisfies Packed);
}

/** Reads a board that was packed. */
export function unpackBoard(packed: PackedBoard): Board {
  const { tables, board } = JSON.parse(packed) as Packed;
  const read = rowReader(tables);
  const listOf = (rows: Row[]): unknown => rows.map(read);
  const doughs = board.doughs.map((dough): DoughRecord => ({
    ...dough,
    steps: listOf(dough.steps) as DoughRecord['steps'],
    links: listOf(dough.links) as DoughRecord['links'],
    outputs: listOf(dough.outputs) as DoughRecord['outputs'],
    events: listOf(dough.events) as DoughRecord['events'],
  }));
  return { ...board, doughs };
}
