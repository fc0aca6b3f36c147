'use client';

import { useMemo, type ComponentType } from 'react';
import type { Board } from '@/core/wire/board';
import { unpackBoard, type PackedBoard } from '@/core/wire/packed-board';

/** A view of a board as a screen that is sent it packed. */
export function withBoard<Props extends { board: Board }>(View: ComponentType<Props>) {
  return function Screen({ packed, rest }: { packed: PackedBoard; rest: Omit<Props, 'board'> }) {
    const board = useMemo(() => unpackBoard(packed), [packed]);
    // All that the view asks for: its board, and the rest.
    const props = { ...rest, board } as Props;
    return <View {...props} />;
  };
}
