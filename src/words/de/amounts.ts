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
  aTemperature: 'eine Temperatur',
  byHowManyDegrees: 'wie viele Grad',
  aThickness: 'eine Dicke',
  n25Mm: '25 mm',
  n1In: '1 in',
  aLength: 'eine Länge',
  n425Cm: '42,5 cm',
  n912In: '9 1/2 in',
  aWeight: 'ein Gewicht',
  n49Kg: '4,9 kg',
  n12Oz: '12 oz',
  enterSuchAsOr: '{what} eingeben, etwa {metric} oder {other}.',
  metricCup250Ml: 'metrisch (Tasse 250 ml)',
  franceYeastSachet5G: 'Frankreich (Tütchen Hefe 5,5 g)',
  unitedStatesCup237Ml: 'USA (Tasse 237 ml)',
  unitedKingdomCup284Ml: 'Großbritannien (Tasse 284 ml)',
  australiaTablespoon20Ml: 'Australien (Esslöffel 20 ml)',
  japanCup200Ml: 'Japan (Tasse 200 ml)',
};
