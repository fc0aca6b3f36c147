import type { Catalog } from '../message';

export const faults: Catalog['faults'] = {
  butterInFlakesSheetMarbled: 'Beurre en plaques, abaisse marbrée',
  coldDoughToreWhenRolled: 'Pâte froide déchirée au laminage',
  butterCameOutWhileRolling: 'Beurre sorti au laminage',
  doughSprangBackOrTore: 'Pâte qui revient ou se déchire',
  didNotRise: 'N’a pas levé',
  butterRanOutOnThe: 'Beurre coulé sur la plaque',
  crumbLikeBreadNoHoneycomb: 'Mie de pain, sans alvéolage',
  bigHolesLayersApart: 'Grands trous, feuillets séparés',
  flatOrWrinkled: 'Plat ou ridé',
  skinCracksDull: 'Croûtage, fissures, terne',
  cameUnrolledTipsTorn: 'Déroulé, pointes déchirées',
  fillingLeakedOrBurnt: 'Garniture coulée ou brûlée',
  colourInPatches: 'Couleur inégale',
  paleOrRawInside: 'Pâle ou cru à l’intérieur',
  piecesUneven: 'Pièces irrégulières',
  sourBlisteredGrey: 'Aigre, cloqué, gris',
  piecesWeighedFromToG: 'pièces pesées de {least} à {most} g',
};
