import type { Catalog } from '../message';

export const amounts: Catalog['amounts'] = {
  stage:
    '{stage, select, levain {Sauerteig} stiff_levain {Fester Sauerteig} sponge {Vorteig} poolish {Poolish} autolyse {Autolyse} roll_in {Butterplatte} filling {Füllung} finish {Finish} other {Teig}}',
  writeAnAmountANumber:
    'Menge eingeben: eine Zahl mit Einheit, etwa 54 %, 540 g, 1/2 EL oder 2 Eier, oder „nach Geschmack“.',
  aRangeGoesFromThe: 'Ein Bereich geht von niedrig bis hoch.',
  anAmountCannotBeNegative: 'Eine Menge kann nicht negativ sein.',
  isItOrWriteWithout: 'Ist das {small} oder {large}? Ohne Tausendertrennzeichen eingeben.',
  isNotANumber: '„{text}“ ist keine Zahl.',
  wasNotUnderstoodWriteThe: '„{unread}“ ist nicht lesbar. Menge mit Einheit eingeben, etwa 540 g.',
  writeAnAmount: 'Menge eingeben.',
  isThatTheWeightOf:
    'Wiegt jedes Stück ({unit}) so viel oder alle {to} zusammen? „je“ ergänzen oder nur das Gewicht eingeben.',
  ofWhatWriteTheUnit: '{from} wovon? Einheit ergänzen: {from} g oder {from} %.',
  theTwoValuesDisagreeAnd:
    'Die beiden Angaben passen nicht zusammen: {weighed} und {other}, {percent} % auseinander.',
  whatDoesOneOfWeigh: 'Was wiegt 1 {unit} {what}? Gramm ergänzen.',
  isNotCountedInS: '{ingredient} wird nicht in {unit} gezählt. Gramm eingeben.',
  hasNoDensitySoA:
    '{ingredient} hat keine Dichte, 1 {unit} davon ist nicht wägbar. Gramm eingeben oder Dichte ergänzen.',
};
