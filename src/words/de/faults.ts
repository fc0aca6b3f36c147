import type { Catalog } from '../message';

export const faults: Catalog['faults'] = {
  butterInFlakesSheetMarbled: 'Butter in Schollen, Platte marmoriert',
  coldDoughToreWhenRolled: 'Kalter Teig riss beim Ausrollen',
  butterCameOutWhileRolling: 'Butter quoll beim Ausrollen heraus',
  doughSprangBackOrTore: 'Teig federte zurück oder riss',
  didNotRise: 'Nicht aufgegangen',
  butterRanOutOnThe: 'Butter lief auf das Blech',
  crumbLikeBreadNoHoneycomb: 'Krume wie Brot, keine Porung',
  bigHolesLayersApart: 'Große Löcher, Lagen getrennt',
  flatOrWrinkled: 'Flach oder runzlig',
  skinCracksDull: 'Haut, Risse, matt',
  cameUnrolledTipsTorn: 'Aufgerollt, Spitzen gerissen',
  fillingLeakedOrBurnt: 'Füllung ausgelaufen oder verbrannt',
  colourInPatches: 'Farbe fleckig',
  paleOrRawInside: 'Blass oder innen roh',
  piecesUneven: 'Stücke ungleich',
  sourBlisteredGrey: 'Sauer, blasig, grau',
  piecesWeighedFromToG: 'Stücke wogen {least} bis {most} g',
};
