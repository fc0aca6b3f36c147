import type { Catalog } from '../message';

export const scrap: Catalog['scrap'] = {
  typeAWeightSuchAs: 'Ein Gewicht eingeben, etwa 640 g oder 1 lb 6 oz.',
  trimmings: 'Abschnitte',
  howMuch: 'Gewicht',
  howItIsKnown: 'Wie ermittelt',
  whatBecomesOfIt: 'Wofür werden sie verwendet?',
  rolledLoaf: 'gerollter Kastenlaib',
  keepTheLayersFlat400: 'Lagen flach halten, 400 g je Form, mit den Hörnchen garen und backen',
  tinSwirls: 'Schnecken in der Form',
  stripsOf2CmRolled: '2 cm breite Streifen mit Zucker gerollt, 60 g je Form, gebuttert und gezuckert',
  intoTheNextDough: 'in den nächsten Teig',
  chilledFlatChoppedInAt: 'flach gekühlt, gehackt, am Ende des Knetens dazu',
  weighedAllTheSameIt: 'trotzdem wiegen: es zählt zur Ausbeute',
  hOldMoreThanToo: '{hours} h alt, über {mostHours} h: zu sauer.',
  noMoreThanOfA: 'Höchstens {share} % eines Teigs.',
  waste: 'Ausschuss',
};
