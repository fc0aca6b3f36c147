import type { PieceSize } from './piece';

/** What trays a number of pieces needs, and where. */
export interface TrayNeed {
  trays: number;
  /** Pieces on the last one. */
  onLast: number;
  perTray: number;
}

/** Trays for pieces with room to double. */
export function trayNeed(pieces: number, perTray: number): TrayNeed {
  const trays = Math.ceil(pieces / perTray);
  return { trays, onLast: pieces - (trays - 1) * perTray, perTray };
}

/** A rolled piece rises to about twice its volume: each way it grows by the cube root of two, and it wants a finger of air. */
const GROWS = Math.cbrt(2);
const AIR = 2;

/** Pieces on a tray of this size with room to double, from the footprint of one as it is set down; cm. */
export function perTray(
  tray: readonly [length: number, width: number],
  foot: readonly [number, number],
): number {
  const cells = (room: number, piece: number) => Math.floor((room + AIR) / (piece * GROWS + AIR) + 1e-9);
  const laid = ([a, b]: readonly [number, number]) => cells(tray[0], a) * cells(tray[1], b);
  return Math.max(laid(foot), laid([foot[1], foot[0]]));
}

/** A rolled crescent is longer than the base it was rolled from. */
const ROLLED_LONGER = 1.3;

/**
 * What a piece takes of a tray as it is set down, cm: a triangle rolled to a crescent, a slice lying as a round, all others
 * as they were cut. `mm`: of the sheet.
 */
export function footOf({ shape, base, height }: PieceSize, mm: number): readonly [number, number] {
  const round = (area: number) => 2 * Math.sqrt(area / Math.PI);
  switch (shape) {
    case 'triangle':
      return [base * ROLLED_LONGER, round((height * mm) / 10 / 2)];
    case 'slice': {
      const across = round((height * mm) / 10);
      return [across, across];
    }
    case 'square':
    case 'sector':
      return [base, base];
    default:
      return [base, height];
  }
}
