import { coded, type Coded } from '../codes/coded';
import type { MachineKind } from './machines';

/** What each kind of machine is called. */
export const MACHINE_WORDS: Readonly<Record<MachineKind, Coded>> = {
  mixer: coded('common.kindMixer'),
  bench: coded('common.kindBench'),
  divider: coded('common.kindDivider'),
  sheeter: coded('common.kindSheeter'),
  retarder: coded('common.kindRetarder'),
  freezer: coded('common.kindFreezer'),
  blast: coded('common.kindBlast'),
  proofer: coded('common.kindProofer'),
  oven: coded('common.kindOven'),
  rack: coded('common.kindRack'),
  tray: coded('common.kindTray'),
  tin: coded('common.kindTin'),
};

const TAKES = {
  mixer: 'common.bowls',
  bench: 'common.tables',
  divider: 'common.tables',
  sheeter: 'common.tables',
  retarder: 'common.shelves',
  freezer: 'common.shelves',
  blast: 'common.shelves',
  proofer: 'common.trays',
  oven: 'common.trays',
  rack: 'common.trays',
  tray: 'common.trays',
  tin: 'common.tins',
} as const satisfies Record<MachineKind, `common.${string}`>;

/** What a kind of machine takes, without the number: "trays". */
export const unitWords = (kind: MachineKind, count: number): Coded => coded(TAKES[kind], { count });
