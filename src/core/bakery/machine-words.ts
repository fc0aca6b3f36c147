import { coded, type Coded } from '../codes/coded';
import type { MachineKind } from './machines';

/** What each kind of machine is called. */
export const MACHINE_WORDS: Readonly<Record<MachineKind, Coded>> = {
  mixer: coded('house.kindMixer'),
  bench: coded('house.kindBench'),
  divider: coded('house.kindDivider'),
  sheeter: coded('house.kindSheeter'),
  retarder: coded('house.kindRetarder'),
  freezer: coded('house.kindFreezer'),
  blast: coded('house.kindBlast'),
  proofer: coded('house.kindProofer'),
  oven: coded('house.kindOven'),
  rack: coded('house.kindRack'),
  tray: coded('house.kindTray'),
  tin: coded('house.kindTin'),
};
