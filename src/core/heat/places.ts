import { coded, type Words } from '../codes/coded';

/** Kinds of places for dough, with the heat that passes between air and a face there, W/(m²·K). */
export const PLACE_KINDS = {
  room: { label: coded('heat.room'), film: 9 },
  fridge: { label: coded('heat.fridgeStillAir'), film: 10 },
  retarder: { label: coded('heat.retarderWithFan'), film: 18 },
  freezer: { label: coded('heat.freezer'), film: 12 },
  blast: { label: coded('heat.blastFreezer'), film: 35 },
  proofer: { label: coded('heat.prooferWithFan'), film: 17 },
  oven: { label: coded('heat.oven'), film: 25 },
} as const;
export type PlaceKind = keyof typeof PLACE_KINDS;

/** A place of the house and what is known of it now. */
export interface Place {
  id: string;
  label: string;
  kind: PlaceKind;
  /** Dough can be there; or it is where flour, or the water of the tap, has its temperature. */
  purpose: 'dough' | 'flour' | 'water';
  /** What it has when nobody has said, °C, and what cannot be true of it. */
  usual: number;
  lowest: number;
  highest: number;
  /** The newest reading that is believed and has not gone stale. */
  reading: {
    celsius: number;
    humidity: number | null;
    at: number;
    source: 'probe' | 'typed';
    by: string | null;
  } | null;
  /** Why a newer reading is not believed, or that there is none. */
  remark: Words | null;
}

/** What a piece lies on or in: the share of the film's heat that still passes above and below. */
export const LYING = {
  tray: { label: coded('heat.onAMetalTray'), top: 1, bottom: 1 },
  rack: { label: coded('heat.onARack'), top: 1, bottom: 1 },
  board: { label: coded('heat.onAWoodenBoard'), top: 1, bottom: 0.5 },
  tub: { label: coded('heat.inATubWithLid'), top: 0.5, bottom: 0.5 },
  stack: { label: coded('heat.inAStack'), top: 0.5, bottom: 0.5 },
  film: { label: coded('heat.wrappedInFilm'), top: 0.95, bottom: 0.95 },
} as const;
export type Lying = keyof typeof LYING;

/** Heat transfer on the two faces of a piece in a place. */
export function films(kind: PlaceKind, lying: Lying): { top: number; bottom: number } {
  const { film } = PLACE_KINDS[kind];
  return { top: film * LYING[lying].top, bottom: film * LYING[lying].bottom };
}

/** One number for both faces, for the quick answers. */
export function meanFilm(kind: PlaceKind, lying: Lying): number {
  const { top, bottom } = films(kind, lying);
  return (top + bottom) / 2;
}
