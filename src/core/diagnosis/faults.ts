import { coded, type Coded } from '../codes/coded';
import type { FaultId } from '../record/marks';

/** Faults as bakers name them, in the order in which work shows them. */
export const FAULT_NAMES: Readonly<Record<FaultId, Coded>> = {
  flakes: coded('faults.butterInFlakesSheetMarbled'),
  tears: coded('faults.coldDoughToreWhenRolled'),
  oozes: coded('faults.butterCameOutWhileRolling'),
  springs: coded('faults.doughSprangBackOrTore'),
  'no-rise': coded('faults.didNotRise'),
  'butter-pool': coded('faults.butterRanOutOnThe'),
  'bread-like': coded('faults.crumbLikeBreadNoHoneycomb'),
  hollow: coded('faults.bigHolesLayersApart'),
  flat: coded('faults.flatOrWrinkled'),
  skin: coded('faults.skinCracksDull'),
  unrolled: coded('faults.cameUnrolledTipsTorn'),
  leaked: coded('faults.fillingLeakedOrBurnt'),
  patchy: coded('faults.colourInPatches'),
  pale: coded('faults.paleOrRawInside'),
  uneven: coded('faults.piecesUneven'),
  sour: coded('faults.sourBlisteredGrey'),
};
