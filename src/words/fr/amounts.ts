import type { Catalog } from '../message';

export const amounts: Catalog['amounts'] = {
  stage:
    '{stage, select, levain {Levain} stiff_levain {Levain dur} sponge {Levain-levure} poolish {Poolish} autolyse {Autolyse} roll_in {Beurre de tourage} filling {Garniture} finish {Finition} other {Pâte}}',
  writeAnAmountANumber:
    'Saisir une quantité : un nombre avec son unité, par exemple 54 %, 540 g, 1/2 c. à s. ou 2 œufs, ou « à convenance ».',
  aRangeGoesFromThe: 'Une fourchette va du plus petit au plus grand.',
  anAmountCannotBeNegative: 'Une quantité ne peut pas être négative.',
  isItOrWriteWithout: 'Est-ce {small} ou {large} ? Saisir sans séparateur de milliers.',
  isNotANumber: '« {text} » n’est pas un nombre.',
  wasNotUnderstoodWriteThe:
    '« {unread} » n’a pas pu être lu. Saisir la quantité avec son unité, par exemple 540 g.',
  writeAnAmount: 'Saisir une quantité.',
  isThatTheWeightOf:
    'Est-ce le poids par unité ({unit}) ou de tout ({to}) ? Ajouter « chacun » ou saisir le poids seul.',
  ofWhatWriteTheUnit: '{from} de quoi ? Ajouter l’unité : {from} g ou {from} %.',
  theTwoValuesDisagreeAnd: 'Les deux valeurs ne concordent pas : {weighed} et {other}, {percent} % d’écart.',
  whatDoesOneOfWeigh: 'Combien pèse 1 {unit} de {what} ? Ajouter les grammes.',
  isNotCountedInS: '{ingredient} ne se compte pas en {unit}. Saisir des grammes.',
  hasNoDensitySoA:
    '{ingredient} n’a pas de densité : 1 {unit} ne peut pas être pesé. Saisir des grammes ou ajouter la densité.',
  aTemperature: 'une température',
  byHowManyDegrees: 'combien de degrés',
  aThickness: 'une épaisseur',
  n25Mm: '25 mm',
  n1In: '1 in',
  aLength: 'une longueur',
  n425Cm: '42,5 cm',
  n912In: '9 1/2 in',
  aWeight: 'un poids',
  n49Kg: '4,9 kg',
  n12Oz: '12 oz',
  enterSuchAsOr: 'Saisir {what}, par exemple {metric} ou {other}.',
  metricCup250Ml: 'métrique (tasse 250 ml)',
  franceYeastSachet5G: 'France (sachet de levure 5,5 g)',
  unitedStatesCup237Ml: 'États-Unis (tasse 237 ml)',
  unitedKingdomCup284Ml: 'Royaume-Uni (tasse 284 ml)',
  australiaTablespoon20Ml: 'Australie (cuillère à soupe 20 ml)',
  japanCup200Ml: 'Japon (tasse 200 ml)',
};
