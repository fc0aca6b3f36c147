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
