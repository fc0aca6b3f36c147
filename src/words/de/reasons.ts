import type { Catalog } from '../message';

export const reasons: Catalog['reasons'] = {
  takenOut: '{dough} entfernt',
  putBack: '{dough} zurückgeholt',
  added: '{dough} hinzugefügt',
  laminated: '{dough} touriert nach {scheme}',
  followsToday: '{dough} an die heutigen Temperaturen angepasst',
  stepMovedTo: '{dough}: {step} auf {time}',
  stepFixedOrLetGo: '{dough}: {step} {isFixed, select, true {angeheftet} other {gelöst}}',
  undone: 'Rückgängig gemacht: {act}',
  doneAgain: 'Wiederholt: {act}',
  byWhom: '{reason} ({name}, {time})',
  theWay: '{dough}: {way}',
  fitsBetterSo: 'passt besser',
  makesRoomFor: 'macht Platz für {dough}: {resource}',
  anotherDough: 'ein anderer',
  hands: 'Personal',
  aDoughOf: '{way} für {dough}',
  tellTheCustomerAt: 'Kunden informieren: {product} um {time} statt {due}',
  tellTheCustomerNotBefore: 'Kunden informieren: {pieces} {product}, frühestens {time}',
  thaw: '{pieces} {product} über Nacht kalt auftauen, Stückgare für {time}',
  worksAsWell: '{name} arbeitet auch {from} bis {to}',
  letGo: '{count, plural, one {# angehefteten Schritt} other {# angeheftete Schritte}} gelöst',
  cannotWait:
    '{dough} kann nicht warten: {step} würde {minutes} dauern, höchstens {longest}. Kühlen, anderswo backen oder als verloren eintragen.',
  forThePlan: 'für den Plan',
};
