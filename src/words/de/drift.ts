import type { Catalog } from '../message';

export const drift: Catalog['drift'] = {
  ofDough: '{dough}: {message}',
  ofStep: '{step}: {message}',
  ofCannotBeCut: '{missing} von {pieces} gehen nicht aus der Platte ({product})',
  rolledToMmAllOf:
    '{fewer}. Auf {thinner} ausrollen, dann reicht es für alle, jedes etwas leichter; oder weniger liefern.',
  promiseFewerOrAddTo: '{fewer}: weniger liefern oder den Rest aus dem Froster nehmen.',
  isBehind: '{name} liegt {duration} zurück',
  to: '{duration} bis {duration2}',
  nowTakesThePlanGives: '{label} dauert jetzt {window}; der Plan sieht {duration} vor.',
  aStep: 'Ein Schritt',
  wouldBreakItsOwnWait: '{label} passt nicht in sein eigenes Fenster',
  twoSettingsTooCloseTogether: '{label}: zu wenig Zeit zum Umstellen um {at}',
  tooFewAt: '{label}: um {at} fehlen {over} {unit}',
  handsTooFewAt: 'um {at} {over, plural, one {fehlt # Person} other {fehlen # Personen}}',
  withOthers: '{message} ({others})',
  freeWhoCan: 'frei mit {skill}',
  nobodyIs: 'Niemand ist {who}',
  peopleAreMissing: '{missing} Personen fehlen ({who})',
  at: '{lack} um {time} ({dough}: {step})',
};
