import type { Catalog } from '../message';

export const drift: Catalog['drift'] = {
  ofDough: '{dough} : {message}',
  ofStep: '{step} : {message}',
  ofCannotBeCut: '{missing} sur {pieces} ne peuvent pas être découpés ({product})',
  rolledToMmAllOf:
    '{fewer}. Abaisser à {thinner} pour tous les avoir, chacun un peu plus léger ; ou livrer moins.',
  promiseFewerOrAddTo: '{fewer} : livrer moins, ou compléter avec le congélateur.',
  isBehind: '{name} a {duration} de retard',
  to: '{duration} à {duration2}',
  nowTakesThePlanGives: '{label} prend maintenant {window} ; le plan prévoit {duration}.',
  aStep: 'Une étape',
  wouldBreakItsOwnWait: '{label} ne tient pas dans sa propre fenêtre',
  twoSettingsTooCloseTogether: '{label} : trop peu de temps pour changer le réglage à {at}',
  tooFewAt: '{label} : il manque {over} {unit} à {at}',
  handsTooFewAt: 'il manque {over, plural, one {# personne} other {# personnes}} à {at}',
  withOthers: '{message} ({others})',
  freeWhoCan: 'libre pour {skill}',
  nobodyIs: 'Personne n’est {who}',
  peopleAreMissing: 'il manque {missing} personnes ({who})',
  at: '{lack} à {time} ({dough} : {step})',
};
