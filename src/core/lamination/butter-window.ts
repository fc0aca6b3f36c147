import { coded, type Coded } from '../codes/coded';
import { conduct, type Exposure } from '../heat/conduction';
import { BUTTER } from '../heat/material';

/** Between what temperatures a fat bends and rolls, °C; `best` is the middle of it. */
export interface Workable {
  label: Coded;
  low: number;
  high: number;
  best: readonly [low: number, high: number];
}

export const FATS = ['butter-82', 'butter-84', 'margarine'] as const;
export type FatKind = (typeof FATS)[number];

export const WORKABLE: Record<FatKind, Workable> = {
  'butter-82': { label: coded('lamination.butter82Fat'), low: 11, high: 16, best: [12, 14] },
  'butter-84': { label: coded('lamination.dryButter84'), low: 13, high: 18, best: [14, 16] },
  margarine: { label: coded('lamination.bakeryMargarine'), low: 15, high: 20, best: [16, 18] },
};

/** What butter between layers does at a temperature of the dough around it: it starts to run at 28 °C, and is liquid at 34. */
export function butterAt(celsius: number): 'holds' | 'starts-to-run' | 'runs' {
  return celsius >= 34 ? 'runs' : celsius > 28 ? 'starts-to-run' : 'holds';
}

/** A butter block and where it lies: thickness in mm, its temperature, and the two places it goes between. */
export interface ButterBlock {
  mm: number;
  /** Where it has been and for how long, in order; the last stay ends now. */
  history: readonly Exposure[];
  /** °C of the whole block at the start of its history. */
  start: number;
  fat: FatKind;
  room: Omit<Exposure, 'minutes'>;
  cold: Omit<Exposure, 'minutes'>;
}

export interface ButterWindow {
  core: number;
  surface: number;
  state: 'hard' | 'warming' | 'pliable' | 'soft';
  /** Minutes in the room until core and surface are both workable; null where that never comes. */
  readyIn: number | null;
  /** Minutes in the room until its surface is too soft; null where the room is cool enough to stay. */
  softIn: number | null;
  /** Minutes in the cold until its surface is workable again, where it is too soft. */
  coldFor: number | null;
}

const HORIZON = 4 * 60;

/**
 * How pliable a block is now and until when, from its history in cold and room: its core must not snap and its surface
 * must not smear. Both are solved for by conduction through the slab.
 */
export function butterWindow({ mm, history, start, fat, room, cold }: ButterBlock): ButterWindow {
  const { low, high } = WORKABLE[fat];
  const passed = history.reduce((sum, { minutes }) => sum + minutes, 0);
  const course = (next: Omit<Exposure, 'minutes'>) => {
    const warming = conduct(
      { shape: 'slab', layers: [{ material: BUTTER, mm }] },
      start,
      [...history, { ...next, minutes: HORIZON }],
      1,
    );
    const from = warming.minutes.findIndex((minute) => minute >= passed - 1e-9);
    return { core: warming.core.slice(from), surface: warming.surface.slice(from) };
  };
  const warm = course(room);
  const [core, surface] = [warm.core[0] ?? start, warm.surface[0] ?? start];
  const ready = warm.core.findIndex((c, i) => Math.min(c, warm.surface[i] ?? c) >= low);
  const soft = warm.surface.findIndex((s, i) => Math.max(s, warm.core[i] ?? s) > high);
  const tooSoft = Math.max(core, surface) > high;
  const chilled = tooSoft ? course(cold) : null;
  const coldFor = chilled
    ? chilled.surface.findIndex((s, i) => Math.max(s, chilled.core[i] ?? s) <= (low + high) / 2 + 1)
    : -1;
  const state = tooSoft ? 'soft' : ready === 0 ? 'pliable' : surface >= low ? 'warming' : 'hard';
  return {
    ...{ core, surface, state },
    readyIn: tooSoft || ready < 0 || (soft >= 0 && ready > soft) ? null : ready,
    softIn: soft < 0 ? null : soft,
    coldFor: coldFor < 0 ? null : coldFor,
  };
}

/**
 * Minutes that a block needs in the room before a lock-in when it comes out of the cold as cold as that is throughout.
 * Null where the surface smears before the core bends.
 */
export function temperFor(block: Omit<ButterBlock, 'history' | 'start'>): number | null {
  return butterWindow({ ...block, history: [], start: block.cold.celsius }).readyIn;
}
